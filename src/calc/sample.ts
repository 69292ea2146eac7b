import { z } from 'zod'
import { CHLORIDE_MGL_PER_SALT_SHARE, READING_KINDS, type ReadingKindName, type WaterSample } from '../core/water'
import { numberIn } from './define'

const MAX_CHLORIDE_MGL = READING_KINDS.salinity.possible[1] * CHLORIDE_MGL_PER_SALT_SHARE

/** Names of the contract, each with the reading it is and what that is in canonical units. */
const SAMPLE_KEYS = {
  temp_C: 'waterTemp',
  ph: 'ph',
  tan_mg_L: 'tan',
  nitrite_mg_L: 'nitrite',
  nitrate_mg_L: 'nitrate',
  kh_dKH: 'kh',
  gh_dGH: 'gh',
  do_mg_L: 'dissolvedOxygen',
  chlorine_mg_L: 'freeChlorine',
  chloride_mg_L: 'salinity',
  clarity_m: 'clarityDepth',
} as const satisfies Record<string, ReadingKindName>
type SampleKey = keyof typeof SAMPLE_KEYS
export const KEY_OF = new Map(
  Object.entries(SAMPLE_KEYS).map(([key, kind]) => [kind as ReadingKindName, key as SampleKey]),
)
const possibleOf = (key: SampleKey): z.ZodOptional<z.ZodNumber> =>
  numberIn(key === 'chloride_mg_L' ? [0, MAX_CHLORIDE_MGL] : READING_KINDS[SAMPLE_KEYS[key]].possible).optional()

/** Readings of one water as the contract names them. */
export const SAMPLE_INPUT = z.strictObject(
  Object.fromEntries((Object.keys(SAMPLE_KEYS) as SampleKey[]).map((key) => [key, possibleOf(key)])) as Record<
    SampleKey,
    z.ZodOptional<z.ZodNumber>
  >,
)

/** The sample in canonical units, by kind of reading. */
export const sampleOf = (readings: z.output<typeof SAMPLE_INPUT>): WaterSample =>
  Object.fromEntries(
    (Object.entries(readings) as [SampleKey, number | undefined][]).flatMap(([key, value]) =>
      value === undefined
        ? []
        : [[SAMPLE_KEYS[key], key === 'chloride_mg_L' ? value / CHLORIDE_MGL_PER_SALT_SHARE : value]],
    ),
  )
