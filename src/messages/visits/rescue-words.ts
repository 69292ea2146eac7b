import type { RescueStage, StopRule } from '@/core/visits/rescue-plan'
import { VISIT_NOTE_LENGTH } from '@/domain/visits/visit'
import type { Texts } from '../texts'

const amount = (value: number): string => String(Number(value.toPrecision(2)))

/** When a stage of a rescue stops or waits. */
export function stopRuleWords(rule: StopRule, t: Texts): string {
  switch (rule.code) {
    case 'low-oxygen':
      return t('visits.rescueStops.lowOxygen', { mgL: rule.mgL })
    case 'gasping':
      return t('visits.rescueStops.gasping')
    case 'sludge-smell':
      return t('visits.rescueStops.sludgeSmell')
    case 'ammonia-waits':
      return t('visits.rescueStops.ammoniaWaits', { mgL: rule.mgL })
    case 'cold-water':
      return t('visits.rescueStops.coldWater', { waterC: Math.round(rule.waterC), leastC: rule.leastC })
    case 'nitrite-waits':
      return t('visits.rescueStops.nitriteWaits', { mgL: rule.mgL })
  }
}

function changeWords({ changeM3, expected: { tan, nitrite } }: RescueStage, t: Texts): string {
  const left = [
    ...(tan === null ? [] : [t('visits.rescueStage.ammoniaLeft', { mgL: amount(tan) })]),
    ...(nitrite === null ? [] : [t('visits.rescueStage.nitriteLeft', { mgL: amount(nitrite) })]),
  ].join(', ')
  const volume = amount(changeM3)
  return left ? t('visits.rescueStage.changeLeaves', { volume, left }) : t('visits.rescueStage.change', { volume })
}

/** What a stage is to do, in lines: the same for the page and for the crew's note. */
export function stageLines(stage: RescueStage, t: Texts): string[] {
  const { kh } = stage
  return [
    changeWords(stage, t),
    ...(kh
      ? [
          t(`visits.rescueKh.${kh.waitsFor ?? 'nothing'}`, {
            riseDH: amount(kh.riseDH),
            bicarbonateG: amount(kh.bicarbonateG),
          }),
        ]
      : []),
    ...(stage.binder ? [t('visits.rescueStage.binder')] : []),
    ...stage.stopRules.map((rule) => stopRuleWords(rule, t)),
  ]
}

export const stageNote = (stage: RescueStage, at: number, of: number, t: Texts): string =>
  [t('visits.rescueStage.heading', { stage: at + 1, of }), ...stageLines(stage, t)]
    .join('. ')
    .slice(0, VISIT_NOTE_LENGTH)
