import { ghDoseG, khDoseG } from '../water/dosing/doses'
import { fillTanMgL, type FillWater } from '../water/fill-water'
import { mixedWater } from '../water/mixing'
import { ammoniaReasons, WATER_CHANGE_LIMITS } from '../water/water-change-gate'
import { phAfterKhRise, RAISE_KH_LIMITS, raiseKhGate } from './gates/raise-kh'
import { KH_TARGET_DH } from './visit-amounts'

/** GH that ponds are brought to, °dH. @source house default, the lower end of 8–12 */
const GH_TARGET_DH = 8
/** Most that GH is raised on one day, °dH. @source house default, as for KH */
const GH_RISE_DH = 2
/** Share of calcium in a rise of GH; the rest is magnesium. @source house default */
const CALCIUM_SHARE = 0.75
/**
 * Nitrogen that a fish gives off while it is not fed, g TAN per kg and day at 20 °C, and its factor per degree.
 * @source endogenous excretion of carps, about 4 mg N/kg/h (Jobling 1994); Q10 about 2
 */
const FASTING = { gPerKgD: 0.1, theta: 1.072, atC: 20 } as const
/** Shares of the water that a change may come down to where a third would turn ammonia toxic, the largest first. */
const SHARES = [WATER_CHANGE_LIMITS.share, 0.25, 0.2, 0.15, 0.1, 0.05] as const
/** What is changed where pond or fill water are not tested: little enough for most. @source house default */
const UNTESTED_SHARE = 0.1
/** Toxic ammonia is reckoned for water this warm, °C: the tests of the day decide. */
const WARMEST_C = 24

/** From and to, mg/L: all that the fish give off is taken up by bacteria meanwhile, or none of it. */
export type Span = readonly [number, number]

/** Water as the plan walks it from stage to stage; null: not tested. */
export interface RescueWater {
  readonly tan: Span | null
  readonly nitrite: Span | null
  readonly ph: number | null
  readonly khDH: number | null
  readonly ghDH: number | null
}

/** What of the fill water a plan goes by. */
export type RescueFill = Pick<FillWater, 'ph' | 'khDH'> & Partial<Pick<FillWater, 'ghDH' | 'chloramineMgL'>>

/** What fish add while they are not fed. */
export function afterFasting(
  water: RescueWater,
  fishKg: number,
  systemM3: number,
  days: number,
  waterC: number,
): RescueWater {
  const mgL = (fishKg * FASTING.gPerKgD * FASTING.theta ** (waterC - FASTING.atC) * days) / systemM3
  const more = (span: Span | null): Span | null => span && [span[0], span[1] + mgL]
  return { ...water, tan: more(water.tan), nitrite: more(water.nitrite) }
}

/** Why a change is smaller than a third. */
export type ChangeLimit = 'tests' | 'fill' | 'ammonia'

export interface RescueChange {
  /** Share of the water that may be changed. */
  readonly share: number
  /** Why it is not a third; null where it is. */
  readonly limit: ChangeLimit | null
  readonly after: RescueWater
}

/**
 * The largest change that keeps ammonia from turning toxic, at most a third: hard fill water on a sour pond with
 * ammonia in it kills within the hour.
 */
export function safeChange(water: RescueWater, fill: RescueFill): RescueChange {
  const broughtMgL = fillTanMgL({ chloramineMgL: fill.chloramineMgL ?? null })
  const fillGhDH = fill.ghDH ?? null
  const thinned = (share: number, over: Partial<RescueWater>): RescueWater => {
    const mixed = (span: Span | null, brought: number): Span | null =>
      span && [span[0] * (1 - share) + brought * share, span[1] * (1 - share) + brought * share]
    const ghDH = water.ghDH === null || fillGhDH === null ? water.ghDH : water.ghDH * (1 - share) + fillGhDH * share
    return { ...water, tan: mixed(water.tan, broughtMgL), nitrite: mixed(water.nitrite, 0), ghDH, ...over }
  }
  const { tan, ph, khDH } = water
  if (tan === null || ph === null || khDH === null)
    return { share: UNTESTED_SHARE, limit: 'tests', after: thinned(UNTESTED_SHARE, {}) }
  if (fill.ph === null || fill.khDH === null)
    return { share: UNTESTED_SHARE, limit: 'fill', after: thinned(UNTESTED_SHARE, {}) }
  const pond = { ph, khDH, tanMgL: tan[1], tempC: WARMEST_C }
  const runsIn = { ph: fill.ph, khDH: fill.khDH, tempC: WARMEST_C, tanMgL: broughtMgL }
  const share = SHARES.find((each) => ammoniaReasons(pond, runsIn, each).reasons.length === 0) ?? 0
  const mixed = mixedWater(pond, runsIn, share)
  return {
    share,
    limit: share < WATER_CHANGE_LIMITS.share ? 'ammonia' : null,
    after: thinned(share, { ph: mixed.airedPh, khDH: mixed.khDH }),
  }
}

/** A rise of carbonate hardness, by what the gate is expected to say on the day. */
export interface KhStep {
  readonly riseDH: number
  readonly bicarbonateG: number
  readonly waitsFor: 'tests' | 'ammonia' | null
}

/** The day's rise of KH towards its target; null where it stands well or is not known. */
export function khStep({ khDH, ph, tan }: RescueWater, systemM3: number): KhStep | null {
  if (khDH === null || khDH >= KH_TARGET_DH) return null
  const steep = ph === null || phAfterKhRise(ph, khDH, RAISE_KH_LIMITS.riseDH) - ph > RAISE_KH_LIMITS.risePh
  const riseDH = Math.min(steep ? 1 : RAISE_KH_LIMITS.riseDH, KH_TARGET_DH - khDH)
  const dose = { riseDH, bicarbonateG: khDoseG(systemM3, khDH, khDH + riseDH) }
  if (tan === null || ph === null) return { ...dose, waitsFor: 'tests' }
  const gate = raiseKhGate({
    readings: { tan: tan[1], ph, kh: khDH, waterTemp: WARMEST_C },
    figures: { khRiseDH: riseDH },
  })
  return { ...dose, waitsFor: gate.status === 'stop' ? 'ammonia' : null }
}

export const afterKhStep = (water: RescueWater, step: KhStep | null): RescueWater =>
  step && step.waitsFor === null && water.khDH !== null
    ? {
        ...water,
        ph: water.ph === null ? null : Math.min(12, phAfterKhRise(water.ph, water.khDH, step.riseDH)),
        khDH: water.khDH + step.riseDH,
      }
    : water

export interface GhStep {
  readonly riseDH: number
  readonly calciumG: number
  readonly magnesiumG: number
}

/** The day's rise of GH towards its target; null where it stands well or is not known. */
export function ghStep({ ghDH }: RescueWater, systemM3: number): GhStep | null {
  if (ghDH === null || ghDH >= GH_TARGET_DH) return null
  const riseDH = Math.min(GH_RISE_DH, GH_TARGET_DH - ghDH)
  const dose = ghDoseG(systemM3, ghDH, ghDH + riseDH, CALCIUM_SHARE)
  return { riseDH, calciumG: dose.calciumChlorideDihydrateG, magnesiumG: dose.magnesiumSulfateHeptahydrateG }
}

export const afterGhStep = (water: RescueWater, step: GhStep | null): RescueWater =>
  step && water.ghDH !== null ? { ...water, ghDH: water.ghDH + step.riseDH } : water
