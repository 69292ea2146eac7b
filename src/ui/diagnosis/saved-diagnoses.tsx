'use client'
import { useTexts } from '@/ui/kit/texts'
import { dayIn } from '@/domain/shared/dates'
import { DIAGNOSIS_OUTCOMES } from '@/domain/diagnosis/diagnosis'
import type { CheckLine } from '@/domain/diagnosis/diagnosis-check'
import { readingQuantity, readingScale } from '@/domain/water/reading-names'
import type { CheckedDiagnosis, DiagnosisData } from '@/server/diagnosis/diagnosis'
import { ProblemNote } from '@/ui/kit/problem-note'
import { usePerson, useShow } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'

/** What was found before, what tests and photos say came of it, and what people say. */
export function SavedDiagnoses({ data }: { data: DiagnosisData }) {
  const t = useTexts()

  const { problem, save } = useSave()
  if (data.kept.length === 0) return null
  return (
    <section className="sheet" aria-label={t('diagnosis.savedDiagnoses.foundBefore')}>
      <h2>{t('diagnosis.savedDiagnoses.foundBefore')}</h2>
      <ProblemNote problem={problem} />
      <ul className="plain-list">
        {data.kept.map((kept) => {
          const outcome = () => {
            if (data.mayLog)
              return (
                <span
                  className="btn-group btn-group-sm mt-1"
                  role="group"
                  aria-label={t('diagnosis.savedDiagnoses.whatCame')}
                >
                  {DIAGNOSIS_OUTCOMES.map((outcome) => (
                    <button
                      key={outcome}
                      type="button"
                      className={`btn btn-outline-secondary ${kept.outcome === outcome ? 'active' : ''}`}
                      aria-pressed={kept.outcome === outcome}
                      onClick={() => void save('PUT', `/api/v1/diagnoses/${kept.id}`, { outcome })}
                    >
                      {t(`diagnosis.outcomeNames.${outcome}`)}
                    </button>
                  ))}
                </span>
              )
            if (kept.outcome) return <span className="verdict">{t(`diagnosis.outcomeNames.${kept.outcome}`)}</span>
            return null
          }

          return (
            <li key={kept.id}>
              {t(`diagnosis.causeNames.${kept.cause}`)}
              <div className="soft small">
                {kept.madeByName}, {t.longDate(kept.madeOn)}
                {kept.betterFrom && kept.betterTo
                  ? t('diagnosis.savedDiagnoses.betterBetween', {
                      betterFrom: t.shortDate(kept.betterFrom),
                      betterTo: t.shortDate(kept.betterTo),
                    })
                  : ''}
              </div>
              <Since kept={kept} today={data.today} />
              {outcome()}
            </li>
          )
        })}
      </ul>
    </section>
  )
}

const VERDICT_KIND = { better: 'fine', partly: 'look', not: 'stop' } as const

/** Tests and photos since then. */
function Since({ kept, today }: { kept: CheckedDiagnosis; today: string }) {
  const t = useTexts()

  const { check, photos } = kept
  const { timeZone } = usePerson()
  const due = kept.betterTo !== null && kept.betterTo < today && check.verdict === null
  const standing = () => {
    if (check.verdict)
      return (
        <p className="mb-1 mt-1">
          <span className={`verdict ${VERDICT_KIND[check.verdict]}`}>
            {check.verdict === 'not' ? t('diagnosis.savedDiagnoses.notBetter') : check.verdict}
          </span>{' '}
          {t('diagnosis.savedDiagnoses.testsSince')}
        </p>
      )
    if (due)
      return (
        <p className="mb-1 mt-1">
          <span className="verdict look">{t('diagnosis.savedDiagnoses.look')}</span>{' '}
          {t('diagnosis.savedDiagnoses.shouldLookBetterNow')}
        </p>
      )
    return null
  }
  return (
    <>
      {standing()}
      {check.lines.length > 0 ? (
        <ul className="small mb-1">
          {check.lines.map((line) => (
            <li key={line.what}>
              <Line line={line} />
            </li>
          ))}
        </ul>
      ) : null}
      {photos!.since ? (
        <div className="before-since">
          {[photos!.before, photos!.since].map((photo, i) =>
            photo ? (
              <figure key={photo.id} className="mb-0">
                {/* eslint-disable-next-line @next/next/no-img-element -- served signed in */}
                <img
                  src={`/api/v1/photos/${photo.id}?size=thumbnail`}
                  alt={i === 0 ? t('diagnosis.savedDiagnoses.pondBefore') : t('diagnosis.savedDiagnoses.pondSince')}
                  loading="lazy"
                />
                <figcaption className="soft small">
                  {t(i === 0 ? 'diagnosis.savedDiagnoses.before' : 'diagnosis.savedDiagnoses.since', {
                    day: t.shortDate(dayIn(photo.takenAt, timeZone)),
                  })}
                </figcaption>
              </figure>
            ) : null,
          )}
        </div>
      ) : null}
    </>
  )
}

function Line({ line }: { line: CheckLine }) {
  const t = useTexts()

  const show = useShow()
  const test = line.tests[0]!
  const value = (v: number) => show(v, readingQuantity(test), { scale: readingScale(test), significant: 2 })
  const question =
    line.what === 'clarity' ? t('diagnosis.savedDiagnoses.waterStillMurky') : t(`diagnosis.findings.${line.what}`)
  if (line.stillSo === null)
    return (
      <>
        {question}{' '}
        <span className="soft">
          {t('diagnosis.savedDiagnoses.notTestedSinceWould', {
            map: line.tests.map((kind) => t(`water.readingNames.${kind}`).toLowerCase()).join(', '),
          })}
        </span>
      </>
    )
  return (
    <>
      {question}{' '}
      <strong>{line.stillSo ? t('diagnosis.savedDiagnoses.stillSo') : t('diagnosis.savedDiagnoses.noLonger')}</strong>
      {t('diagnosis.savedDiagnoses.on', {
        test: t(`water.readingNames.${test}`).toLowerCase(),
        before: line.before === null ? '' : t('diagnosis.savedDiagnoses.then', { before: value(line.before) }),
        since: value(line.since!),
        on: t.shortDate(line.on!),
      })}
    </>
  )
}
