import type { ReadingKindName } from '../../core/water/readings'
import type { VisitStep } from '../../core/visits/step'
import type { FishBackReadings } from '../../core/visits/fish-back-gate'
import type { FillWater } from '../../core/water/fill-water'
import type { GateContext } from '../../core/visits/gates/gate'
import type { Entry, StepAnswer } from './visit'
import { HOUR_MS } from '../../core/numeric/time'

export type StepState =
  | { status: 'open' }
  | { status: 'done'; entry: Extract<Entry, { kind: 'done' }> }
  | { status: 'skipped'; entry: Extract<Entry, { kind: 'skipped' }> }

const byId = (a: { readonly id: string }, b: { readonly id: string }): number => {
  if (a.id === b.id) return 0
  return a.id < b.id ? -1 : 1
}

/** By the time things were done, the same on every device: equal times go by id. */
export const inOrder = <Line extends { readonly at: string; readonly id: string }>(lines: readonly Line[]): Line[] =>
  [...lines].sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || byId(a, b))

type Answered = Extract<Entry, { kind: 'done' | 'skipped' }>

const answersOf = (log: readonly Entry[], stepKey: string): Answered[] =>
  inOrder(log.filter((e): e is Answered => (e.kind === 'done' || e.kind === 'skipped') && e.stepKey === stepKey))

/**
 * The answer that stands: one that was corrected never comes back, whatever clocks say, since a correction names what
 * it replaces.
 * Between answers that knew nothing of each other the later one counts until somebody answers again having seen both.
 * @param answers of one step, in order
 */
function standingAnswer(answers: readonly Answered[]): Answered | undefined {
  const replaced = new Set(answers.flatMap((a) => (a.replaces ? [a.replaces as string] : [])))
  const ends = answers.filter((a) => !replaced.has(a.id))
  // every answer replaced by another is a ring that no device writes: then the order alone is left
  return (ends.length > 0 ? ends : answers).at(-1)
}

/** Where each step stands; earlier answers stay in the log as history. */
export function stepStates(steps: readonly VisitStep[], log: readonly Entry[]): Map<string, StepState> {
  const states = new Map<string, StepState>(steps.map((step) => [step.key, { status: 'open' }]))
  const keys = new Set(log.flatMap((e) => (e.kind === 'done' || e.kind === 'skipped' ? [e.stepKey] : [])))
  for (const key of keys) {
    const entry = standingAnswer(answersOf(log, key))
    if (entry) states.set(key, entry.kind === 'done' ? { status: 'done', entry } : { status: 'skipped', entry })
  }
  return states
}

/**
 * Answers of a step that its standing answer did not know of: two people answered the same step, each without the
 * other's.
 * Both are kept; the standing one counts until somebody answers again having seen both.
 */
export function unseenAnswers(log: readonly Entry[], stepKey: string): Answered[] {
  const answers = answersOf(log, stepKey)
  const standing = standingAnswer(answers)
  if (!standing) return []
  const byId = new Map(answers.map((a) => [a.id, a]))
  const seen = new Set<string>()
  for (
    let at: Answered | undefined = standing;
    at && !seen.has(at.id);
    at = at.replaces ? byId.get(at.replaces) : undefined
  )
    seen.add(at.id)
  return answers.filter((a) => !seen.has(a.id) && a.byId !== standing.byId)
}

/** The first step that nobody has answered. */
export const nextStep = (steps: readonly VisitStep[], states: ReadonlyMap<string, StepState>): VisitStep | undefined =>
  steps.find((step) => states.get(step.key)?.status === 'open')

/** The last start of a step's timer, ISO time, or null. */
export const timerStart = (log: readonly Entry[], stepKey: string): string | null =>
  log
    .filter((e) => e.kind === 'timer-started' && e.stepKey === stepKey)
    .map((e) => e.at)
    .sort((a, b) => Date.parse(a) - Date.parse(b))
    .at(-1) ?? null

/** The test that decides whether fish may go back: the latest answer to the test after refilling, and nothing older. */
export function fishBackReadings(states: ReadonlyMap<string, StepState>): FishBackReadings {
  const test = states.get('test-refilled')
  if (test?.status !== 'done') return {}
  return Object.fromEntries(
    Object.entries(test.entry.answer.readings ?? {}).map(([kind, reading]) => [
      kind,
      reading!.belowStep ? 0 : reading!.value,
    ]),
  )
}

