import fc from 'fast-check'
import { STEP_FIGURE_NAMES } from '../../core/visits/figures'
import { visitTypeByRules, type VisitRules } from '../../core/visits/steps-by-rules'
import type { VisitStep, VisitType } from '../../core/visits/step'
import { READING_KINDS, type ReadingKindName } from '../../core/water/readings'
import { answerProblem } from './step-check'
import { judgeStep } from './step-gate'
import type { Entry, StepAnswer } from './visit'
import { gateContext, nextStep, stepStates, type GateFacts } from './visit-progress'
import { MINUTE_MS } from '../../core/numeric/time'
import { JOBS_IN_WORDS, LATER_DAYS_IN_WORDS, VISIT_WORDS } from '../../../tests/fixtures/jobs-in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'

/** Words that used to decide something, and anything else that somebody may write. */
const words = fc.oneof(
  fc.constantFrom('Left: keep', 'In tap water', 'Missing.', 'is unusual', 'Stop', 'No smell, fish calm', ''),
  fc.string({ maxLength: 30 }),
)

/** Every text of a visit type, replaced by what the firm likes to read; keys, codes, kinds and figures stay. */
function relabelled(type: VisitType, said: readonly string[]): VisitType {
  let at = 0
  const say = () => said[at++ % said.length]!
  const reword = (step: VisitStep): VisitStep => ({
    ...step,
    section: say(),
    title: say(),
    detail: say(),
    ...(step.safety === undefined ? {} : { safety: say() }),
    ...(step.choices ? { choices: step.choices.map(({ code }) => ({ code, label: say() })) } : {}),
  })
  return { ...type, name: say(), customerNote: say(), followUpTitle: say(), steps: type.steps.map(reword) }
}

const rules: fc.Arbitrary<VisitRules> = fc.record({
  bacteria: fc.constantFrom('regular', 'after-disturbance', 'none'),
  uv: fc.constantFrom('always', 'crutch', 'never'),
  winterSalt: fc.constantFrom('none', 'tenth-percent'),
  stringAlgae: fc.constantFrom('by-place', 'ioniser', 'hand', 'treat'),
  waterChanges: fc.constantFrom('routine', 'top-up'),
  mediaRinse: fc.constantFrom('pond-water', 'tap-reset'),
  winterIntake: fc.constantFrom('upper', 'unchanged'),
  rinsing: fc.constantFrom('hose', 'pressure'),
  feedingStartWaterC: fc.constantFrom(8, 10),
  feedingNormalWaterC: fc.constantFrom(12, 15),
})

/** Water in which everything may be done. */
const GOOD_WATER: Partial<Record<ReadingKindName, number>> = {
  waterTemp: 15,
  tapTemp: 15,
  tankTemp: 15,
  ph: 7.4,
  kh: 6,
  tan: 0,
  nitrite: 0,
  dissolvedOxygen: 9,
  freeChlorine: 0,
}

/** An answer that the step may get: any of its codes, and readings and figures from nothing to far too much. */
function answerOf(step: VisitStep, dice: readonly number[]): StepAnswer {
  let at = 0
  const roll = () => dice[at++ % dice.length]
  const reading = (kind: ReadingKindName) => {
    const { possible, likely } = READING_KINDS[kind]
    const luck = roll()
    const good = GOOD_WATER[kind]
    const [min, max] = luck! > 0.9 ? possible : likely
    if (luck! < 0.7 && good !== undefined) return [kind, { value: good, belowStep: false }] as const
    return [kind, { value: min + (max - min) * roll()! ** 2, belowStep: false }] as const
  }
  const choices = step.choices ?? []
  return {
    readings: Object.fromEntries((step.readings ?? []).filter(() => roll()! > 0.2).map(reading)),
    figures: Object.fromEntries(
      STEP_FIGURE_NAMES.filter((name) => step.figures?.includes(name)).map((name) => [name, 2 * roll()!]),
    ),
    ...(choices.length > 0 ? { choice: choices[Math.floor(roll()! * choices.length) % choices.length]!.code } : {}),
    ...(step.kind === 'count-fish' ? { fish: [{ species: 'koi' as const, count: Math.floor(roll()! * 6) }] } : {}),
    ...(step.products && roll()! > 0.5
      ? { doses: [{ productKey: USUAL_PRODUCTS_IN_WORDS[0]!.key, name: '', amount: roll()! * 500, unit: 'g' }] }
      : {}),
    note: '',
  }
}

/** Rolls from 0 to 1; of doubles nearly all would be close to 0. */
const manyRolls = fc.array(
  fc.integer({ min: 0, max: 1000 }).map((n) => n / 1000),
  { minLength: 11, maxLength: 60 },
)

const FACTS: GateFacts = {
  systemM3: 12,
  planted: true,
  lastChangeAt: '2027-04-09T09:00:00Z',
  fill: null,
  salinity: 0.5,
  fishInTanks: null,
}
const START_MS = Date.parse('2027-04-10T09:00:00Z')
/** What every step of a visit is told, one after the other, by codes alone. */
function verdicts(type: VisitType, dice: readonly number[]): unknown[] {
  const log: Entry[] = []
  return type.steps.map((step, i) => {
    const atMs = START_MS + i * 5 * MINUTE_MS
    // the dice of a step do not hang on the texts of the others
    const answer = answerOf(step, dice.slice(i % dice.length).concat(dice))
    const states = stepStates(type.steps, log)
    const context = gateContext(states, answer, FACTS, atMs)
    const judged = judgeStep(step, context, answer, USUAL_PRODUCTS_IN_WORDS, [], { states, timerStartedAt: null, atMs })
    const problem = answerProblem(step, answer, 0, false)
    const next = nextStep(type.steps, states)?.key
    log.push({
      kind: 'done',
      id: `e${i}`,
      stepKey: step.key,
      at: new Date(atMs).toISOString(),
      answer,
      confirmedUnlikely: true,
      replaces: null,
      byId: 'u',
      byName: 'Tamsy',
      receivedAt: new Date(atMs).toISOString(),
    } as unknown as Entry)
    return { key: step.key, next, judged, problem }
  })
}

const ALL = [...JOBS_IN_WORDS, ...LATER_DAYS_IN_WORDS]

describe('any relabelling of any visit type changes no gate’s verdict', () => {
  it.each(ALL.map((type) => [type.key, type] as const))('%s', (_, type) =>
    fc.assert(
      fc.property(rules, fc.array(words, { minLength: 7, maxLength: 40 }), manyRolls, (house, said, dice) => {
        const usual = visitTypeByRules(type, house, VISIT_WORDS)
        const own = visitTypeByRules(relabelled(type, said), house, VISIT_WORDS)
        expect(verdicts(own, dice)).toEqual(verdicts(usual, dice))
      }),
      { numRuns: 60 },
    ),
  )

  it('and verdicts there are: each gate says stop to some of these answers and lets others pass', () => {
    const seen = new Map<string, Set<string>>()
    for (const dice of fc.sample(manyRolls, 400))
      for (const type of ALL)
        for (const { judged } of verdicts(type, dice) as {
          judged: { kind: string; gate: { status: string } } | null
        }[])
          if (judged) seen.set(judged.kind, (seen.get(judged.kind) ?? new Set()).add(judged.gate.status))
    const gates = [...new Set(ALL.flatMap((type) => type.steps.flatMap((step) => (step.gate ? [step.gate] : []))))]
    for (const gate of gates) expect([gate, [...(seen.get(gate) ?? [])].sort()]).toEqual([gate, ['safe', 'stop']])
  })
})
