'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import { causeOf, isUrgent, type CauseKey, type RemedyDose } from '@/core/diagnosis/causes'
import { diagnose, type Evidence, type RankedCause } from '@/core/diagnosis/diagnose'
import {
  anythingWrong,
  FINDING_KEYS,
  FINDINGS,
  type FindingKey,
  type FindingKind,
  type Findings,
} from '@/core/diagnosis/findings'
import { addDays } from '@/core/numeric/calendar'
import { jobNameInText } from '@/messages/visits/visit-words'
import { longDate, shortDate } from '@/domain/shared/dates'
import { allFindings, remedyPlan } from '@/domain/diagnosis/diagnosis'
import { remedyAmounts } from '@/domain/diagnosis/remedy-doses'
import { remedyAmountWords } from '@/messages/water/amount-words'
import type { DiagnosisData } from '@/server/diagnosis/diagnosis'
import { ProblemNote } from '@/ui/kit/problem-note'
import { Why } from '@/ui/kit/why'
import { doseProblemWords } from '@/messages/water/doses'
import { useShow } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'
import { FindingQuestion } from './finding-question'
import { SavedDiagnoses } from './saved-diagnoses'
import { saidWords } from '@/messages/said'

const SHOWN = 5
const MIN_SHOWN = 0.02
/** Under this the first cause is a guess among others. */
const FAIRLY_SURE = 0.6
const PARTS: readonly { readonly kind: FindingKind; readonly title: TextId }[] = [
  { kind: 'seen', title: textId('diagnosis.diagnosisView.whatSeen') },
  { kind: 'test', title: textId('diagnosis.diagnosisView.whatTested') },
  { kind: 'known', title: textId('diagnosis.diagnosisView.whatKnown') },
]

/** What is wrong with this water: questions beside causes that follow every answer. */
export function DiagnosisView({ data }: { data: DiagnosisData }) {
  const t = useTexts()

  const [told, setTold] = useState<Findings>({})
  const [chosen, setChosen] = useState<CauseKey | null>(null)
  const findings = useMemo(() => allFindings(data.known, told), [data.known, told])
  const { ranked, next } = useMemo(() => diagnose(findings), [findings])
  const say = (key: FindingKey, found: boolean | undefined) =>
    setTold((before) => {
      const { [key]: _, ...rest } = before
      return found === undefined ? rest : { ...rest, [key]: found }
    })
  const asked = (finding: FindingKey, isNext = false) => (
    <FindingQuestion
      key={finding}
      finding={finding}
      told={told[finding]}
      known={data.known[finding]}
      onSay={(found) => say(finding, found)}
      next={isNext}
    />
  )
  const wrong = anythingWrong(findings)
  const likely = ranked.filter((r, i) => i < SHOWN && r.likelihood >= MIN_SHOWN)
  const cause = chosen ?? ranked[0]!.cause
  return (
    <>
      <div className="tab-head">
        <h2>{t('diagnosis.diagnosisView.whatWrong')}</h2>
        <span className="soft">{t('diagnosis.diagnosisView.sayWhatYouSee')}</span>
      </div>
      <div className="diagnosis">
        <div className="next-question">
          <section className="sheet" aria-label={t('diagnosis.diagnosisView.nextQuestion')}>
            <h2>{next ? t('diagnosis.diagnosisView.whatWouldTellMost') : t('diagnosis.diagnosisView.enoughTold')}</h2>
            {next ? (
              asked(next.finding, true)
            ) : (
              <p className="soft mb-0">{t('diagnosis.diagnosisView.noFurtherQuestionWould')}</p>
            )}
            {next && FINDINGS[next.finding].minutes > 1 ? (
              <p className="soft small mb-0">
                {t('diagnosis.diagnosisView.aboutMinutesWater', { minutes: FINDINGS[next.finding].minutes })}
              </p>
            ) : null}
          </section>
        </div>
        <div className="causes">
          <section className="sheet" aria-label={t('diagnosis.diagnosisView.likelyCauses')}>
            <h2>{t('diagnosis.diagnosisView.likelyCauses')}</h2>
            {wrong ? (
              <>
                <ol className="cause-list">
                  {likely.map((r) => (
                    <CauseLine
                      key={r.cause}
                      ranked={r}
                      chosen={r.cause === cause}
                      onChoose={() => setChosen(r.cause)}
                    />
                  ))}
                </ol>
                {ranked[0]!.likelihood < FAIRLY_SURE ? (
                  <p className="soft small mb-0">{t('diagnosis.diagnosisView.noCauseStandsOut')}</p>
                ) : null}
              </>
            ) : (
              <p className="soft">{t('diagnosis.diagnosisView.nothingWrongReportedNo')}</p>
            )}
            <Why>{t('diagnosis.diagnosisView.eachCauseShowsEach')}</Why>
          </section>
          {wrong ? <RemedySheet key={cause} data={data} cause={cause} findings={findings} /> : null}
          <SavedDiagnoses data={data} />
        </div>
        <div className="questions">
          {PARTS.map(({ kind, title }) => (
            <section key={kind} className="sheet" aria-label={t(title)}>
              <h2>{t(title)}</h2>
              {FINDING_KEYS.filter((key) => FINDINGS[key].kind === kind).map((key) => asked(key))}
            </section>
          ))}
        </div>
      </div>
      <p className="soft">{t('diagnosis.diagnosisView.appAdvisesFishDisease')}</p>
    </>
  )
}

