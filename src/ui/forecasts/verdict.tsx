'use client'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { verdictLines } from '@/messages/forecasts/what-if-words'
import type { Measures } from '@/core/ecosystem/measures'
import { Swatch } from './option-ink'

/** What the ways differ in, in words: each against the first. */
export function Verdict({
  days,
  measures,
  names,
}: {
  days: number
  measures: readonly (readonly Measures[])[]
  names: readonly string[]
}) {
  const t = useTexts()

  const show = useShow()
  const members = measures[0]!.length
  if (names.length < 2) return <p className="soft">{t('forecasts.verdict.oneWayOnlyAdd')}</p>
  return (
    <div className="forecast-verdict" role="status">
      {names.slice(1).map((name, i) => {
        const lines = verdictLines(
          measures[0]!,
          measures[i + 1]!,
          days,
          (value, kind) => show(value, kind, { significant: 2 }),
          t,
        )
        return (
          <div key={`${name}${i}`}>
            <p className="mb-1">
              <Swatch index={i + 1} /> <strong>{name}</strong>
              {t('forecasts.verdict.against')} <Swatch index={0} /> {names[0]}:
            </p>
            {lines.length === 0 ? (
              <p className="soft">{t('forecasts.verdict.noDifferenceTheseRuns')}</p>
            ) : (
              <ul className="verdict-list">
                {lines.map((line) => (
                  <li key={line.text}>
                    <span className={`verdict ${line.kind === 'better' ? 'fine' : 'look'}`}>
                      {t(`forecasts.verdict.${line.kind}`)}
                    </span>{' '}
                    {line.text} <span className="soft">({line.sure})</span>
                  </li>
                ))}
              </ul>
            )}
          </div>
        )
      })}
      <p className="soft small mb-0">{t('forecasts.verdict.runsEachWayOther', { members })}</p>
    </div>
  )
}
