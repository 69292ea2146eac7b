import { z } from 'zod'
import { FISH_RANGE } from '../../core/fish/load'
import { FISH_SPECIES_KEYS } from '../../core/fish/species'
import { POND_USES } from '../../core/filter/house-rules'
import { GUEST_RANGE, NO_GUESTS } from '../../core/filter/load/guests'
import { BASIN_RANGE, MAX_ZONES } from '../../core/survey/basin'
import { MAX_CORNERS } from '../../core/survey/geojson'
import { OUTLINE_RANGE } from '../../core/survey/outline-shapes'
import { SYSTEM_RANGE } from '../../core/survey/system-volume'
import { VOLUME_METHOD_RANGE } from '../../core/survey/volume-methods'
import { numberWithin, optionalText, shortText } from '../shared/fields'
import { POND_LININGS } from '../../core/survey/lining'
import type { OwnConstants } from '../house-rules/house-constants'
import type { OwnRules } from '../house-rules/house-rules'
import type { PondId, SiteId } from '../shared/ids'
import type { SiteSurvey } from '../../core/site-plan/site-survey'
import { said } from '../shared/said'
import type { TextKey } from '@/messages/keys'

const side = (noun: TextKey) => numberWithin(OUTLINE_RANGE.sideM, noun, 'm')

const MeasuredOutline = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('rectangle'),
    lengthM: side('ponds.fields.length'),
    widthM: side('ponds.fields.width'),
  }),
  z.strictObject({
    kind: z.literal('ellipse'),
    lengthM: side('ponds.fields.length'),
    widthM: side('ponds.fields.width'),
  }),
  z.strictObject({
    kind: z.literal('kidney'),
    lengthM: side('ponds.fields.length'),
    widthM: side('ponds.fields.width'),
    waistM: side('ponds.fields.waist'),
  }),
  z.strictObject({
    kind: z.literal('points'),
    points: z
      .array(
        z.strictObject({
          xM: numberWithin(OUTLINE_RANGE.cornerM, 'ponds.fields.cornerAlong', 'm'),
          yM: numberWithin(OUTLINE_RANGE.cornerM, 'ponds.fields.cornerAcross', 'm'),
        }),
      )
      .min(3, { error: said('ponds.problems.giveLeastThreeCorners') })
      .max(MAX_CORNERS, { error: said('ponds.problems.mostCorners', { maxCorners: MAX_CORNERS }) }),
  }),
  z.strictObject({
    kind: z.literal('offsets'),
    offsets: z
      .array(
        z.strictObject({
          stationM: numberWithin(OUTLINE_RANGE.stationM, 'ponds.fields.distanceAlongTheTape', 'm'),
          leftM: numberWithin(OUTLINE_RANGE.offsetM, 'ponds.fields.leftOffset', 'm'),
          rightM: numberWithin(OUTLINE_RANGE.offsetM, 'ponds.fields.rightOffset', 'm'),
        }),
      )
      .min(3, { error: said('ponds.problems.giveLeastThreeStationsAlong') })
      .max(200),
  }),
])

/** The waterline as measured; figures that each read well but cannot stand together are named here. */
export const OutlineInput = MeasuredOutline.superRefine((outline, context) => {
  // a figure that does not even read well has been named already
  if (context.issues.length > 0) return
  const say = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (outline.kind === 'kidney' && outline.waistM > outline.widthM)
    return say(['waistM'], said('ponds.problems.waistCannotWiderThanPond'))
  if (outline.kind === 'offsets') {
    const stuck = outline.offsets.findIndex((o, i) => i > 0 && o.stationM <= outline.offsets[i - 1]!.stationM)
    if (stuck > 0) return say(['offsets', stuck, 'stationM'], said('ponds.problems.eachStationLiesFurtherAlong'))
    const crossed = outline.offsets.findIndex((o) => o.leftM + o.rightM < 0)
    if (crossed >= 0) return say(['offsets', crossed, 'rightM'], said('ponds.problems.edgesCross'))
  }
  if (outline.kind === 'points' && new Set(outline.points.map((p) => `${p.xM} ${p.yM}`)).size < 3)
    return say(['points'], said('ponds.problems.giveLeastThreeDifferentCorners'))
})

