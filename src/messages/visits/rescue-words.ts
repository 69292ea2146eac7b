import { addDays, daysBetween } from '@/core/numeric/calendar'
import type { RescuePlan, RescueStage, StopRule } from '@/core/visits/rescue-plan'
import type { GhStep, Span } from '@/core/visits/rescue-water'
import type { ReadingKindName } from '@/core/water/readings'
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
      return t('visits.rescueStops.coldWater', { leastC: rule.leastC })
    case 'nitrite-waits':
      return t('visits.rescueStops.nitriteWaits', { mgL: rule.mgL })
  }
}

const spanWords = ([from, to]: Span): string => {
  const [low, high] = [amount(from), amount(to)]
  return low === high ? low : `${low}–${high}`
}

function changeWords({ changeM3, changeLimit, expected: { tan, nitrite } }: RescueStage, t: Texts): string[] {
  const why = changeLimit ? [t(`visits.rescueChange.${changeLimit}`)] : []
  if (changeM3 === 0) return [t('visits.rescueStage.noChange'), ...why]
  const left = [
    ...(tan === null ? [] : [t('visits.rescueStage.ammoniaLeft', { mgL: spanWords(tan) })]),
    ...(nitrite === null ? [] : [t('visits.rescueStage.nitriteLeft', { mgL: spanWords(nitrite) })]),
  ].join(', ')
  const volume = amount(changeM3)
  return [
    left ? t('visits.rescueStage.changeLeaves', { volume, left }) : t('visits.rescueStage.change', { volume }),
    ...why,
  ]
}

const ghWords = ({ riseDH, calciumG, magnesiumG }: GhStep, t: Texts): string =>
  t('visits.rescueStage.raiseGh', {
    riseDH: amount(riseDH),
    calciumG: amount(calciumG),
    magnesiumG: amount(magnesiumG),
  })

/**
 * What a stage is to do, in lines: the same for the page and for the crew's note.
 * @param binder how much of the firm's own binder a dose is; null where it has none
 */
export function stageLines(stage: RescueStage, binder: string | null, t: Texts): string[] {
  const { kh, gh, section } = stage
  return [
    ...(section ? [t('visits.rescueStage.section', { at: section[0], of: section[1] })] : []),
    ...(stage.noFeed ? [t('visits.rescueStage.noFeed')] : []),
    ...changeWords(stage, t),
    ...(kh
      ? [
          t(`visits.rescueKh.${kh.waitsFor ?? 'nothing'}`, {
            riseDH: amount(kh.riseDH),
            bicarbonateG: amount(kh.bicarbonateG),
          }),
        ]
      : []),
    ...(gh ? [ghWords(gh, t)] : []),
    ...(stage.binder ? [binderWords(binder, t)] : []),
    ...(stage.afterPause ? [t('visits.rescueStage.testedAnew')] : []),
    ...(stage.waitsForWarmthDays > 0 ? [t('visits.rescueStage.waitsForWarmth')] : []),
    ...stage.stopRules.map((rule) => stopRuleWords(rule, t)),
  ]
}

const binderWords = (binder: string | null, t: Texts): string =>
  binder ? t('visits.rescueStage.binderAmount', { amount: binder }) : t('visits.rescueStage.binder')

export const stageNote = (
  stage: RescueStage,
  { at, of, binder }: { readonly at: number; readonly of: number; readonly binder: string | null },
  t: Texts,
): string =>
  [t('visits.rescueStage.heading', { stage: at + 1, of }), ...stageLines(stage, binder, t)]
    .join('. ')
    .slice(0, VISIT_NOTE_LENGTH)

/** Work of a task between the visits, minutes. @source house default */
const TASK_MINUTES = 15
/** Days in which a test that ends it may be made. */
const TEST_SLACK_DAYS = 3

/** A task of the rescue beside its visits. */
interface RescueTask {
  readonly title: string
  readonly readings: ReadingKindName[]
  readonly dueFrom: string
  readonly dueTo: string
  readonly minutes: number
}

/** The days after one and before another. */
const between = (from: string, to: string): string[] =>
  Array.from({ length: Math.max(0, daysBetween(from, to) - 1) }, (_, i) => addDays(from, i + 1))

/**
 * What is to be done beside the visits: food stops, binder on the days between, GH in steps, and the tests that end it.
 * @param days on which the stages really are, in order
 * @returns the earliest first
 */
export function rescueTasks(plan: RescuePlan, days: readonly string[], binder: string | null, t: Texts): RescueTask[] {
  const on = (day: string, title: string): RescueTask => ({
    title,
    readings: [],
    dueFrom: day,
    dueTo: day,
    minutes: TASK_MINUTES,
  })
  const tests = (test: readonly string[], title: 'pauseTest' | 'finalTest') =>
    test.map((day, i): RescueTask => ({
      title: t(`visits.rescueStage.${title}`, { test: i + 1, of: test.length }),
      readings: ['tan', 'nitrite'],
      dueFrom: day,
      dueTo: addDays(day, TEST_SLACK_DAYS),
      minutes: TASK_MINUTES,
    }))
  return [
    // said at the start, and again where a pause ended the food stop
    ...plan.stages.flatMap(({ noFeed, afterPause }, i) =>
      noFeed && (i === 0 || afterPause) ? [on(days[i]!, t('visits.rescueStage.tellNoFeed'))] : [],
    ),
    ...(plan.stages[0]!.binder ? between(days[0]!, days[1]!) : []).map((day) => on(day, binderWords(binder, t))),
    ...plan.stages.flatMap(({ gh }, i) => (gh ? [on(days[i]!, ghWords(gh, t))] : [])),
    ...tests(plan.pauseTests, 'pauseTest'),
    // a crew that was elsewhere put the last stage off: the tests that end it come after it all the same
    ...tests(
      plan.finalTests.map((day) => addDays(day, daysBetween(plan.stages.at(-1)!.day, days.at(-1)!))),
      'finalTest',
    ),
  ].sort((a, b) => a.dueFrom.localeCompare(b.dueFrom))
}
