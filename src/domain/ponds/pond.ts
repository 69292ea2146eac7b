import { z } from 'zod'
import { FISH_RANGE } from '../../core/fish/load'
import { FISH_SPECIES_KEYS } from '../../core/fish/species'
import { POND_USES } from '../../core/filter/house-rules'
import { BASIN_RANGE, MAX_ZONES } from '../../core/survey/basin'
import { MAX_CORNERS } from '../../core/survey/geojson'
import { OUTLINE_RANGE } from '../../core/survey/outline-shapes'
import { SYSTEM_RANGE } from '../../core/survey/system-volume'
import { VOLUME_METHOD_RANGE } from '../../core/survey/volume-methods'
import { numberWithin, optionalText, shortText } from '../shared/fields'
import type { OwnRules } from '../house-rules/house-rules'
import type { PondId, SiteId } from '../shared/ids'

const side = (noun: string) => numberWithin(OUTLINE_RANGE.sideM, noun, 'm')

const MeasuredOutline = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rectangle'), lengthM: side('Length'), widthM: side('Width') }),
  z.strictObject({ kind: z.literal('ellipse'), lengthM: side('Length'), widthM: side('Width') }),
  z.strictObject({
    kind: z.literal('kidney'),
    lengthM: side('Length'),
    widthM: side('Width'),
    waistM: side('Waist'),
  }),
  z.strictObject({
    kind: z.literal('points'),
    points: z
      .array(
        z.strictObject({
          xM: numberWithin(OUTLINE_RANGE.cornerM, 'Corner along', 'm'),
          yM: numberWithin(OUTLINE_RANGE.cornerM, 'Corner across', 'm'),
        }),
      )
      .min(3, { error: 'Give at least three corners.' })
      .max(MAX_CORNERS, { error: `At most ${MAX_CORNERS} corners.` }),
  }),
  z.strictObject({
    kind: z.literal('offsets'),
    offsets: z
      .array(
        z.strictObject({
          stationM: numberWithin(OUTLINE_RANGE.stationM, 'Distance along the tape', 'm'),
          leftM: numberWithin(OUTLINE_RANGE.offsetM, 'Left offset', 'm'),
          rightM: numberWithin(OUTLINE_RANGE.offsetM, 'Right offset', 'm'),
        }),
      )
      .min(3, { error: 'Give at least three stations along the tape.' })
      .max(200),
  }),
])

/** The waterline as measured; figures that each read well but cannot stand together are named here. */
export const OutlineInput = MeasuredOutline.superRefine((outline, context) => {
  // a figure that does not even read well has been named already
  if (context.issues.length > 0) return
  const say = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
  if (outline.kind === 'kidney' && outline.waistM > outline.widthM)
    return say(['waistM'], 'The waist cannot be wider than the pond.')
  if (outline.kind === 'offsets') {
    const stuck = outline.offsets.findIndex((o, i) => i > 0 && o.stationM <= outline.offsets[i - 1]!.stationM)
    if (stuck > 0)
      return say(['offsets', stuck, 'stationM'], 'Each station lies further along the tape than the one before it.')
  }
  if (outline.kind === 'points' && new Set(outline.points.map((p) => `${p.xM} ${p.yM}`)).size < 3)
    return say(['points'], 'Give at least three different corners.')
})

/** Other ways to the volume than tape and meter; at most one of each. */
const VolumeTestInput = z.discriminatedUnion('method', [
  z.strictObject({
    method: z.literal('timed-fill'),
    containerM3: numberWithin(VOLUME_METHOD_RANGE.containerM3, 'Container', 'm³'),
    seconds: numberWithin(VOLUME_METHOD_RANGE.seconds, 'Time to fill the container', 's'),
    minutes: numberWithin(VOLUME_METHOD_RANGE.minutes, 'Time to fill the pond', 'min'),
  }),
  z.strictObject({
    method: z.literal('salt-dilution'),
    saltKg: numberWithin(VOLUME_METHOD_RANGE.saltKg, 'Salt', 'kg'),
    risePercent: numberWithin(VOLUME_METHOD_RANGE.risePercent, 'Rise of salinity', '%'),
  }),
  z.strictObject({
    method: z.literal('drain-down'),
    flowM3PerH: numberWithin(VOLUME_METHOD_RANGE.flowM3PerH, 'Pump flow', 'm³/h'),
    minutes: numberWithin(VOLUME_METHOD_RANGE.minutes, 'Time to empty', 'min'),
  }),
])
export type VolumeTest = z.infer<typeof VolumeTestInput>