/** Other ways to the volume than tape and meter, each as often as it was measured. */
const VolumeTestInput = z.discriminatedUnion('method', [
  z.strictObject({
    method: z.literal('timed-fill'),
    containerM3: numberWithin(VOLUME_METHOD_RANGE.containerM3, 'ponds.fields.container', 'm³'),
    seconds: numberWithin(VOLUME_METHOD_RANGE.seconds, 'ponds.fields.timeToFillTheContainer', 's'),
    minutes: numberWithin(VOLUME_METHOD_RANGE.minutes, 'ponds.fields.timeToFillThePond', 'min'),
  }),
  z.strictObject({
    method: z.literal('salt-dilution'),
    saltKg: numberWithin(VOLUME_METHOD_RANGE.saltKg, 'ponds.fields.salt', 'kg'),
    risePercent: numberWithin(VOLUME_METHOD_RANGE.risePercent, 'ponds.fields.riseOfSalinity', '%'),
  }),
  z.strictObject({
    method: z.literal('drain-down'),
    flowM3PerH: numberWithin(VOLUME_METHOD_RANGE.flowM3PerH, 'ponds.fields.pumpFlow', 'm³/h'),
    minutes: numberWithin(VOLUME_METHOD_RANGE.minutes, 'ponds.fields.timeToEmpty', 'min'),
  }),
])
export type VolumeTest = z.infer<typeof VolumeTestInput>
export const MOST_VOLUME_TESTS = 9

/** Ways to the volume that can be set aside; the survey's own shape counts as one. */
export const SET_ASIDE_METHODS = ['geometry', 'metered-fill', 'timed-fill', 'salt-dilution', 'drain-down'] as const
export type SetAsideMethod = (typeof SET_ASIDE_METHODS)[number]

/** Water beside the pond that a dose must treat too. */
const BesideInput = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('stream'),
    lengthM: numberWithin(SYSTEM_RANGE.lengthM, 'ponds.fields.streamLength', 'm'),
    widthM: numberWithin(SYSTEM_RANGE.widthM, 'ponds.fields.streamWidth', 'm'),
    depthM: numberWithin(SYSTEM_RANGE.depthM, 'ponds.fields.streamDepth', 'm'),
    fill: numberWithin(SYSTEM_RANGE.fill, 'ponds.fields.shareOfTheStreamThatIsWater', ''),
  }),
  z.strictObject({ kind: z.literal('box'), volumeM3: numberWithin(SYSTEM_RANGE.boxM3, 'ponds.fields.box', 'm³') }),
])

const ZoneInput = z.strictObject({
  name: shortText('ponds.fields.zoneName', 40),
  floorDepthM: numberWithin(BASIN_RANGE.floorDepthM, 'ponds.fields.depth', 'm'),
  surfaceShare: numberWithin(BASIN_RANGE.surfaceShare, 'ponds.fields.shareOfTheSurface', ''),
  /** A shelf of this width all round, instead of a share. */
  insetM: numberWithin(BASIN_RANGE.insetM, 'ponds.fields.widthOfTheShelfAroundIt', 'm').nullish(),
  sideSlope: numberWithin(BASIN_RANGE.sideSlope, 'ponds.fields.sideSlope', { text: 'kit.units.runPerRise' }),
})

const FishInput = z.strictObject({
  species: z.enum(FISH_SPECIES_KEYS, { error: said('ponds.problems.chooseSpecies') }),
  count: z
    .int({ error: said('ponds.problems.fishCountedWholeNumbers') })
    .min(1, { error: said('ponds.problems.giveLeastOneFishRemove') })
    .max(FISH_RANGE.count[1], {
      error: said('ponds.problems.moreThanFishCannotRight', { most: FISH_RANGE.count[1].toLocaleString('en') }),
    }),
  lengthM: numberWithin(FISH_RANGE.lengthM, 'ponds.fields.fishLength', 'm'),
})

