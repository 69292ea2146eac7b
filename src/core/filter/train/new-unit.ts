import { isSkimmer, type TrainKind, type TrainUnit } from './train-unit'
import { UNIT_FACTS } from './unit-facts'
import { sizeOf, UNIT_SIZES } from './unit-sizes'
import { flowForLamp, lampFor } from './uv'

const USUAL_MOUTH_M = 0.25
const USUAL_TOWER_M = 1.2
/** Media for each m³/h that passes, L. @source house default */
const MEDIA_L_PER_M3_PER_H = 12
/** Share of a pump's flow that a line of its own takes. */
const SIDE_SHARE = 0.25
/** Air for each m³ of pond, m³/h. @source house default, about 2 L/min per m³ */
const AIR_PER_POND = 0.12

/** What a new unit is drawn for. */
export interface UnitSite {
  readonly flowM3PerH: number
  readonly pondM3: number
}

/** A unit as it is usually put in, in a size that is sold. */
export function newUnit(kind: TrainKind, { flowM3PerH, pondM3 }: UnitSite): TrainUnit {
  const facts = UNIT_FACTS[kind]
  const [line] = facts.lines
  const through = line === 'side' ? flowM3PerH * SIDE_SHARE : flowM3PerH
  const wanted: TrainUnit = {
    kind,
    line,
    ratedFlowM3PerH: Math.max(1, Math.ceil(kind === 'aerator' ? pondM3 * AIR_PER_POND : through)),
    mediaL: facts.mediaM2PerL > 0 ? Math.max(30, through * MEDIA_L_PER_M3_PER_H) : 0,
    heightM: kind === 'trickle-tower' ? USUAL_TOWER_M : 0,
    weirM: isSkimmer(kind) ? USUAL_MOUTH_M : 0,
    meshUm: facts.meshUm,
    lampW: kind === 'uv' ? lampFor(through) : 0,
    overflow: false,
    clearanceM: null,
  }
  const sold = { ...wanted, [UNIT_SIZES[kind].by]: sizeOf(wanted) }
  // no lamp is strong enough for all of it: what one serves goes through, the rest past
  const served = kind === 'uv' ? flowForLamp(sold.lampW) : Infinity
  return served < through ? { ...sold, ratedFlowM3PerH: wholeBelow(served), overflow: true } : sold
}

/** Down to a tenth of a cubic metre an hour. */
const wholeBelow = (m3PerH: number): number => {
  const tenths = Math.floor(m3PerH * 10) / 10
  return Math.max(0.1, tenths)
}
