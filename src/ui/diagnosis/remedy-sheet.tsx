'use client'
import Link from 'next/link'
import { BACTERIA_SLOW_C, betterDays, slowedByCold } from '@/core/diagnosis/better-days'
import type { RemedyDose } from '@/core/diagnosis/cause'
import { causeOf, isUrgent, type CauseKey } from '@/core/diagnosis/causes'
import type { Findings } from '@/core/diagnosis/findings'
import { addDays } from '@/core/numeric/calendar'
import { remedyPlan, waterAheadOf, type PlanStep } from '@/domain/diagnosis/diagnosis'
import { remedyAmounts } from '@/domain/diagnosis/remedy-doses'
import { saidWords } from '@/messages/said'
import { jobNameInText } from '@/messages/visits/visit-words'
import { remedyAmountWords } from '@/messages/water/amount-words'
import { doseProblemWords } from '@/messages/water/doses'
import type { DiagnosisData } from '@/server/diagnosis/diagnosis'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'

/** How much of the firm's products a step asks for here, and what speaks against it now. */
function DoseLines({ dose, data }: { dose: RemedyDose; data: DiagnosisData }) {
  const t = useTexts()

  const show = useShow()
  const { systemM3, waterC } = data.dosing
  return (
    <ul className="small mb-1">
      {remedyAmounts(dose, data.dosing).map((amount) => (
        <li key={amount.product.key}>
          <strong>{remedyAmountWords(amount)}</strong>{' '}
          {t('diagnosis.diagnosisView.for2', {
            systemM3: show(systemM3, 'volume'),
            waterC: waterC === null ? t('diagnosis.diagnosisView.watersWarmthNotKnown') : '',
            safety: amount.product.safety,
          })}{' '}
          {amount.problems.map((p) => (
            <span key={p.code} className="verdict look">
              {doseProblemWords(p, show, t)}
            </span>
          ))}
        </li>
      ))}
    </ul>
  )
}

/** When a step is done: its days, or of a course how often and until when. */
function StepDays({ times }: { times: PlanStep['times'] }) {
  const t = useTexts()

  const [first, last] = [times[0]!, times.at(-1)!]
  const days = `${t.shortDate(first.from)} – ${t.shortDate(last.to)}`
  return times.length > 1 ? t('diagnosis.diagnosisView.timesBetween', { times: times.length, days }) : days
}

interface RemedySheetProps {
  readonly data: DiagnosisData
  readonly cause: CauseKey
  readonly findings: Findings
}

/** What to do about a cause here: its steps with dates and doses, and when it should look better. */
export function RemedySheet({ data, cause, findings }: RemedySheetProps) {
  const t = useTexts()

  const show = useShow()
  const { problem, save, saved } = useSave()
  const { specialist } = causeOf(cause)
  const waterAhead = waterAheadOf(data.today, data.weeklyWaterC)
  const plan = remedyPlan(cause, data.today, waterAhead)
  const better = betterDays(cause, waterAhead)
  return (
    <section className="sheet" aria-label={t('diagnosis.diagnosisView.whatDo')}>
      <h2>{t('diagnosis.diagnosisView.whatDo')}</h2>
      <p className="mb-1">{t(`diagnosis.causeNames.${cause}`)}</p>
      {isUrgent(cause) ? (
        <p className="verdict stop d-block text-start text-wrap">{t(`diagnosis.urgent.${cause}`)}</p>
      ) : null}
      {specialist ? (
        <p className="mb-1">
          {specialist === 'vet'
            ? t('diagnosis.diagnosisView.vetFishHealthSpecialist')
            : t('diagnosis.diagnosisView.wiringLampsIsolateProve')}
        </p>
      ) : null}
      <ol className="mb-2">
        {plan.map((step) => (
          <li key={step.title}>
            {saidWords(step.title, t)}{' '}
            <span className="soft small">
              <StepDays times={step.times} />
            </span>{' '}
            {step.jobKey && data.mayPlan ? (
              <Link className="small text-decoration-underline" href={`/ponds/${data.pond.id}/plan?job=${step.jobKey}`}>
                {t('diagnosis.diagnosisView.plan', { name: jobNameInText(step.jobKey, t) })}
              </Link>
            ) : null}
            {step.dose ? <DoseLines dose={step.dose} data={data} /> : null}
          </li>
        ))}
      </ol>
      {slowedByCold(cause, waterAhead) ? (
        <p className="verdict look d-block text-start text-wrap">
          {t('diagnosis.diagnosisView.slowedByCold', {
            now: show(waterAhead(0), 'temperature'),
            limit: show(BACTERIA_SLOW_C, 'temperature'),
          })}
        </p>
      ) : null}
      <p>
        {better
          ? t('diagnosis.diagnosisView.shouldLookBetterBetween', {
              today: t.longDate(addDays(data.today, better[0])),
              today2: t.longDate(addDays(data.today, better[1])),
            })
          : t('diagnosis.diagnosisView.willNotGetBetter')}{' '}
        <Link className="text-decoration-underline" href={`/ponds/${data.pond.id}/doses`}>
          {t('diagnosis.diagnosisView.dosesChanges')}
        </Link>
      </p>
      <ProblemNote problem={problem} />
      {data.mayPlan ? (
        <button
          className="btn btn-primary"
          disabled={saved}
          onClick={() => void save('POST', `/api/v1/ponds/${data.pond.id}/diagnoses`, { findings, cause })}
        >
          {t('diagnosis.diagnosisView.putTheseStepsPond')}
        </button>
      ) : null}
      {saved ? (
        <p role="status" className="mb-0 mt-2">
          {t('diagnosis.diagnosisView.pondsListNextPlan')}
        </p>
      ) : null}
    </section>
  )
}
