import { UV } from '../train/uv'
import { isInline } from '../train/train-unit'
import { UNIT_FACTS } from '../train/unit-facts'
import type { UnitResult } from '../train/evaluate-train'
import { atMost, check, graded, type Check, type CheckContext } from './check'

/** Limits that a filter train is held to. @source house defaults */
export const TRAIN_LIMITS = {
  /** A unit may get this share over its rated flow before it is worth a look, and before it stops. */
  overShare: 1.05,
  overStopShare: 1.5,
  /** Media of a tower that stay dry give nothing; from this share on they do. */
  wettedLeast: 0.9,
  /** The water may stand this far below the pond where the pump draws it, m. */
  intakeLookM: 0.15,
  intakeStopM: 0.3,
  /** Wash water of a week as a share of the pond. */
  washWeekShare: 0.1,
} as const

/** How many times its rated flow a unit gets. */
export const loadingOf = ({ flowM3PerH, unit }: Pick<UnitResult, 'flowM3PerH' | 'unit'>): number =>
  flowM3PerH / unit.ratedFlowM3PerH

/** Units that are too small for what comes to them: nothing leads the surplus past. */
export const overrun = (units: readonly UnitResult[]): UnitResult[] =>
  units.filter((result) => isInline(result.unit) && loadingOf(result) > TRAIN_LIMITS.overShare)

/** Units whose media stay partly dry. */
export const underwet = (units: readonly UnitResult[]): UnitResult[] =>
  units.filter((result) => result.wettedShare < TRAIN_LIMITS.wettedLeast)

/** Units that cannot be reached for their service, or where nobody has looked. */
export const unreached = (units: readonly UnitResult[]): UnitResult[] =>
  units.filter(({ unit }) => (unit.clearanceM ?? 0) < UNIT_FACTS[unit.kind].clearanceM - 1e-9)

/** The filter train: flow of each unit, order, levels before the pump, lamps, heat, wash water, reach. */
export function trainChecks(context: CheckContext): Check[] {
  const { units } = context.result.train
  return [
    ...(units.length === 0 ? [] : [flowCheck(units), orderCheck(context)]),
    ...levelCheck(context),
    ...units
      .filter((u) => u.uv !== null)
      .slice(0, 1)
      .map((first) => doseCheck(units, first)),
    ...heaterCheck(context),
    ...washCheck(context),
    ...(units.some(({ unit }) => UNIT_FACTS[unit.kind].clearanceM > 0) ? [reachCheck(units)] : []),
  ]
}

function flowCheck(units: readonly UnitResult[]): Check {
  const worst = units.reduce((max, u) => (isInline(u.unit) && loadingOf(u) > loadingOf(max) ? u : max), units[0]!)
  const dry = underwet(units)[0]
  const over = overrun(units)
  if (over.length === 0 && dry)
    return check('train-flow', 'look', dry.wettedShare, TRAIN_LIMITS.wettedLeast, {
      kind: dry.unit.kind,
      problem: 'dry',
      flow: dry.flowM3PerH,
    })
  const loading = isInline(worst.unit) ? loadingOf(worst) : 0
  return check(
    'train-flow',
    atMost(loading, TRAIN_LIMITS.overShare, TRAIN_LIMITS.overStopShare),
    worst.flowM3PerH,
    worst.unit.ratedFlowM3PerH,
    { kind: worst.unit.kind, problem: over.length > 0 ? 'over' : 'none', count: over.length },
  )
}

function orderCheck({ result }: CheckContext): Check {
  const { misplaced } = result.train
  const [first] = misplaced
  return check('train-order', first ? 'look' : 'pass', misplaced.length, 0, {
    ...(first ? { first: first.first, then: first.then, why: first.why } : { first: '', then: '', why: 'none' }),
  })
}

/** In a gravity line the pump's chamber falls until enough water runs to it; too far and it runs dry. */
function levelCheck({ design, result }: CheckContext): Check[] {
  if (design.intakePipe === null && !design.train.some((unit) => unit.line === 'intake')) return []
  if (design.pumpId === null) return []
  const dropM = result.train.intakeDropM
  return [
    check(
      'intake-level',
      atMost(dropM, TRAIN_LIMITS.intakeLookM, TRAIN_LIMITS.intakeStopM),
      dropM,
      TRAIN_LIMITS.intakeLookM,
      { flow: result.flowM3PerH, pipes: design.intakePipe?.count ?? 0 },
    ),
  ]
}

function doseCheck(units: readonly UnitResult[], first: UnitResult): Check {
  const least = units.reduce((min, u) => (u.uv && u.uv.endMjPerCm2 < min.uv!.endMjPerCm2 ? u : min), first)
  return check(
    'uv-dose',
    least.uv!.endMjPerCm2 >= UV.wantedMjPerCm2 ? 'pass' : 'look',
    least.uv!.endMjPerCm2,
    UV.wantedMjPerCm2,
    { fresh: least.uv!.newMjPerCm2, flow: least.flowM3PerH, lamp: least.unit.lampW },
  )
}

/** Where the pond is heated, enough water has to pass the heater; and it has to stand somewhere. */
function heaterCheck({ result, design }: CheckContext): Check[] {
  const heater = result.train.units.find(({ unit }) => unit.kind === 'heater')
  const branched = design.network?.branches.some((branch) => branch.kind === 'heater') ?? false
  if (!result.heating && !heater) return []
  const needed = result.heating?.flowM3PerH ?? 0
  const flow = heater?.flowM3PerH ?? 0
  if (!heater && branched) return []
  return [
    check(
      'heater-flow',
      graded(heater !== undefined && flow >= needed && result.heating !== null, true),
      flow,
      needed,
      {
        fitted: heater ? 'yes' : 'no',
        heated: result.heating ? 'yes' : 'no',
      },
    ),
  ]
}

function washCheck({ pond, result }: CheckContext): Check[] {
  const week = result.train.washM3PerD * 7
  if (week === 0) return []
  const share = week / pond.volumeM3
  return [
    check(
      'wash-water',
      share <= TRAIN_LIMITS.washWeekShare ? 'pass' : 'look',
      week,
      pond.volumeM3 * TRAIN_LIMITS.washWeekShare,
      { share },
    ),
  ]
}

/** What cannot be reached does not get cleaned. */
function reachCheck(units: readonly UnitResult[]): Check {
  const short = unreached(units)
  const unseen = short.filter(({ unit }) => unit.clearanceM === null)
  const worst = short.find(({ unit }) => unit.clearanceM !== null) ?? short[0]
  return check(
    'train-reach',
    short.length === 0 ? 'pass' : 'look',
    worst?.unit.clearanceM ?? 0,
    worst ? UNIT_FACTS[worst.unit.kind].clearanceM : 0,
    { kind: worst?.unit.kind ?? '', short: short.length, unseen: unseen.length },
  )
}
