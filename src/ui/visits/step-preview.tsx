'use client'
import { useTexts } from '@/ui/kit/texts'
import type { VisitStep } from '@/core/visits/step'
import { inUnits } from '@/messages/visits/in-units'
import { useShow } from '@/ui/person-context'

/** A step as the crew will see it, without a pond behind it. */
export function StepPreview({ step }: { step: VisitStep }) {
  const t = useTexts()

  const show = useShow()
  const asked = [
    ...(step.readings ?? []).map((r) => t(`water.readingNames.${r}`)),
    ...(step.figures ?? []).map((f) => t(`visits.figureNames.${f}`)),
  ]
  return (
    <div className="step-now">
      <p className="soft mb-1">{step.section}</p>
      <h2>{step.title}</h2>
      {step.detail ? <p className="mb-2">{inUnits(step.detail, show)}</p> : null}
      {step.safety ? <div className="safety-note">{inUnits(step.safety, show)}</div> : null}
      {step.timerMinutes ? (
        <p className="soft">{t('visits.stepPreview.timerMinutes', { timerMinutes: step.timerMinutes })}</p>
      ) : null}
      {(step.choices ?? []).map((choice) => (
        <p key={choice.code} className="mb-1">
          ○ {choice.label}
        </p>
      ))}
      {asked.length > 0 ? <p className="mb-1">{t('visits.stepPreview.asks', { asked: asked.join(', ') })}</p> : null}
      {step.gate ? <p className="verdict look">{t('visits.stepPreview.waitsUntilTestsAllow')}</p> : null}
    </div>
  )
}