/** Water beside the pond that a dose must treat too. */
const BesideInput = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('stream'),
    lengthM: numberWithin(SYSTEM_RANGE.lengthM, 'Stream length', 'm'),
    widthM: numberWithin(SYSTEM_RANGE.widthM, 'Stream width', 'm'),
    depthM: numberWithin(SYSTEM_RANGE.depthM, 'Stream depth', 'm'),
    fill: numberWithin(SYSTEM_RANGE.fill, 'Share of the stream that is water', ''),
  }),
  z.strictObject({ kind: z.literal('box'), volumeM3: numberWithin(SYSTEM_RANGE.boxM3, 'Box', 'm³') }),
])

const ZoneInput = z.strictObject({
  name: shortText('Zone name', 40),
  floorDepthM: numberWithin(BASIN_RANGE.floorDepthM, 'Depth', 'm'),
  surfaceShare: numberWithin(BASIN_RANGE.surfaceShare, 'Share of the surface', ''),
  /** A shelf of this width all round, instead of a share. */
  insetM: numberWithin(BASIN_RANGE.insetM, 'Width of the shelf around it', 'm').nullish(),
  sideSlope: numberWithin(BASIN_RANGE.sideSlope, 'Side slope', '(run per rise)'),
})

const FishInput = z.strictObject({
  species: z.enum(FISH_SPECIES_KEYS, { error: 'Choose a species.' }),
  count: z
    .int({ error: 'Fish are counted in whole numbers.' })
    .min(1, { error: 'Give at least one fish, or remove the line.' })
    .max(FISH_RANGE.count[1], {
      error: `More than ${FISH_RANGE.count[1].toLocaleString('en')} fish cannot be right: check the count.`,
    }),
  lengthM: numberWithin(FISH_RANGE.lengthM, 'Fish length', 'm'),
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
  name: shortText('Pond name', 80),
  use: z.enum(POND_USES, { error: 'Choose what the pond is for.' }),
  outline: OutlineInput,
  zones: z
    .array(ZoneInput)
    .min(1, { error: 'Give at least one depth zone.' })
    .max(MAX_ZONES, { error: `At most ${MAX_ZONES} depth zones.` }),
  rockShare: numberWithin(BASIN_RANGE.rockShare, 'Stone share', ''),
  /** Metered fill, when the pond was filled through a meter. */
  meteredFillM3: numberWithin([0.001, 100_000], 'Metered fill', 'm³').nullable(),
  beside: z.array(BesideInput).max(12).default([]),
  volumeTests: z.array(VolumeTestInput).max(3).default([]),
  fish: z.array(FishInput).max(40),
  waterSource: z.enum(WATER_SOURCES),
  altitudeM: numberWithin([-10, 3000], 'Height above sea', 'm'),
  trees: z.enum(TREE_COVER),
  freeboardM: numberWithin([0.01, 2], 'Freeboard', 'm'),
  notes: optionalText('Notes'),
})
export type PondInput = z.infer<typeof PondInput>
export type FishLine = z.infer<typeof FishInput>

export interface Pond extends PondInput {
  readonly id: PondId
  readonly siteId: SiteId
  readonly version: number
  readonly ownRules: OwnRules
}

export interface PondInContext extends Pond {
  readonly siteName: string
  readonly town: string
  readonly customerName: string
}
