'use client'
import { useShow } from '@/ui/person-context'
import { verdictLines } from '@/domain/forecasts/what-if-words'
import type { Measures } from '@/core/ecosystem/measures'
import { Swatch } from './way-ink'

/** What the ways differ in, in words: each against the first. */
export function Verdict({ days, measures, names }: { days: number; measures: readonly (readonly Measures[])[]; names: readonly string[] }) {
  const show = useShow()
  const members = measures[0].length
  if (names.length < 2) return <p className="soft">One way only: add another to compare it with.</p>
  return (
    <div className="lab-verdict" role="status">
      {names.slice(1).map((name, i) => {
        const lines = verdictLines(measures[0], measures[i + 1], days, (value, kind) => show(value, kind, { significant: 2 }))
        return (
          <div key={`${name}${i}`}>
            <p className="mb-1">
              <Swatch index={i + 1} /> <strong>{name}</strong>, against <Swatch index={0} /> {names[0]}:
            </p>
            {lines.length === 0 ? (
              <p className="soft">No difference that these runs could tell from chance.</p>
            ) : (
              <ul className="verdict-list">
                {lines.map((line) => (
                  <li key={line.text}>
                    <span className={`verdict ${line.kind === 'better' ? 'fine' : 'look'}`}>{line.kind}</span> {line.text}{' '}
                    <span className="soft">({line.sure})</span>
                  </li>
                ))}
              </ul>
            )}
          </div>
        )
      })}
      <p className="soft small mb-0">
        {members} runs of each way, with other weather and other ponds’ biology in every run and the same for all ways. A decision aid, not a promise.
      </p>
    </div>
  )
}
