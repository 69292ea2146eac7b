import type { EcoFilter, EcoPond, EcoSource } from '../../core/ecosystem/pond'
import { seenToFloor } from '../../core/assimilation/observed'
import { chlorophyllOfClarity, type KnownWater } from '../../core/ecosystem/start'
import { parameterValues } from '../../core/ecosystem/parameters'
import type { FilterDesign } from '../../core/filter/design-input'
import type { DesignResult } from '../../core/filter/design'
import type { EcoGuests } from '../../core/ecosystem/guests'
import type { FilterRules } from '../../core/filter/house-rules'
import { BATHING_FROM_C, type GuestLoads } from '../../core/filter/load/guests'
import { clumpedShare } from '../../core/filter/train/uv'
import { specificSurfaceM2PerM3 } from '../../core/filter/sizing/nitrification'
import { treatingGravel, DEFAULT_LAYERS } from '../../core/filter/bed/layers'
import { fishMassKg } from '../../core/fish/load'
import { coverPerPlantM2 } from '../../core/plants/planting'
import { plantSpecies, type PlantRole } from '../../core/plants/species'
import { readingKind, type ReadingKindName } from '../../core/water/readings'
import type { Gear } from '../equipment/gear'
import { fillTanMgL, type FillWater } from '../../core/water/fill-water'
import type { PatchNow } from '../plants/plants'
import { leafLoadKgPerYear } from '../ponds/leaf-load'
import { TREE_EFFECT, type Pond } from '../ponds/pond'
import type { PondFacts } from '../ponds/pond-facts'
import { LEAVES_KEPT } from './leaves-kept'
import type { HouseRules } from '../house-rules/house-rules'
import { DAY_MS } from '../../core/numeric/time'

/** Water by where it comes from, mg/L. @source usual of temperate countries; a test of the tap is better */
export const SOURCES: Readonly<Record<Pond['waterSource'], EcoSource>> = {
  mains: { tempC: 12, alkalinityMgL: 140, nitrateMgL: 3, phosphateMgL: 0.2, tanMgL: 0, chlorineMgL: 0.4 },
  well: { tempC: 11, alkalinityMgL: 200, nitrateMgL: 4, phosphateMgL: 0.02, tanMgL: 0, chlorineMgL: 0 },
  rain: { tempC: 12, alkalinityMgL: 15, nitrateMgL: 0.6, phosphateMgL: 0.02, tanMgL: 0.1, chlorineMgL: 0 },
  stream: { tempC: 13, alkalinityMgL: 90, nitrateMgL: 2, phosphateMgL: 0.06, tanMgL: 0.05, chlorineMgL: 0 },
}

/** Oxygen of a usual pond aerator, g/d in water without any. @source makers' ratings, rounded down */
const AERATOR_G_PER_D = 200
/** Beds are planted so far where no planting is on record. @source house default */
const USUAL_COVER = 0.5
/** The pond's surface when it is topped up by hand. */
const TOP_UP_AT_MM = 40
const MG_PER_DKH = 17.848

/** What is known of one pond for the simulator. */
export interface EcoPondFacts {
  readonly pond: Pond
  readonly facts: PondFacts
  readonly latitudeDeg: number
  /** What was learnt of its warmth, where anything was. */
  readonly thermal: Partial<Pick<EcoPond, 'shade' | 'windShare' | 'airOffsetC' | 'depthShare'>>
  readonly design: FilterDesign
  readonly result: DesignResult
  readonly rules: HouseRules
  /** What its filter is worked out by. */
  readonly filterRules: FilterRules
  readonly patches: readonly PatchNow[]
  readonly gear: readonly Gear[]
  readonly leakMmPerD: number
  /** The site's fill water as it was last tested; null: never. */
  readonly fill: FillWater | null
}

