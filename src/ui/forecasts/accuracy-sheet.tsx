'use client'
import Alert from 'react-bootstrap/Alert'
import Table from 'react-bootstrap/Table'
import type { Accuracy, Reliability } from '@/core/assimilation/accuracy'
import type { Estimate } from '@/core/statistics/wilson'
import { SCORED_KINDS, type ScoredKind } from '@/core/assimilation/scored'
import type { QuantityKind } from '@/core/units/kinds'
import type { AccuracyData } from '@/server/forecasts/forecasts'
import { useTexts, type Texts } from '@/ui/kit/texts'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

/** How forecasts did against the tests that came after: as they were given out, by how far they looked ahead. */
export function AccuracySheet({ accuracy, ofOnePond = false }: { accuracy: AccuracyData; ofOnePond?: boolean }) {
  const t = useTexts()
  const { invented, counts, kinds, said } = accuracy
  return (
    <section className="sheet" aria-label={t('forecasts.accuracySheet.accuracy')}>
      <h2>{t('forecasts.accuracySheet.accuracy')}</h2>
      {counts.tests === 0 ? (
        <p className="soft mb-0">{t('forecasts.accuracySheet.noneYet')}</p>
      ) : (
        <>
          <p className="soft mb-2">
            {t('forecasts.accuracySheet.standsOn', { tests: counts.tests, lookedBack: counts.lookedBack })}{' '}
            {ofOnePond && counts.earlier > 0 ? t('forecasts.accuracySheet.earlier', { tests: counts.earlier }) : null}
          </p>
          {invented ? (
            <Alert variant="warning" className="py-2">
              {t('forecasts.accuracySheet.invented')}
            </Alert>
          ) : null}
          <KindTable kinds={kinds} />
          <SaidTable said={said} />
          <Why>{t('forecasts.accuracySheet.how')}</Why>
        </>
      )}
    </section>
  )
}

function KindTable({ kinds }: { kinds: readonly Accuracy[] }) {
  const t = useTexts()
  const missed = useMissed()
  return (
    <Table size="sm" responsive className="mb-3">
      <thead>
        <tr>
          <th scope="col">{t('forecasts.accuracySheet.test')}</th>
          <th scope="col">{t('forecasts.accuracySheet.lead')}</th>
          <th scope="col">{t('forecasts.accuracySheet.tests')}</th>
          <th scope="col">{t('forecasts.accuracySheet.missed')}</th>
          <th scope="col">{t('forecasts.accuracySheet.inside')}</th>
          <th scope="col">{t('forecasts.accuracySheet.overLast')}</th>
          <th scope="col">{t('forecasts.accuracySheet.overUsual')}</th>
        </tr>
      </thead>
      {SCORED_KINDS.map((kind) => {
        const own = kinds.filter((k) => k.kind === kind)
        return (
          <tbody key={kind}>
            {own.map((row, i) => (
              <tr key={row.lead}>
                {i === 0 ? (
                  <th scope="rowgroup" rowSpan={own.length}>
                    {t(`water.readingNames.${kind}`)}
                  </th>
                ) : null}
                <td>{t(`forecasts.leadNames.${row.lead}`)}</td>
                <td>{t('forecasts.accuracySheet.testsPonds', { tests: row.tests, ponds: row.ponds })}</td>
                <td>{missed(kind, row.missed)}</td>
                <td>{insideWords(row.inside, t)}</td>
                <td>{skillWords(row.overLast, t)}</td>
                <td>{skillWords(row.overUsual, t)}</td>
              </tr>
            ))}
          </tbody>
        )
      })}
    </Table>
  )
}

/** A mean miss in the reading's unit; a difference of temperature is none that is counted from an ice point. */
function useMissed(): (kind: ScoredKind, value: number) => string {
  const show = useShow()
  const OF: Readonly<Record<ScoredKind, QuantityKind>> = {
    waterTemp: 'temperatureStep',
    tan: 'concentration',
    nitrite: 'concentration',
    ph: 'ph',
    dissolvedOxygen: 'concentration',
    clarityDepth: 'length',
  }
  return (kind, value) => show(value, OF[kind], kind === 'clarityDepth' ? { scale: 'small' } : undefined)
}

const percent = (share: number): number => Math.round(share * 100)

/** What the band from 10 to 90 % ought to hold. */
const BAND_HOLDS = 0.8

function insideWords({ value, low, high }: Estimate, t: Texts) {
  const words = t('forecasts.accuracySheet.share', { share: percent(value), low: percent(low), high: percent(high) })
  return high < BAND_HOLDS ? <span className="verdict look">{words}</span> : words
}

/** A whole percentage with a true minus; what rounds to nothing has none. */
function signed(share: number): string {
  const whole = percent(share)
  return whole < 0 ? `−${-whole}` : String(Math.abs(whole))
}

function skillWords(skill: Estimate | null, t: Texts) {
  if (skill === null) return <span className="soft">{t('forecasts.accuracySheet.tooFew')}</span>
  const { value, low, high } = skill
  const words = t('forecasts.accuracySheet.share', { share: signed(value), low: signed(low), high: signed(high) })
  return high < 0 ? <span className="verdict look">{words}</span> : words
}

/** Whether what was said to be likely came true. */
function SaidTable({ said }: { said: readonly Reliability[] }) {
  const t = useTexts()
  return (
    <Table size="sm" responsive className="mb-1">
      <thead>
        <tr>
          <th scope="col">{t('forecasts.accuracySheet.said')}</th>
          <th scope="col">{t('forecasts.accuracySheet.cameTrue')}</th>
        </tr>
      </thead>
      <tbody>
        {said.map((each, i) => (
          <tr key={each.from}>
            <td>
              {t('forecasts.accuracySheet.saidFromTo', {
                from: percent(each.from),
                to: percent(said[i + 1]?.from ?? 1),
              })}
            </td>
            <td>
              {each.share ? (
                t('forecasts.accuracySheet.trueOf', {
                  crossed: each.crossed,
                  tests: each.tests,
                  share: percent(each.share.value),
                  low: percent(each.share.low),
                  high: percent(each.share.high),
                })
              ) : (
                <span className="soft">{t('forecasts.accuracySheet.noTest')}</span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  )
}