/** What loads the water beside its own fish. */
const GuestsInput = z.strictObject({
  publicFeedGPerD: numberWithin(GUEST_RANGE.publicFeedGPerD, 'ponds.fields.publicFeed', {
    text: 'kit.units.gramsADay',
  }),
  bathersPerD: numberWithin(GUEST_RANGE.bathersPerD, 'ponds.fields.bathers', ''),
  ducks: numberWithin(GUEST_RANGE.animals, 'ponds.fields.ducks', ''),
  turtles: numberWithin(GUEST_RANGE.animals, 'ponds.fields.turtles', ''),
})

export const WATER_SOURCES = ['mains', 'well', 'rain', 'stream'] as const

export const TREE_COVER = ['none', 'some', 'many'] as const

/** What trees do to a pond: shade, wind and leaf litter. @source house defaults by eye */
export const TREE_EFFECT: Readonly<
  Record<(typeof TREE_COVER)[number], { shade: number; windShare: number; leafKgPerM2Year: number }>
> = {
  none: { shade: 0.1, windShare: 0.7, leafKgPerM2Year: 0.05 },
  some: { shade: 0.3, windShare: 0.5, leafKgPerM2Year: 0.25 },
  many: { shade: 0.55, windShare: 0.35, leafKgPerM2Year: 0.6 },
}

/** A pond as surveyed: everything a form sends. Lengths in m, volumes in m³. */
export const PondInput = z.strictObject({
  name: shortText('ponds.fields.pondName', 80),
  use: z.enum(POND_USES, { error: said('ponds.problems.chooseWhatPond') }),
  outline: OutlineInput,
  zones: z
    .array(ZoneInput)
    .min(1, { error: said('ponds.problems.giveLeastOneDepthZone') })
    .max(MAX_ZONES, { error: said('ponds.problems.mostDepthZones', { maxZones: MAX_ZONES }) }),
  rockShare: numberWithin(BASIN_RANGE.rockShare, 'ponds.fields.stoneShare', ''),
  /** Metered fill, when the pond was filled through a meter. */
  meteredFillM3: numberWithin([0.001, 100_000], 'ponds.fields.meteredFill', 'm³').nullable(),
  beside: z.array(BesideInput).max(12).default([]),
  volumeTests: z.array(VolumeTestInput).max(MOST_VOLUME_TESTS).default([]),
  /** A way to the volume that is not believed, and why; it is kept on file and left out of the adopted volume. */
  setAside: z
    .strictObject({
      method: z.enum(SET_ASIDE_METHODS),
      reason: shortText('ponds.fields.whySetAside', 200),
    })
    .nullable()
    .default(null),
  fish: z.array(FishInput).max(40),
  guests: GuestsInput.default(NO_GUESTS),
  /** Indoors: what the room and with it the water is held at, °C; null outdoors. */
  roomTempC: numberWithin([5, 35], 'ponds.fields.roomTemperature', '°C').nullable().default(null),
  waterSource: z.enum(WATER_SOURCES),
  lining: z.enum(POND_LININGS).default('unknown'),
  altitudeM: numberWithin([-10, 3000], 'ponds.fields.heightAboveSea', 'm'),
  trees: z.enum(TREE_COVER),
  freeboardM: numberWithin([0.01, 2], 'ponds.fields.freeboard', 'm'),
  notes: optionalText('ponds.fields.notes'),
})
export type PondInput = z.infer<typeof PondInput>
export type FishLine = z.infer<typeof FishInput>

export interface Pond extends PondInput {
  readonly id: PondId
  readonly siteId: SiteId
  readonly version: number
  readonly ownRules: OwnRules
  /** Figures that its filter is worked out by in place of the house's. */
  readonly ownConstants: OwnConstants
  /** What lies around it: the ground that a site plan is drawn on. */
  readonly siteSurvey: SiteSurvey
}

export interface PondInContext extends Pond {
  readonly siteName: string
  readonly town: string
  readonly customerName: string
}
