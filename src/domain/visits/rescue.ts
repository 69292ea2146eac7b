import { z } from 'zod'
import type { RescueStage, StopRule } from '../../core/visits/rescue-plan'
import { calendarDay, numberWithin } from '../shared/fields'
import { CrewId } from '../shared/ids'
import { clockTime, VISIT_NOTE_LENGTH } from './visit'
import { said } from '../shared/said'

/** What is asked before a rescue is planned; tests that were not made stay empty. */
export const RescueInput = z.strictObject({
  first: calendarDay,
  crewId: CrewId,
  startTime: clockTime,
  tan: numberWithin([0, 100], 'visits.fields.totalAmmonia', 'mg/L').nullable(),
  nitrite: numberWithin([0, 100], 'visits.fields.nitrite', 'mg/L').nullable(),
  ph: numberWithin([3, 12], 'visits.fields.ph', '').nullable(),
  khDH: numberWithin([0, 60], 'visits.fields.kh', '°dH').nullable(),
  oxygenMgL: numberWithin([0, 30], 'visits.fields.dissolvedOxygen', 'mg/L').nullable(),
  hasMedia: z.boolean(),
  rockSections: z
    .int({ error: said('visits.problems.giveWholeSections') })
    .min(0)
    .max(6, { error: said('visits.problems.atMostSixSections') }),
})
export type RescueInput = z.infer<typeof RescueInput>

const figure = (value: number): string => String(Number(value.toPrecision(2)))

export function stopRuleWords(rule: StopRule): string {
  switch (rule.code) {
    case 'low-oxygen':
      return `Stop and aerate while oxygen is below ${rule.mgL} mg/L`
    case 'gasping':
      return 'Stop when fish gasp at the surface'
    case 'sludge-smell':
      return 'Stop at a smell of bad eggs: ventilate, leave'
    case 'ammonia-waits':
      return `Wait a week while total ammonia is above ${rule.mgL} mg/L`
    case 'cold-water':
      return `Water of about ${Math.round(rule.waterC)} °C is to be expected: the bacteria sleep, so living media wait until it has ${rule.leastC} °C`
    case 'nitrite-waits':
      return `Wait a week while nitrite is above ${rule.mgL} mg/L`
  }
}

const KH_WAITS = {
  nothing: '',
  tests: 'Only after ammonia and pH are tested and its gate lets it through: ',
  ammonia: 'Not while ammonia would turn toxic by it; once its gate lets it through: ',
} as const

/** What a stage is to do, in lines: the same for the page and for the crew's note. */
export function stageLines(stage: RescueStage): string[] {
  const { tan, nitrite } = stage.expected
  const left = [tan === null ? '' : `ammonia ${figure(tan)}`, nitrite === null ? '' : `nitrite ${figure(nitrite)}`]
    .filter(Boolean)
    .join(', ')
  return [
    `Change at most ${figure(stage.changeM3)} m³${left ? `; that leaves about ${left} mg/L` : ''}`,
    ...(stage.kh
      ? [
          `${KH_WAITS[stage.kh.waitsFor ?? 'nothing']}KH up by ${figure(stage.kh.riseDH)} °dH: ${figure(stage.kh.bicarbonateG)} g of sodium bicarbonate`,
        ]
      : []),
    ...(stage.binder ? ['Ammonia and nitrite binder, daily by its label until two tests are clean'] : []),
    ...stage.stopRules.map(stopRuleWords),
  ]
}

export const stageNote = (stage: RescueStage, at: number, of: number): string =>
  [`Rescue, stage ${at + 1} of ${of}`, ...stageLines(stage)].join('. ').slice(0, VISIT_NOTE_LENGTH)
