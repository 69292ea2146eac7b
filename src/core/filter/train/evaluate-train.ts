import type { Nitrification } from '../sizing/nitrification'
import type { FilterDesign } from '../design-input'
import { fallsReaeration } from '../../hydraulics/falls'
import { keptShares, litterPast, solidsPast, type Passed } from './capture'
import { intakeDropM } from './intake-line'
import { passRemoval, wettedShare, workingSurfaceM2 } from './media'
import { misplaced, type Misplaced } from './order'
import { hasOwnPump, type TrainFlows } from './train-flow'
import { unitHeadM } from './train-head'
import type { TrainUnit } from './train-unit'
import { UNIT_FACTS } from './unit-facts'
import { sizeOf } from './unit-sizes'
import { UV, uvDoseMjPerCm2 } from './uv'

/** What one unit does at the flow it gets. */
export interface UnitResult extends Passed {
  /** The size it is bought in, by what its kind is sold by. */
  readonly size: number
  /** What of its line passes it by, m³/h. */
  readonly pastM3PerH: number
  readonly headM: number
  /** Share that it keeps of the solids that come to it, and what that is, g dry a day with grown fish. */
  readonly keptShare: number
  readonly solidsGPerD: number
  readonly workingSurfaceM2: number
  readonly wettedShare: number
  /** Share of its TAN that water loses in it in the month of most feed. */
  readonly removal: number
  /** Oxygen that it brings into the water, g a day. */
  readonly oxygenGPerD: number
  readonly washM3PerD: number
  readonly powerW: number
  /** Dose in green water with a new lamp and with one at the end of its life, mJ/cm²; null for others. */
  readonly uv: { readonly newMjPerCm2: number; readonly endMjPerCm2: number } | null
}

export interface TrainResult {
  readonly units: readonly UnitResult[]
  /** Share of what fish leave, and of leaf litter, that still reaches the bed. */
  readonly solidsPast: number
  readonly litterPast: number
  readonly washM3PerD: number
  readonly powerW: number
  /** While the pumps run; air all year. */
  readonly energyKWhPerYear: number
  readonly oxygenGPerD: number
  /** How far the water stands below the pond where the pump draws it, m. */
  readonly intakeDropM: number
  readonly misplaced: readonly Misplaced[]
}

/** Solids that fish leave, g dry per kg of feed. @source domain default, a quarter of the feed */
const SOLIDS_G_PER_KG = 250
/**
 * Oxygen that air brings, g per m³: air of 1.2 kg/m³ with 23 % oxygen, of which bubbles of a stone about a metre down
 * give a thirtieth to water without any, and water that wants a third of its oxygen takes a third of that.
 * @source standard transfer of coarse stones, about 3 % a metre
 */
const OXYGEN_G_PER_M3_AIR = 1200 * 0.23 * 0.03 * 0.33
/** Oxygen that pond water wants when air matters, mg/L below saturation. @source house default, a warm night */
const WANTED_MG_L = 3
/** Head that a unit's own pump works against beside the unit's, m, and how much of its power moves water. */
const OWN_PUMP = { liftM: 0.6, efficiency: 0.35 } as const
const BALLAST = 1.1
const HOURS_PER_MONTH = 8760 / 12

/**
 * The train at its flows, unit by unit.
 * @param units with what passes through them
 * @param most feed of the day that most is fed, kg, the water then, °C, and what nitrification goes by
 * @param months that the pumps run, of twelve
 */
export function evaluateTrain(
  design: Pick<FilterDesign, 'train' | 'intakePipe' | 'network'>,
  units: readonly Passed[],
  flows: TrainFlows,
  most: { readonly feedKgPerD: number; readonly tempC: number; readonly nitrification: Nitrification },
  months: number,
): TrainResult {
  const kept = keptShares(units, flows.pumpM3PerH)
  let comingG = most.feedKgPerD * SOLIDS_G_PER_KG
  const worked = units.map((passed, i): UnitResult => {
    const { unit, flowM3PerH, lineM3PerH } = passed
    const solidsGPerD = comingG * kept[i]!
    comingG -= solidsGPerD
    return {
      ...passed,
      size: sizeOf(unit),
      pastM3PerH: lineM3PerH - flowM3PerH,
      headM: unitHeadM(unit, lineM3PerH),
      keptShare: kept[i]!,
      solidsGPerD,
      workingSurfaceM2: workingSurfaceM2(passed),
      wettedShare: wettedShare(unit, flowM3PerH),
      removal: passRemoval(passed, { ...most, rate: 1 }),
      oxygenGPerD: oxygenOf(passed, most.tempC),
      washM3PerD: washOf(unit, solidsGPerD),
      powerW: powerOf(passed, hasOwnPump(unit, flows)),
      uv:
        unit.kind === 'uv'
          ? {
              newMjPerCm2: uvDoseMjPerCm2(unit.lampW, flowM3PerH, 0, UV.greenPerCm),
              endMjPerCm2: uvDoseMjPerCm2(unit.lampW, flowM3PerH, 1, UV.greenPerCm),
            }
          : null,
    }
  })
  const sum = (of: (result: UnitResult) => number) => worked.reduce((total, result) => total + of(result), 0)
  return {
    units: worked,
    solidsPast: solidsPast(kept),
    litterPast: litterPast(design.train),
    washM3PerD: sum((result) => result.washM3PerD),
    powerW: sum((result) => result.powerW),
    energyKWhPerYear: sum(
      ({ unit, powerW }) => (powerW / 1000) * HOURS_PER_MONTH * (unit.kind === 'aerator' ? 12 : months),
    ),
    oxygenGPerD: sum((result) => result.oxygenGPerD),
    intakeDropM: intakeDropM(design, flows.pumpM3PerH),
    misplaced: misplaced(design.train),
  }
}

/** Air by its flow; towers by the fall of the water through them. */
function oxygenOf({ unit, flowM3PerH }: Passed, tempC: number): number {
  if (unit.kind === 'aerator') return unit.ratedFlowM3PerH * OXYGEN_G_PER_M3_AIR * 24
  if (unit.kind !== 'trickle-tower') return 0
  return fallsReaeration(unit.heightM, tempC) * WANTED_MG_L * flowM3PerH * 24
}

/** Spray bars and tanks grow less than the surface that they wash. @source house default, as costs grow with size */
const WASH_GROWTH = 0.6

/** A unit is washed when it has taken what it holds, and at least so often; larger ones hold and use more. */
function washOf(unit: TrainUnit, solidsGPerD: number): number {
  const { washAtG, washM3, washesPerDayLeast } = UNIT_FACTS[unit.kind]
  if (washM3 === 0) return 0
  const larger = unit.ratedFlowM3PerH / 10
  return Math.max(washesPerDayLeast, solidsGPerD / (washAtG * larger)) * washM3 * larger ** WASH_GROWTH
}

function powerOf({ unit, lineM3PerH }: Passed, ownPump: boolean): number {
  const fixed = (UNIT_FACTS[unit.kind].powerWPer10M3PerH * unit.ratedFlowM3PerH) / 10
  const lamp = unit.lampW * BALLAST
  if (!ownPump) return fixed + lamp
  const headM = unitHeadM(unit, lineM3PerH) + OWN_PUMP.liftM
  return fixed + lamp + (9.81 * (lineM3PerH / 3.6) * headM) / OWN_PUMP.efficiency
}
