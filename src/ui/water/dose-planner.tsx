'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { portions } from '@/core/water/dosing/portions'
import { courseDays, DOSE_STOPS, productDose, smallestShareOf, type Product } from '@/core/water/dosing/products'
import { longDate, shortDate } from '@/domain/shared/dates'
import { DESK_TESTS, deskStop } from '@/domain/water/desk-dose'
import { givenEarlier, youngTests } from '@/domain/water/dosing'
import { amountWords } from '@/messages/water/amount-words'
import type { DosesData } from '@/server/water/doses'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { Why } from '@/ui/kit/why'
import { doseProblemWords } from '@/messages/water/doses'
import { gateText } from '@/messages/visits/gates'
import { useShow } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'

const figure = (value: number): string => String(Number(value.toPrecision(3)))
const STEP_LABELS = {
  volume: '',
  chlorine: textId('water.dosePlanner.chlorineNewWater'),
  hardness: textId('water.dosePlanner.riseWanted'),
  salt: textId('water.dosePlanner.saltWanted'),
} as const

/** One product of the book for this pond: rate × volume = amount, in portions, with the days of its course. */
export function DosePlanner({ data }: { data: DosesData }) {
  const t = useTexts()

  const show = useShow()
  const tested = (kind: string): number | null => data.readings.find((r) => r.kind === kind)?.value ?? null
  const [key, setKey] = useState(data.products[0]?.key ?? '')
  const [newM3, setNewM3] = useState<number | null>(data.system.totalM3 / 3)
  const [steps, setSteps] = useState<number | null>(null)
  const [waterC, setWaterC] = useState<number | null>(tested('waterTemp'))
  const { problem, ask } = useSave()
  const [planned, setPlanned] = useState('')
  const product = data.products.find((p) => p.key === key)
  const volumeM3 = product?.treats === 'new-water' ? (newM3 ?? 0) : data.system.totalM3
  const wanted = steps ?? usualSteps(product)
  const dose = useMemo(
    () =>
      product && volumeM3 > 0 && wanted >= 0
        ? productDose(product, {
            volumeM3,
            steps: product.basis === 'salt' ? wanted * 1000 : wanted,
            waterC: waterC !== null && Number.isNaN(waterC) ? null : waterC,
            recent: givenEarlier(data.recentDoses, data.products, Date.parse(data.now)),
          })
        : null,
    [product, volumeM3, wanted, waterC, data],
  )
  if (!product) return <section className="sheet">{t('water.dosePlanner.productBookEmptyEnter')}</section>
  const riseM = Math.max(0.02, data.maxDepthM * Math.min(1, volumeM3 / data.system.totalM3))
  const inPortions =
    product.treats === 'new-water' && dose && dose.amount > 0
      ? portions(
          dose.amount,
          Math.min(20_000, riseM * 1000),
          Math.min(20_000, (volumeM3 / data.hoseM3PerH) * 60),
          measuringUnit(product),
        )
      : []
  const needed = DESK_TESTS[product.purpose] ?? []
  const tests = youngTests(data.readings, needed, data.today)
  const stop =
    dose &&
    deskStop({
      purpose: product.purpose,
      amount: dose.amount,
      riseDH: wanted,
      // salt leaves only with water: what was found last counts, however long ago
      readings: { ...(data.gateFacts.salinity == null ? {} : { salinity: data.gateFacts.salinity }), ...tests.values },
      systemM3: data.system.totalM3,
      planted: data.gateFacts.planted,
    })
  const stopped = stop?.gate.status === 'stop' || (dose?.problems.some((p) => DOSE_STOPS.includes(p.code)) ?? false)
  const course = courseDays(product, data.today)
  const planCourse = async () => {
    for (const day of course) {
      const title = `${product.name}: ${amountWords(dose!.amount, product.unit)}`
      const answer = await ask(
        send('POST', `/api/v1/ponds/${data.pond.id}/one-offs`, {
          title,
          from: day,
          to: day,
          minutes: 10,
        }),
      )
      if (!answer) return
    }
    setPlanned(t('water.dosePlanner.followUpsPondsList', { count: course.length }))
  }
  const unitKind = () => {
    if (product.basis === 'hardness') return 'hardness'
    if (product.basis === 'salt') return 'share'
    return 'concentration'
  }
  return (
    <section className="sheet" aria-label={t('water.dosePlanner.dose')}>
      <h2>{t('water.dosePlanner.dose2')}</h2>
      <div className="field-grid roomy">
        <ChoiceField
          label={t('water.dosePlanner.product')}
          value={key}
          onChange={(e) => {
            setKey(e.target.value)
            setSteps(null)
            setPlanned('')
          }}
          options={data.products.map((p) => ({ value: p.key, label: p.name }))}
        />
        {product.treats === 'new-water' ? (
          <QuantityField label={t('water.dosePlanner.newWater')} kind="volume" value={newM3} onChange={setNewM3} />
        ) : null}
        {product.basis === 'volume' ? null : (
          <QuantityField
            label={t(STEP_LABELS[product.basis])}
            kind={unitKind()}
            value={wanted}
            onChange={(v) => setSteps(v ?? 0)}
          />
        )}
        <QuantityField
          label={t('water.dosePlanner.waterTemperature')}
          kind="temperature"
          value={waterC}
          onChange={setWaterC}
          optional
        />
      </div>
      {dose ? (
        <>
          <p className="dose-answer">
            <strong>
              {dose.measures === null
                ? amountWords(dose.amount, product.unit)
                : `${figure(dose.measures)} × ${product.measure!.name}`}
            </strong>
            {dose.measures === null ? null : ` (${amountWords(dose.amount, product.unit)})`}
          </p>
          {dose.problems.map((p) => (
            <p key={p.code} className={`verdict ${DOSE_STOPS.includes(p.code) ? 'stop' : 'look'}`}>
              {doseProblemWords(p, show, t)}
            </p>
          ))}
          {stop?.gate.status === 'stop' ? (
            <div className="stop-note" role="alert">
              <strong>{t(`field.gateHeadings.${stop.kind}`)}</strong>
              <ul className="mb-0">
                {stop.gate.reasons.map((r) => (
                  <li key={r.code}>{gateText(r, show, t)}</li>
                ))}
              </ul>
            </div>
          ) : null}
          {stop ? (
            <p className="soft">
              {t('water.dosePlanner.dayCrewTestsAgain', {
                since: tests.since
                  ? t('water.dosePlanner.judgedTestsSince', { since: shortDate(tests.since) })
                  : t('water.dosePlanner.noTestsLastDays'),
              })}
            </p>
          ) : null}
          {inPortions.length > 0 ? (
            <>
              <h3>{t('water.dosePlanner.portionsFills')}</h3>
              <ol className="dose-portions">
                {inPortions.map((p) => (
                  <li key={p.afterMin}>
                    {p.afterMin === 0
                      ? t('water.dosePlanner.beforeAnyWater')
                      : t('water.dosePlanner.riseAboutMin', {
                          afterMm: show(p.afterMm / 1000, 'length', { scale: 'small' }),
                          afterMin: Math.round(p.afterMin),
                        })}
                    : {amountWords(p.amountG, product.unit)}
                  </li>
                ))}
              </ol>
            </>
          ) : null}
          {course.length > 0 ? (
            <>
              <h3>{t('water.dosePlanner.courseGoes')}</h3>
              <p>
                {course.map((d) => shortDate(d)).join(', ')}
                {data.mayPlan ? (
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-primary ms-2"
                    disabled={planned !== '' || dose.amount === 0 || stopped}
                    onClick={() => void planCourse()}
                  >
                    {t('water.dosePlanner.putTheseDaysList')}
                  </button>
                ) : null}
              </p>
              <p role="status" className="soft">
                {planned}
              </p>
            </>
          ) : null}
          <ProblemNote problem={problem} />
          <Why>
            {t('water.dosePlanner.labelAllowsRatesThose', {
              rate: figure(product.rate),
              unit: product.unit,
              basis: t(`stores.basisNames.${product.basis}`),
              volumeM3: show(volumeM3, 'volume'),
              basis2:
                product.basis === 'volume' ? '' : ` × ${figure(product.basis === 'salt' ? wanted * 1000 : wanted)}`,
              exact: figure(dose.exact),
              mostPerM3: figure(product.mostPerM3 * volumeM3),
              purpose: t(`stores.purposeNames.${product.purpose}`),
              treats:
                product.treats === 'new-water'
                  ? t('water.dosePlanner.newWaterOnly')
                  : t('water.dosePlanner.wholeSystem'),
              today: longDate(data.today),
            })}
          </Why>
          <p className="mb-0">{t('water.dosePlanner.labelGovernsNeverMix', { safety: product.safety })}</p>
        </>
      ) : (
        <p className="soft">{t('water.dosePlanner.enterHowMuchWater')}</p>
      )}
    </section>
  )
}

const measuringUnit = ({ measure }: Product) =>
  measure ? { name: measure.name, weightG: measure.holds, smallestShare: smallestShareOf(measure) } : undefined

/** What is usually wanted of a product, until something else is typed. */
function usualSteps(product: Product | undefined): number {
  if (product?.basis === 'chlorine') return 0.6
  if (product?.basis === 'salt') return 0.001
  return 1
}