/** What is known of the pond for judging gates, beside what this visit has logged. */
export interface GateFacts extends Pick<GateContext, 'systemM3' | 'planted'> {
  /** Between which the whole water lies in four of five ponds, m³; missing as below. */
  readonly systemRangeM3?: readonly [number, number]
  /** When a part of the water was last changed on another visit, ISO time; null: never, as far as is known. */
  readonly lastChangeAt: string | null
  /**
   * Fill water of the site and salt last found in the pond; missing in what a device kept from before they were
   * known.
   */
  readonly fill?: FillWater | null
  readonly salinity?: number | null
  /**
   * Fish that the first day of this cleanout put into tanks; null where this visit is no second day, or none were
   * counted.
   */
  readonly fishInTanks?: FishInTanks | null
}

export interface FishInTanks {
  readonly count: number
  readonly losses: number
}

/** Fish that left the pond on a visit, by its standing answer. */
export function fishTakenOut(states: ReadonlyMap<string, StepState>): FishInTanks | null {
  const out = states.get('fish-out')
  if (out?.status !== 'done' || !out.entry.answer.fish) return null
  return {
    count: out.entry.answer.fish.reduce((sum, line) => sum + line.count, 0),
    losses: out.entry.answer.losses ?? 0,
  }
}

/**
 * What a step's gate judges by: the newest readings of this visit, and what the step is about to do.
 * @param atMs when it is done, ms since 1970
 */
export function gateContext(
  states: ReadonlyMap<string, StepState>,
  answer: Pick<StepAnswer, 'readings' | 'figures' | 'choice'>,
  { systemM3, planted, lastChangeAt, fill = null, salinity = null, fishInTanks = null }: GateFacts,
  atMs: number,
): GateContext {
  const done = inOrder([...states.values()].flatMap((s) => (s.status === 'done' ? [s.entry] : [])))
  const valuesOf = (readings: StepAnswer['readings']) =>
    Object.fromEntries(
      Object.entries(readings ?? {}).map(([kind, reading]) => [kind, reading!.belowStep ? 0 : reading!.value]),
    )
  const wentOut = states.get('fish-out')?.status === 'done' || fishInTanks !== null
  return {
    systemM3,
    planted,
    hoursSinceChange: lastChangeAt === null ? null : (atMs - Date.parse(lastChangeAt)) / HOUR_MS,
    fill,
    // salt leaves only with water: what was found last counts until it is tested again
    readings: Object.assign(
      salinity === null ? {} : { salinity },
      ...done.map((entry) => valuesOf(entry.answer.readings)),
      valuesOf(answer.readings),
    ),
    refilled: fishBackReadings(states),
    figures: answer.figures ?? {},
    choice: answer.choice ?? null,
    fishOut: wentOut && states.get('fish-back')?.status === 'open',
  }
}

/** Chlorine found in the tap today, mg/L, or null before it is tested. */
export const tapChlorine = (states: ReadonlyMap<string, StepState>): number | null => ofTap(states, 'tapChlorine')

/** Of it bound as chloramine, mg/L, or null where it was not tested. */
export const tapChloramine = (states: ReadonlyMap<string, StepState>): number | null => ofTap(states, 'tapChloramine')

function ofTap(states: ReadonlyMap<string, StepState>, kind: ReadingKindName): number | null {
  const test = states.get('test-tap')
  return test?.status === 'done' ? (test.entry.answer.readings?.[kind]?.value ?? null) : null
}

/** Carbonate hardness tested on this visit, °dH, or null before. */
export function khToday(states: ReadonlyMap<string, StepState>): number | null {
  const values = [...states.values()].flatMap((s) =>
    s.status === 'done' && s.entry.answer.readings?.kh
      ? [{ at: s.entry.at, id: s.entry.id, ...s.entry.answer.readings.kh }]
      : [],
  )
  const newest = inOrder(values).at(-1)
  if (newest) {
    if (newest.belowStep) return 0
    return newest.value
  }
  return null
}

/** What a step still lacks before it can be called done. */
/** What an answer may lack. */
export type Missing = ReadingKindName | 'choice' | 'fish' | 'photo' | 'signedBy'

export function missingFrom(step: VisitStep, answer: StepAnswer, photos: number): Missing[] {
  const missing: Missing[] = (step.required ?? []).filter((kind) => answer.readings?.[kind] === undefined)
  if (step.kind === 'decide' && !answer.choice) missing.push('choice')
  if (step.kind === 'count-fish' && !answer.fish) missing.push('fish')
  if (step.kind === 'photo' && photos === 0 && (answer.photos ?? []).length === 0) missing.push('photo')
  if (step.kind === 'sign' && !answer.signedBy) missing.push('signedBy')
  return missing
}
