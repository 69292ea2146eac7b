'use client'
import { useMemo, useState } from 'react'
import { portions } from '@/core/water/portions'
import { courseDays, DOSE_STOPS, productDose, smallestShareOf, type Product } from '@/core/water/products'
import { longDate, shortDate } from '@/domain/shared/dates'
import { DESK_TESTS, deskStop } from '@/domain/water/desk-dose'
import { givenEarlier, youngTests } from '@/domain/water/dosing'
import { amountWords } from '@/domain/rounds/load-words'
import { BASIS_NAMES, PURPOSE_NAMES } from '@/domain/stores/product-book'
import type { DosesData } from '@/server/water/doses'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { Why } from '@/ui/kit/why'
import { doseProblemWords } from '@/messages/en/doses'
import { gateText, GATE_HEADINGS } from '@/messages/en/gates'
import { useShow } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'

const figure = (value: number): string => String(Number(value.toPrecision(3)))
const STEP_LABELS = { volume: '', chlorine: 'Chlorine in the new water', hardness: 'Rise wanted', salt: 'Salt wanted' } as const

/** One product of the book for this pond: rate × volume = amount, in portions, with the days of its course. */
export function DosePlanner({ data }: { data: DosesData }) {
  const show = useShow()
  const tested = (kind: string): number | null => data.readings.find((r) => r.kind === kind)?.value ?? null
  const [key, setKey] = useState(data.products[0]?.key ?? '')
  const [newM3, setNewM3] = useState<number | null>(data.system.totalM3 / 3)
  const [steps, setSteps] = useState<number | null>(null)
  const [waterC, setWaterC] = useState<number | null>(tested('waterTemp'))
  const [problem, setProblem] = useState<SendProblem | null>(null)
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
  if (!product) return <section className="sheet">The product book is empty. Enter your products under Stores.</section>
  const riseM = Math.max(0.02, data.maxDepthM * Math.min(1, volumeM3 / data.system.totalM3))
  const inPortions =
    product.treats === 'new-water' && dose && dose.amount > 0
      ? portions(dose.amount, Math.min(20_000, riseM * 1000), Math.min(20_000, (volumeM3 / data.hoseM3PerH) * 60), measuringUnit(product))
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
      const outcome = await send('POST', `/api/v1/ponds/${data.pond.id}/one-offs`, { title, from: day, to: day, minutes: 10 })
      setProblem(outcome.ok ? null : outcome.problem)
      if (!outcome.ok) return
    }
    setPlanned(`${course.length} follow-ups are on the pond’s list.`)
  }
  return (
    <section className="sheet" aria-label="Dose">
      <h2>A dose</h2>
      <div className="field-grid roomy">
        <ChoiceField
          label="Product"
          value={key}
          onChange={(e) => {
            setKey(e.target.value)
            setSteps(null)
            setPlanned('')
          }}
          options={data.products.map((p) => ({ value: p.key, label: p.name }))}
        />
        {product.treats === 'new-water' ? <QuantityField label="New water" kind="volume" value={newM3} onChange={setNewM3} /> : null}
        {product.basis === 'volume' ? null : (
          <QuantityField
            label={STEP_LABELS[product.basis]}
            kind={product.basis === 'hardness' ? 'hardness' : product.basis === 'salt' ? 'share' : 'concentration'}
            value={wanted}
            onChange={(v) => setSteps(v ?? 0)}
          />
        )}
        <QuantityField label="Water temperature" kind="temperature" value={waterC} onChange={setWaterC} optional />
      </div>
      {dose ? (
        <>
          <p className="dose-answer">
            <strong>{dose.measures === null ? amountWords(dose.amount, product.unit) : `${figure(dose.measures)} × ${product.measure!.name}`}</strong>
            {dose.measures === null ? null : ` (${amountWords(dose.amount, product.unit)})`}
          </p>
          {dose.problems.map((p) => (
            <p key={p.code} className={`verdict ${DOSE_STOPS.includes(p.code) ? 'stop' : 'look'}`}>
              {doseProblemWords(p, show)}
            </p>
          ))}
          {stop?.gate.status === 'stop' ? (
            <div className="stop-note" role="alert">
              <strong>{GATE_HEADINGS[stop.kind]}</strong>
              <ul className="mb-0">
                {stop.gate.reasons.map((r) => (
                  <li key={r.code}>{gateText(r, show)}</li>
                ))}
              </ul>
            </div>
          ) : null}
          {stop ? (
            <p className="soft">
              {tests.since ? `Judged by tests since ${shortDate(tests.since)}.` : 'No tests of the last days are known.'} On the day the crew tests again, and
              its step judges by that.
            </p>
          ) : null}
          {inPortions.length > 0 ? (
            <>
              <h3>Portions as it fills</h3>
              <ol className="dose-portions">
                {inPortions.map((p) => (
                  <li key={p.afterMin}>
                    {p.afterMin === 0
                      ? 'before any water'
                      : `at ${show(p.afterMm / 1000, 'length', { scale: 'small' })} of rise, about ${Math.round(p.afterMin)} min`}
                    : {amountWords(p.amountG, product.unit)}
                  </li>
                ))}
              </ol>
            </>
          ) : null}
          {course.length > 0 ? (
            <>
              <h3>The course goes on</h3>
              <p>
                {course.map((d) => shortDate(d)).join(', ')}
                {data.mayPlan ? (
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-primary ms-2"
                    disabled={planned !== '' || dose.amount === 0 || stopped}
                    onClick={() => void planCourse()}
                  >
                    Put these days on the list
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
            {figure(product.rate)} {product.unit} {BASIS_NAMES[product.basis]} × {show(volumeM3, 'volume')}
            {product.basis === 'volume' ? '' : ` × ${figure(product.basis === 'salt' ? wanted * 1000 : wanted)}`} = {figure(dose.exact)} {product.unit}; the
            label allows {figure(product.mostPerM3 * volumeM3)} {product.unit}. {PURPOSE_NAMES[product.purpose]},{' '}
            {product.treats === 'new-water' ? 'new water only' : 'whole system'}. Rates are those of the product book; {longDate(data.today)}.
          </Why>
          <p className="mb-0">{product.safety} The label governs; never mix products.</p>
        </>
      ) : (
        <p className="soft">Enter how much water and what is wanted.</p>
      )}
    </section>
  )
}

const measuringUnit = ({ measure }: Product) => (measure ? { name: measure.name, weightG: measure.holds, smallestShare: smallestShareOf(measure) } : undefined)

/** What is usually wanted of a product, until something else is typed. */
function usualSteps(product: Product | undefined): number {
  if (product?.basis === 'chlorine') return 0.6
  if (product?.basis === 'salt') return 0.001
  return 1
}
