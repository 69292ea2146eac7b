import { assertInRange, assertPositive } from '../errors'
import type { EcoGuests } from './guests'
import { LATITUDE_RANGE } from '../season/sun'
import type { ThermalPond } from '../season/water-temperature'

/** What an upflow bed, or any filter taken as one, is to the simulator. */
export interface EcoFilter {
  /** Treating stone, m³, train' media counted as stone. */
  readonly stoneM3: number
  readonly areaM2: number
  readonly porosity: number
  /** Surface of the stone, m² per m³ of bed. */
  readonly surfaceM2PerM3: number
  /** Water through the bed with the pump running, m³/h. */
  readonly flowM3PerH: number
  /** Share of the stone that stays under water when the pump stops: 1 with an air break above it. */
  readonly wetShareStopped: number
  /** A UV clarifier is fitted; its share of the pump's flow. */
  readonly uvFlowM3PerH: number
  readonly winter: 'runs' | 'drained'
}

interface EcoFish {
  readonly massKg: number
  /** Feed given, as a multiple of the ration for the water's temperature. */
  readonly feedFactor: number
  readonly protein: number
  /** Nothing is fed below this water temperature, °C. */
  readonly feedFromC: number
  /** Feed of half the protein below this water temperature, °C; null: the same feed always. */
  readonly lowProteinBelowC: number | null
}

interface EcoPlants {
  /** Bed planted, share of its area. */
  readonly marginalShare: number
  /** Share of the pond's surface that leaves of lilies, or floating plants, may cover at most. */
  readonly lilyShare: number
  readonly floatingShare: number
  /** Share of the floor with oxygenators. */
  readonly submergedShare: number
}

/** Water that fills the pond, mg/L. */
export interface EcoSource {
  readonly tempC: number
  readonly alkalinityMgL: number
  readonly nitrateMgL: number
  readonly phosphateMgL: number
  readonly tanMgL: number
  readonly chlorineMgL: number
}

/** One pond for the simulator. */
export interface EcoPond extends ThermalPond {
  readonly volumeM3: number
  readonly areaM2: number
  readonly altitudeM: number
  /** Liner and stones under water, m². */
  readonly wallAreaM2: number
  readonly filter: EcoFilter
  /** Fall of the returning water, m; 0 without. */
  readonly fallM: number
  /** Oxygen that an aerator brings into water without any at 20 °C, g/d; 0 without. */
  readonly aeratorGPerD: number
  readonly fish: EcoFish
  readonly guests: EcoGuests
  readonly plants: EcoPlants
  /** Dry leaves that fall toward the pond, kg a year, and the share that nets and skimmer keep out. */
  readonly leafKgPerYear: number
  readonly leafKeptShare: number
  readonly source: EcoSource
  /** Filled automatically, or by hand when the level has fallen by so much. */
  readonly autoFill: boolean
  readonly topUpAtMm: number
  readonly leakMmPerD: number
  /** Roofs and paving that drain into the pond, m². */
  readonly runoffAreaM2: number
  /** Ice is kept open at a place while it freezes. */
  readonly iceHole: boolean
}

export const USUAL_SOURCE: EcoSource = {
  tempC: 12,
  alkalinityMgL: 120,
  nitrateMgL: 1,
  phosphateMgL: 0.02,
  tanMgL: 0,
  chlorineMgL: 0,
}

export function assertEcoPond(pond: EcoPond): void {
  assertPositive('volumeM3', pond.volumeM3)
  assertPositive('areaM2', pond.areaM2)
  assertInRange('wallAreaM2', pond.wallAreaM2, [0, 1e7])
  assertInRange('filter.stoneM3', pond.filter.stoneM3, [0, 1e6])
  assertInRange('filter.flowM3PerH', pond.filter.flowM3PerH, [0, 1e5])
  assertInRange('filter.uvFlowM3PerH', pond.filter.uvFlowM3PerH, [0, 1e5])
  assertInRange('filter.wetShareStopped', pond.filter.wetShareStopped, [0, 1])
  assertInRange('filter.surfaceM2PerM3', pond.filter.surfaceM2PerM3, [0, 5000])
  assertInRange('filter.porosity', pond.filter.porosity, [0.05, 1])
  assertInRange('fish.massKg', pond.fish.massKg, [0, 1e6])
  assertInRange('fish.feedFactor', pond.fish.feedFactor, [0, 10])
  assertInRange('fish.protein', pond.fish.protein, [0.05, 0.7])
  assertInRange('fallM', pond.fallM, [0, 20])
  assertInRange('leafKgPerYear', pond.leafKgPerYear, [0, 1e5])
  assertInRange('latitudeDeg', pond.latitudeDeg, LATITUDE_RANGE)
  for (const share of ['marginalShare', 'lilyShare', 'floatingShare', 'submergedShare'] as const)
    assertInRange(`plants.${share}`, pond.plants[share], [0, 1])
}
