'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import type { VisitStep } from '@/core/visits/step'
import type { StepState } from '@/domain/visits/visit-progress'

interface StepListProps {
  readonly steps: readonly VisitStep[]
  readonly states: ReadonlyMap<string, StepState>
  readonly current: string | null
  readonly onChoose: ((key: string) => void) | null
}

const MARK = { open: '○', done: '✓', skipped: '–' } as const
const WORD = {
  open: textId('field.stepList.isOpen'),
  done: textId('field.stepList.done'),
  skipped: textId('field.stepList.leftOut'),
} as const

/** All steps, folded by section; any can be opened, also to correct it. */
export function StepList({ steps, states, current, onChoose }: StepListProps) {
  const t = useTexts()

  const sections = [...new Set(steps.map((s) => s.section))]
  return (
    <div className="mt-3">
      {sections.map((section) => {
        const own = steps.filter((s) => s.section === section)
        const open = own.filter((s) => states.get(s.key)?.status === 'open').length
        return (
          <details key={section} className="border-bottom" open={own.some((s) => s.key === current)}>
            <summary>
              <strong>{section}</strong>
              <span className="soft ms-auto">
                {open === 0 ? t('field.stepList.done') : t('field.stepList.open', { open })}
              </span>
            </summary>
            <ul className="plain-list ms-2">
              {own.map((step) => {
                const status = states.get(step.key)?.status ?? 'open'
                return (
                  <li key={step.key}>
                    <button
                      className={`btn w-100 text-start ${step.key === current ? 'governs' : ''}`}
                      disabled={!onChoose}
                      onClick={() => onChoose?.(step.key)}
                      aria-label={`${step.title}, ${t(WORD[status])}`}
                    >
                      <span aria-hidden="true">{MARK[status]} </span>
                      {step.title}
                    </button>
                  </li>
                )
              })}
            </ul>
          </details>
        )
      })}
    </div>
  )
}
