'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import type { FindingKey } from '@/core/diagnosis/findings'
import type { KnownFinding } from '@/domain/diagnosis/diagnosis'
import { saidWords } from '@/messages/said'

interface FindingQuestionProps {
  readonly finding: FindingKey
  /** What was said here; undefined: nothing. */
  readonly told: boolean | undefined
  readonly known: KnownFinding | undefined
  readonly onSay: (found: boolean | undefined) => void
}

const ANSWERS = [
  { found: true, label: textId('diagnosis.findingQuestion.yes') },
  { found: false, label: textId('diagnosis.findingQuestion.no') },
] as const

/** One question with yes, no, or nothing said; what the file says stands until somebody says otherwise. */
export function FindingQuestion({ finding, told, known, onSay }: FindingQuestionProps) {
  const t = useTexts()

  const question = t(`diagnosis.findings.${finding}`)
  const stands = told ?? known?.found
  return (
    <div className="finding" role="group" aria-label={question}>
      <span>
        {question}
        {known && told === undefined ? (
          <span className="soft small">
            {' '}
            {t('diagnosis.findingQuestion.by', {
              found: known.found ? 'yes' : 'no',
              source: saidWords(known.source, t),
            })}
          </span>
        ) : null}
      </span>
      <span className="btn-group btn-group-sm">
        {ANSWERS.map(({ found, label }) => (
          <button
            key={String(found)}
            type="button"
            className={`btn btn-outline-secondary ${stands === found ? 'active' : ''}`}
            aria-pressed={stands === found}
            onClick={() => onSay(told === found ? undefined : found)}
          >
            {t(label)}
          </button>
        ))}
      </span>
    </div>
  )
}