/** A saved pond as the simulator takes it. */
export function ecoPondOf(of: EcoPondFacts): EcoPond {
  const { pond, facts, rules, gear } = of
  const { shade, windShare } = TREE_EFFECT[pond.trees]
  const { areaM2, meanDepthM } = facts.basin
  const onPond = (kind: Gear['kind']) => gear.some((g) => g.kind === kind && g.state === 'on-pond')
  const kept = 1 - (onPond('net') ? 1 - LEAVES_KEPT.net : 1 - LEAVES_KEPT.hands) * of.result.train.litterPast
  return {
    latitudeDeg: of.latitudeDeg,
    altitudeM: pond.altitudeM,
    meanDepthM,
    shade,
    windShare,
    ...of.thermal,
    volumeM3: facts.adopted.volumeM3,
    areaM2,
    // floor and sides, and the stones that take the room the survey gives them
    wallAreaM2: areaM2 + Math.sqrt(4 * Math.PI * areaM2) * meanDepthM * (1 + 4 * pond.rockShare),
    filter: ecoFilterOf(of.design, of.result, of.filterRules),
    fallM: fallOf(of.design),
    aeratorGPerD: (onPond('aerator') ? AERATOR_G_PER_D : 0) + of.result.train.oxygenGPerD,
    fish: {
      massKg: pond.fish.reduce((sum, f) => sum + f.count * fishMassKg(f.species, f.lengthM), 0),
      feedFactor: 1,
      protein: of.filterRules.feedProtein,
      feedFromC: rules.feedingStartWaterC,
      lowProteinBelowC: rules.feedingNormalWaterC,
    },
    guests: guestsOf(pond, of.filterRules.guestLoads),
    plants: plantShares(of),
    leafKgPerYear: leafLoadKgPerYear(pond, facts.basin),
    leafKeptShare: kept,
    source: sourceOf(pond.waterSource, of.fill),
    autoFill: false,
    topUpAtMm: TOP_UP_AT_MM,
    leakMmPerD: of.leakMmPerD,
    runoffAreaM2: 0,
    iceHole: onPond('de-icer'),
  }
}

/**
 * A filter as the simulator takes it: its stone with the train' media as if they were stone, and what stays wet
 * when the pump stops.
 */
export function ecoFilterOf(
  design: FilterDesign,
  result: DesignResult,
  { materials, nitrification }: Pick<FilterRules, 'materials' | 'nitrification'>,
): EcoFilter {
  const bed = treatingGravel(design.layers, materials)
  const stone = bed.depthM === 0 ? treatingGravel(DEFAULT_LAYERS, materials) : bed
  const flowM3PerH = design.type === 'none' ? result.flowM3PerH : result.bedFlowM3PerH
  return {
    stoneM3: result.treatment.treatingM3,
    areaM2: result.areaM2,
    porosity: stone.porosity,
    surfaceM2PerM3: specificSurfaceM2PerM3(stone, nitrification.angularity),
    flowM3PerH,
    wetShareStopped: result.stop.heldByValve ? 1 : result.stop.wetShare,
    uvFlowM3PerH: result.train.units.reduce(
      // a lamp of unknown age is in the middle of its life
      (sum, { uv, flowM3PerH: through }) =>
        uv ? sum + through * clumpedShare((uv.newMjPerCm2 + uv.endMjPerCm2) / 2) : sum,
      0,
    ),
    winter: design.winter,
  }
}

/** What visitors, bathers and animals bring, as the design of the filter reckons with it. */
function guestsOf({ guests }: Pick<Pond, 'guests'>, { bather, duck, turtle }: GuestLoads): EcoGuests {
  const { publicFeedGPerD, bathersPerD, ducks, turtles } = guests
  return {
    feedGPerD: publicFeedGPerD,
    nitrogenGPerD: ducks * duck.nitrogenG + turtles * turtle.nitrogenG,
    phosphorusGPerD: ducks * duck.phosphorusG + turtles * turtle.phosphorusG,
    bathingNitrogenGPerD: bathersPerD * bather.nitrogenG,
    bathingPhosphorusGPerD: bathersPerD * bather.phosphorusG,
    bathingFromC: BATHING_FROM_C,
  }
}

