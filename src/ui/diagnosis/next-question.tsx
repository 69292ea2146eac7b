'use client'
import { FINDINGS, type FindingKey } from '@/core/diagnosis/findings'
import { useTexts } from '@/ui/kit/texts'

interface NextQuestionProps {
  /** The question that would tell most; null where none would tell anything. */
  readonly finding: FindingKey | null
  /** How many were answered one by one; given once that is enough to act on. */
  readonly enoughAfter: number | null
  readonly onAnswer: (found: boolean) => void
  readonly onSkip: () => void
  readonly onAskOn: () => void
}

/** One question at a time: the one that separates the causes most for its effort. */
export function NextQuestion({ finding, enoughAfter, onAnswer, onSkip, onAskOn }: NextQuestionProps) {
  const t = useTexts()

  if (finding === null || enoughAfter !== null)
    return (
      <section className="sheet next-question" aria-label={t('diagnosis.diagnosisView.nextQuestion')}>
        <h2>{t(finding === null ? 'diagnosis.diagnosisView.enoughTold' : 'diagnosis.diagnosisView.enoughToAct')}</h2>
        <p className="soft mb-0">
          {finding === null
            ? t('diagnosis.diagnosisView.noFurtherQuestionWould')
            : t('diagnosis.diagnosisView.eightAnswered', { count: enoughAfter! })}
        </p>
        {finding === null ? null : (
          <button type="button" className="btn btn-sm btn-outline-secondary mt-2" onClick={onAskOn}>
            {t('diagnosis.diagnosisView.askAnother')}
          </button>
        )}
      </section>
    )
  const { minutes } = FINDINGS[finding]
  return (
    <section className="sheet next-question" aria-label={t('diagnosis.diagnosisView.nextQuestion')}>
      <p className="soft mb-1">{t('diagnosis.diagnosisView.whatWouldTellMost')}</p>
      <div role="group" aria-label={t(`diagnosis.findings.${finding}`)}>
        <h2 aria-live="polite">{t(`diagnosis.findings.${finding}`)}</h2>
        {minutes > 1 ? (
          <p className="soft small mb-1">{t('diagnosis.diagnosisView.aboutMinutesWater', { minutes })}</p>
        ) : null}
        <button type="button" className="btn btn-outline-secondary" onClick={() => onAnswer(true)}>
          {t('diagnosis.answers.yes')}
        </button>
        <button type="button" className="btn btn-outline-secondary" onClick={() => onAnswer(false)}>
          {t('diagnosis.answers.no')}
        </button>
        <button type="button" className="btn btn-link" onClick={onSkip}>
          {t('diagnosis.answers.notKnown')}
        </button>
      </div>
    </section>
  )
}
