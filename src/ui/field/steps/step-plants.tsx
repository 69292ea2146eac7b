'use client'
import { useTexts } from '@/ui/kit/texts'
import type { VisitStep } from '@/core/visits/step'
import { addDays } from '@/core/numeric/calendar'
import { plantGaps } from '@/core/plants/replant'
import { CARE_AHEAD_DAYS, toFill } from '@/domain/plants/plants'
import type { VisitView } from '@/ui/field/device/device-view'
import { useField } from '@/ui/field/field-context'
import { plantsAtHand } from '@/ui/field/plants/plants-at-hand'
import { speciesName } from '@/messages/plants/species-name'

/** Groups of plants that ask for what this step does, each to be ticked off; and where pieces are missing. */
export function StepPlants({ step, view }: { step: VisitStep; view: VisitView }) {
  const t = useTexts()

  const { today, log, person } = useField()
  const patches = plantsAtHand(view, person.timeZone)
  const done = new Set(view.log.flatMap((e) => (e.kind === 'plant' ? [`${e.patchId ?? e.id}:${e.action}`] : [])))
  const due = view.care.filter(
    (task) => step.plants!.includes(task.action) && task.due <= addDays(today, CARE_AHEAD_DAYS),
  )
  const gaps = step.plants!.includes('divide')
    ? plantGaps([...toFill(patches, 'bed'), ...toFill(patches, 'pond')], null)
    : []
  if (due.length + gaps.length === 0) return null
  return (
    <div className="amount" role="group" aria-label={t('field.stepPlants.plantsHere')}>
      <ul className="plain-list">
        {due.map(({ patchId, action }) => {
          const patch = patches.find((p) => p.id === patchId)
          if (!patch) return null
          const isDone = done.has(`${patchId}:${action}`)
          const words = `${t(`plants.plantActionNames.${action}`)}: ${patch.count} ${speciesName(patch.species, t)}`
          return (
            <li key={`${patchId}${action}`} className="d-flex gap-2 align-items-center">
              <span className="flex-grow-1">{words}</span>
              {isDone ? (
                <span className="verdict pass">{t('field.stepPlants.done')}</span>
              ) : (
                <button
                  className="btn btn-outline-primary"
                  aria-label={t('field.stepPlants.done2', { words })}
                  onClick={() =>
                    void log(view.visit.id, {
                      kind: 'plant',
                      patchId,
                      place: patch.place,
                      species: patch.species,
                      action,
                      condition: null,
                      count: null,
                      kept: 0,
                      note: '',
                    })
                  }
                >
                  {t('field.stepPlants.done3')}
                </button>
              )}
            </li>
          )
        })}
      </ul>
      {gaps.length > 0 ? (
        <p className="mb-0">
          {t('field.stepPlants.gapsPlantRootedPieces')}{' '}
          {gaps.map((g) => `${g.missing} ${speciesName(g.species!, t)}`).join(', ')}.
        </p>
      ) : null}
    </div>
  )
}
