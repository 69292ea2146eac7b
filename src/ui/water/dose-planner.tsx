'use client'
import { useMemo, useState } from 'react'
import { judgeGate } from '@/core/jobs/gates'
import { dechlorinatorPortions } from '@/core/water/dechlorination'
import { courseDays, portionTimeline, productDose, type Product } from '@/core/water/products'
import { longDate, shortDate } from '@/domain/dates'
import { givenEarlier, youngTests } from '@/domain/dosing'
import { amountWords } from '@/domain/load-words'
import { BASIS_NAMES, PURPOSE_NAMES } from '@/domain/product-book'
import type { DosesData } from '@/server/use-cases/doses'
import { ChoiceField } from '@/ui/components/choice-field'
import { ProblemNote } from '@/ui/components/problem-note'
import { QuantityField } from '@/ui/components/quantity-field'
import { Why } from '@/ui/components/why'
import { doseProblemWords } from '@/ui/messages/doses'
import { gateText, GATE_HEADINGS } from '@/ui/messages/gates'
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
  const portions =
    product.treats === 'new-water' && dose && dose.amount > 0
      ? dechlorinatorPortions({
          volumeM3,
          hoseM3PerH: data.hoseM3PerH,
          riseM: Math.max(0.02, data.maxDepthM * Math.min(1, volumeM3 / data.system.totalM3)),
          freeChlorineMgL: Math.min(20, Math.max(0, wanted)),
        })
      : null
  const tests = youngTests(data.readings, ['tan', 'ph', 'kh', 'waterTemp'], data.today)
  const gate =
    product.purpose === 'kh'
      ? judgeGate('raise-kh', {
          readings: tests.values,
          refilled: {},
          figures: { khRiseDH: wanted },
          choice: null,
          systemM3: data.system.totalM3,
          planted: true,
          hoursSinceChange: null,
          fishOut: false,
        })
      : null
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
            <p key={p.code} className={`verdict ${p.code === 'over-label' ? 'stop' : 'look'}`}>
              {doseProblemWords(p, show)}
            </p>
          ))}
          {gate?.status === 'stop' ? (
            <div className="stop-note" role="alert">
              <strong>{GATE_HEADINGS['raise-kh']}</strong>
              <ul className="mb-0">
                {gate.reasons.map((r) => (
                  <li key={r.code}>{gateText(r, show)}</li>
                ))}
              </ul>
            </div>
          ) : null}
          {gate ? (
            <p className="soft">
              {tests.since ? `Judged by tests since ${shortDate(tests.since)}.` : 'No tests of the last days are known.'} On the day the crew tests again, and
              its step judges by that.
            </p>
          ) : null}
          {portions ? (
            <>
              <h3>Portions as it fills</h3>
              <ol className="dose-portions">
                {portionTimeline(dose.amount, portions.count, portions.everyMinutes).map((p) => (
                  <li key={p.atMinute}>
                    after {Math.round(p.atMinute)} min: {amountWords(p.amount, product.unit)}
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
                    disabled={planned !== '' || dose.amount === 0}
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

/** What is usually wanted of a product, until something else is typed. */
function usualSteps(product: Product | undefined): number {
  if (product?.basis === 'chlorine') return 0.6
  if (product?.basis === 'salt') return 0.001
  return 1
}
