'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { courseDays, DOSE_STOPS, type Product } from '@/core/water/dosing/products'
import { gateText } from '@/messages/visits/gates'
import { amountWords } from '@/messages/water/amount-words'
import { doseProblemWords } from '@/messages/water/doses'
import type { DosesData } from '@/server/water/doses'
import { ProblemNote } from '@/ui/kit/problem-note'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'
import { DoseRange } from './dose-range'
import type { JudgedDose } from './judged-dose'

const figure = (value: number): string => String(Number(value.toPrecision(3)))
interface DoseAnswerProps {
  readonly data: DosesData
  readonly product: Product
  readonly dose: JudgedDose
  /** Rise wanted, salt share or chlorine, in the unit of the product's rate. */
  readonly wanted: number
  readonly volumeM3: number
}

/** How much, what stops it, in which portions, on which days, and why so much. */
export function DoseAnswer({ data, product, dose, wanted, volumeM3 }: DoseAnswerProps) {
  const t = useTexts()
  const show = useShow()
  const { stop, stopped, tests, inPortions } = dose
  return (
    <>
      <p className="dose-answer">
        <strong>
          {dose.measures === null
            ? amountWords(dose.amount, product.unit)
            : `${figure(dose.measures)} × ${product.measure!.name}`}
        </strong>
        {dose.measures === null ? null : ` (${amountWords(dose.amount, product.unit)})`}
      </p>
      <DoseRange product={product} amount={dose.amount} system={data.system} />
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
              ? t('water.dosePlanner.judgedTestsSince', { since: t.shortDate(tests.since) })
              : t('water.dosePlanner.noTestsLastDays'),
          })}
        </p>
      ) : null}
      {inPortions.length > 0 ? <Portions inPortions={inPortions} unit={product.unit} /> : null}
      <Course data={data} product={product} amount={dose.amount} stopped={stopped} />
      <Why>
        {t('water.dosePlanner.labelAllowsRatesThose', {
          rate: figure(product.rate),
          unit: product.unit,
          basis: t(`stores.basisNames.${product.basis}`),
          volumeM3: show(volumeM3, 'volume'),
          basis2: product.basis === 'volume' ? '' : ` × ${figure(product.basis === 'salt' ? wanted * 1000 : wanted)}`,
          exact: figure(dose.exact),
          mostPerM3: figure(product.mostPerM3 * volumeM3),
          purpose: t(`stores.purposeNames.${product.purpose}`),
          treats:
            product.treats === 'new-water' ? t('water.dosePlanner.newWaterOnly') : t('water.dosePlanner.wholeSystem'),
          today: t.longDate(data.today),
        })}
      </Why>
      <p className="mb-0">{t('water.dosePlanner.labelGovernsNeverMix', { safety: product.safety })}</p>
    </>
  )
}

interface PortionsProps {
  readonly inPortions: JudgedDose['inPortions']
  readonly unit: Product['unit']
}

function Portions({ inPortions, unit }: PortionsProps) {
  const t = useTexts()
  const show = useShow()
  return (
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
            : {amountWords(p.amountG, unit)}
          </li>
        ))}
      </ol>
    </>
  )
}

interface CourseProps {
  readonly data: DosesData
  readonly product: Product
  readonly amount: number
  readonly stopped: boolean
}

/** The days of a product that is given more than once, to be put on the pond's list. */
function Course({ data, product, amount, stopped }: CourseProps) {
  const t = useTexts()
  const { problem, ask } = useSave()
  const [planned, setPlanned] = useState('')
  const course = courseDays(product, data.today)
  const planCourse = async () => {
    for (const day of course) {
      const title = `${product.name}: ${amountWords(amount, product.unit)}`
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
  if (course.length === 0) return null
  return (
    <>
      <h3>{t('water.dosePlanner.courseGoes')}</h3>
      <p>
        {course.map((d) => t.shortDate(d)).join(', ')}
        {data.mayPlan ? (
          <button
            type="button"
            className="btn btn-sm btn-outline-primary ms-2"
            disabled={planned !== '' || amount === 0 || stopped}
            onClick={() => void planCourse()}
          >
            {t('water.dosePlanner.putTheseDaysList')}
          </button>
        ) : null}
      </p>
      <p role="status" className="soft">
        {planned}
      </p>
      <ProblemNote problem={problem} />
    </>
  )
}