function CauseLine({ ranked, chosen, onChoose }: { ranked: RankedCause; chosen: boolean; onChoose: () => void }) {
  const t = useTexts()

  const percent = Math.round(100 * ranked.likelihood)
  return (
    <li className={chosen ? 'chosen' : ''}>
      <button type="button" className="btn btn-link p-0 text-start" aria-pressed={chosen} onClick={onChoose}>
        {t(`diagnosis.causeNames.${ranked.cause}`)}
      </button>
      <span className="likelihood" aria-hidden="true">
        <span style={{ width: `${percent}%` }} />
      </span>
      <span className="soft small">{t('diagnosis.diagnosisView.n100', { percent })}</span>
      <EvidenceWords title={t('diagnosis.diagnosisView.for')} list={ranked.for} />
      <EvidenceWords title={t('diagnosis.diagnosisView.against')} list={ranked.against} />
    </li>
  )
}

const EVIDENCE_SHOWN = 3

function EvidenceWords({ title, list }: { title: string; list: readonly Evidence[] }) {
  const t = useTexts()
  if (list.length === 0) return null
  return (
    <div className="small">
      <strong>{title}:</strong>{' '}
      {list.slice(0, EVIDENCE_SHOWN).map((e, i) => (
        <span key={e.finding}>
          {i > 0 ? ' · ' : ''}
          {t(`diagnosis.findings.${e.finding}`)}{' '}
          <em>{t(e.found ? 'diagnosis.diagnosisView.yes' : 'diagnosis.diagnosisView.no')}</em>
        </span>
      ))}
    </div>
  )
}

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

function RemedySheet({ data, cause, findings }: { data: DiagnosisData; cause: CauseKey; findings: Findings }) {
  const t = useTexts()

  const { problem, save, saved } = useSave()
  const { specialist, betterDays } = causeOf(cause)
  const plan = remedyPlan(cause, data.today)
  return (
    <section className="sheet" aria-label={t('diagnosis.diagnosisView.whatDo')}>
      <h2>{t('diagnosis.diagnosisView.whatDo')}</h2>
      <p className="mb-1">{t(`diagnosis.causeNames.${cause}`)}</p>
      {isUrgent(cause) ? <p className="verdict stop d-block text-start">{t(`diagnosis.urgent.${cause}`)}</p> : null}
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
              {shortDate(step.from)} – {shortDate(step.to)}
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
      <p>
        {betterDays
          ? t('diagnosis.diagnosisView.shouldLookBetterBetween', {
              today: longDate(addDays(data.today, betterDays[0])),
              today2: longDate(addDays(data.today, betterDays[1])),
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
