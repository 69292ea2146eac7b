'use client'
import { FINDING_KEYS, type FindingKey, type Findings } from '@/core/diagnosis/findings'
import { useTexts } from '@/ui/kit/texts'

interface ToldAnswersProps {
  readonly told: Findings
  readonly onTakeBack: (finding: FindingKey) => void
  readonly onStartAgain: () => void
}

/** What has been said so far; pressed, an answer is taken back. */
export function ToldAnswers({ told, onTakeBack, onStartAgain }: ToldAnswersProps) {
  const t = useTexts()

  const said = FINDING_KEYS.filter((key) => told[key] !== undefined)
  if (said.length === 0) return null
  return (
    <section className="sheet" aria-label={t('diagnosis.diagnosisView.answered')}>
      <div className="d-flex align-items-baseline">
        <h2>{t('diagnosis.diagnosisView.answered')}</h2>
        <button type="button" className="btn btn-sm btn-link ms-auto" onClick={onStartAgain}>
          {t('diagnosis.diagnosisView.startAgain')}
        </button>
      </div>
      <ul className="told-answers">
        {said.map((key) => (
          <li key={key}>
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              aria-label={t('diagnosis.diagnosisView.takeBack', { question: t(`diagnosis.findings.${key}`) })}
              onClick={() => onTakeBack(key)}
            >
              {t(`diagnosis.findings.${key}`)}{' '}
              <strong>{t(told[key] ? 'diagnosis.answers.yes' : 'diagnosis.answers.no')}</strong>{' '}
              <span aria-hidden="true">×</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
