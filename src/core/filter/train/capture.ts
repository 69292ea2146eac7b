import { isInline, isSkimmer, type TrainUnit } from './train-unit'
import { UNIT_FACTS } from './unit-facts'

/**
 * Sizes of suspended solids of ponds and fish tanks by mass: the share larger than a mesh is exp(−(mesh/d₀)^n).
 * A pump breaks what passes through it.
 * @source house default, fitted to what screens of 40 to 300 µm are reported to keep (about 60 % down to 25 %)
 */
export const SOLIDS_SIZES = { wholeUm: 150, pumpedUm: 75, exponent: 0.5 } as const

/** Share of suspended solids, by mass, that is larger than a mesh. @param meshUm openings, µm */
export const largerThan = (meshUm: number, pumped: boolean): number =>
  Math.exp(-((meshUm / (pumped ? SOLIDS_SIZES.pumpedUm : SOLIDS_SIZES.wholeUm)) ** SOLIDS_SIZES.exponent))

/** A unit with the flow through it. */
export interface Passed {
  readonly unit: TrainUnit
  /** Flow of the line it stands in, m³/h. */
  readonly lineM3PerH: number
  /** Flow through it, m³/h; the rest passes it. */
  readonly flowM3PerH: number
}

/**
 * Share that a unit keeps of the solids that come to it, one after the other: what a finer screen let through
 * a coarser one lets through as well, and what comes over the rated flow is not held.
 * a line of its own sees its part of the water that goes round.
 * @param units in the order of the water, of one line after the other
 * @param pumpM3PerH flow of the pump's line
 */
export function keptShares(units: readonly Passed[], pumpM3PerH: number): number[] {
  let cutUm = Infinity
  return units.map(({ unit, lineM3PerH }) => {
    if (isSkimmer(unit.kind) || lineM3PerH <= 0) return 0
    const seen = isInline(unit) ? 1 : lineM3PerH / (lineM3PerH + pumpM3PerH)
    const treated = seen * Math.min(1, unit.ratedFlowM3PerH / lineM3PerH)
    if (unit.meshUm === 0) return UNIT_FACTS[unit.kind].solidsShare * treated
    if (unit.meshUm >= cutUm) return 0
    const pumped = unit.line === 'pressure'
    const gone = Number.isFinite(cutUm) ? largerThan(cutUm, pumped) : 0
    const share = (largerThan(unit.meshUm, pumped) - gone) / (1 - gone)
    if (treated === 1) cutUm = unit.meshUm
    return share * treated
  })
}

/** Share of what fish leave that passes the whole train. Skimmers keep what floats, not faeces. */
export const solidsPast = (kept: readonly number[]): number => kept.reduce((left, share) => left * (1 - share), 1)

/**
 * Share of leaf litter that passes the train: skimmers side by side each clean their part of the surface, so they
 * keep as much as one.
 */
export function litterPast(units: readonly TrainUnit[]): number {
  const skimmers = units.filter((unit) => isSkimmer(unit.kind))
  const flow = skimmers.reduce((sum, unit) => sum + unit.ratedFlowM3PerH, 0)
  const skimmed = skimmers.reduce(
    (sum, unit) => sum + UNIT_FACTS[unit.kind].litterShare * (unit.ratedFlowM3PerH / flow),
    0,
  )
  return units
    .filter((unit) => !isSkimmer(unit.kind) && unit.line !== 'pond' && unit.line !== 'side')
    .reduce((left, unit) => left * (1 - UNIT_FACTS[unit.kind].litterShare), 1 - skimmed)
}