/** Water that runs in, as it was tested at the site; what was not is as usual for where it comes from. */
function sourceOf(from: Pond['waterSource'], fill: FillWater | null): EcoSource {
  const usual = SOURCES[from]
  return {
    ...usual,
    alkalinityMgL: fill?.khDH == null ? usual.alkalinityMgL : fill.khDH * MG_PER_DKH,
    nitrateMgL: fill?.nitrateMgL ?? usual.nitrateMgL,
    phosphateMgL: fill?.phosphateMgL ?? usual.phosphateMgL,
    chlorineMgL: fill?.chlorineMgL ?? usual.chlorineMgL,
    tanMgL: fill?.chloramineMgL == null ? usual.tanMgL : usual.tanMgL + fillTanMgL(fill),
  }
}

/** How far the returning water falls through air, m; a spout without falls splashes a little. */
export const fallOf = (design: FilterDesign): number => design.falls?.dropM ?? Math.min(0.15, design.staticLiftM)

function plantShares({ patches, facts, result }: EcoPondFacts): EcoPond['plants'] {
  const cover = (place: PatchNow['place'], ...roles: PlantRole[]) =>
    patches.reduce((sum, patch) => {
      const species = plantSpecies(patch.species)
      if (!species || patch.place !== place || patch.stored || (roles.length > 0 && !roles.includes(species.role)))
        return sum
      return sum + patch.count * coverPerPlantM2(species)
    }, 0)
  const share = (areaM2: number, of: number) => (of > 0 ? Math.min(0.9, areaM2 / of) : 0)
  const planted = cover('bed')
  const marginalShare = () => {
    if (planted > 0) return share(planted, result.areaM2)
    if (result.planting.plants > 0) return result.planting.coverShare
    return USUAL_COVER
  }
  return {
    marginalShare: marginalShare(),
    lilyShare: share(cover('pond', 'lily'), facts.basin.areaM2),
    floatingShare: share(cover('pond', 'floating'), facts.basin.areaM2),
    submergedShare: share(cover('pond', 'oxygenator'), facts.basin.areaM2),
  }
}

/** A last reading of a kind. */
export interface LastReading {
  readonly value: number
  readonly takenAt: string
}

/**
 * What readings tell of the water a run begins from.
 * @param before the run's first day
 * @param deepestM the pond's deepest water, m
 */
export function knownWaterOf(
  readings: Partial<Record<ReadingKindName, LastReading | null>>,
  before: string,
  deepestM: number,
): KnownWater {
  const value = (kind: ReadingKindName): number | undefined => {
    const reading = readings[kind]
    if (!reading) return undefined
    const ageDays = (Date.parse(`${before}T23:59:59Z`) - Date.parse(reading.takenAt)) / DAY_MS
    return ageDays >= -0.5 && ageDays <= (readingKind(kind).countsDays ?? -1) ? reading.value : undefined
  }
  const [kh, clarity, salinity] = [value('kh'), value('clarityDepth'), value('salinity')]
  return {
    waterC: value('waterTemp'),
    tan: value('tan'),
    nitrite: value('nitrite'),
    nitrate: value('nitrate'),
    phosphate: value('orthophosphate'),
    oxygen: value('dissolvedOxygen'),
    ph: value('ph'),
    alkalinity: kh === undefined ? undefined : kh * MG_PER_DKH,
    saltMgL: salinity === undefined ? undefined : salinity * 1e6,
    // a hand that is seen down to the floor says "at least so clear"
    ...(clarity === undefined
      ? {}
      : {
          [seenToFloor(clarity, deepestM) ? 'chlorophyllAtMost' : 'chlorophyll']: chlorophyllOfClarity(
            Math.min(clarity, deepestM),
            parameterValues(),
          ),
        }),
  }
}
