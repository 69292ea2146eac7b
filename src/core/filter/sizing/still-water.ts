import { fishMassKg, type FishGroup } from '../../fish/load'
import { findRoot } from '../../numeric/root'
import type { MonthLoad } from '../load/monthly-load'
import { arealNitrificationGPerM2D, type Nitrification } from './nitrification'
import { CLOSED_LOOP } from './recirculating-model'

/** What a pond without a bed is held to. @source trade practice for tubs and wildlife ponds */
export const STILL_WATER_LIMITS = {
  /** Water for each cm of fish without a filter, L. */
  litresPerCmLeast: 20,
  litresPerCmStopBelow: 10,
  /** Fish in water without a filter, kg/m³. */
  kgPerM3Most: 0.5,
  kgPerM3Stop: 1.5,
  /** Planted share of the surface that keeps still water clear. */
  coverLeast: 0.5,
  /** Surface for each m³ of water: air reaches a wide pond better than a deep one, m²/m³. */
  surfacePerVolumeLeast: 1,
} as const

export interface StillWater {
  readonly surfacePerVolume: number
  /** Floor and walls under water, m². */
  readonly wettedM2: number
  /** Water for each cm of fish, L; Infinity without fish. */
  readonly litresPerCm: number
  readonly kgPerM3: number
}

/** A pond by its surface and its stock, as ponds without a filter are judged. */
export function stillWater(
  pond: { readonly volumeM3: number; readonly areaM2: number; readonly shoreM: number },
  fish: readonly FishGroup[],
): StillWater {
  const cm = fish.reduce((sum, f) => sum + f.count * f.lengthM * 100, 0)
  const kg = fish.reduce((sum, f) => sum + f.count * fishMassKg(f.species, f.lengthM), 0)
  return {
    surfacePerVolume: pond.areaM2 / pond.volumeM3,
    wettedM2: pond.areaM2 + (pond.shoreM * pond.volumeM3) / pond.areaM2,
    litresPerCm: cm > 0 ? (pond.volumeM3 * 1000) / cm : Infinity,
    kgPerM3: kg / pond.volumeM3,
  }
}

const MOST_MG_L = 1e4

/** What an open pond nitrifies with. */
export interface OpenWater {
  readonly wettedM2: number
  /** Water changed, m³ a day. */
  readonly exchangeM3PerD: number
  readonly nitrification: Nitrification
}

/**
 * TAN that a pond without a bed settles at month by month, mg/L: what nitrifies on its own wetted surface, what is
 * changed by hand, and what other media take.
 * @param media what equipment removes at a TAN, g a day, by month
 */
export function stillTanMgL(
  months: readonly Pick<MonthLoad, 'tempC' | 'tanTotalGPerD'>[],
  { wettedM2, exchangeM3PerD, nitrification }: OpenWater,
  media: (tanMgL: number, tempC: number) => number,
): number[] {
  return months.map(({ tempC, tanTotalGPerD }) => {
    if (tanTotalGPerD <= 0) return CLOSED_LOOP.backgroundMgL
    // open surfaces are easier reached than stone in a bed, but silted: as usable as its
    const usableM2 = wettedM2 * nitrification.usableShare
    const removed = (c: number) =>
      arealNitrificationGPerM2D(nitrification, c, tempC) * usableM2 + exchangeM3PerD * c + media(c, tempC)
    const excess = (c: number) => removed(c) - tanTotalGPerD
    // more than all of it together takes: it rises without end
    if (excess(MOST_MG_L) < 0) return Infinity
    return CLOSED_LOOP.backgroundMgL + findRoot(excess, { low: 0, high: MOST_MG_L }, 1e-6).x
  })
}
