import { assertInRange } from '../errors'
import type { QuantityKind } from '../units/kinds'
import type { QuantityScale } from '../units/systems'
import type { BedMaterialKey } from './bed/layers'
import { DEFAULT_FILTER_RULES, type FilterRules, type PondUse } from './house-rules'

/** Where a usual figure comes from. */
export const CONSTANT_SOURCES = [
  'trade',
  'house',
  'gravel-reviews',
  'fish-farming',
  'treatment-wetlands',
  'lake-models',
  'aggregate-tables',
  'bathing-guides',
  'bird-studies',
  'litter-studies',
] as const
type ConstantSource = (typeof CONSTANT_SOURCES)[number]

export const CONSTANT_GROUPS = [
  'target',
  'share',
  'flow',
  'nitrification',
  'solids',
  'stone',
  'load',
  'phosphorus',
  'work',
] as const
export type ConstantGroup = (typeof CONSTANT_GROUPS)[number]

interface ConstantFacts {
  readonly group: ConstantGroup
  readonly range: readonly [number, number]
  readonly source: ConstantSource
  /** Quantities that are shown in the reader's own units. */
  readonly kind: QuantityKind
  readonly scale?: QuantityScale
  /** Sign of its unit where no kind of quantity has it. */
  readonly unit?: string
}

const row = (
  group: ConstantGroup,
  kind: QuantityKind,
  range: readonly [number, number],
  source: ConstantSource,
  more: Pick<ConstantFacts, 'scale' | 'unit'> = {},
): ConstantFacts => ({ group, kind, range, source, ...more })
const hours = (unit: string): ConstantFacts => row('work', 'number', [0, 100], 'house', { unit })
const grams = (unit: string, most: number, source: ConstantSource): ConstantFacts =>
  row('load', 'number', [0, most], source, { unit })

/** Figures that stand alone, by where they stand in the rules. */
const SINGLE = {
  targetTanMgL: row('target', 'concentration', [0.05, 2], 'trade'),
  'phosphorus.goodMgL': row('target', 'concentration', [0.003, 0.2], 'trade'),
  'phosphorus.mostMgL': row('target', 'concentration', [0.003, 0.5], 'trade'),
  feedProtein: row('load', 'share', [0.1, 0.7], 'fish-farming'),
  'surfaceCurve.fullToM2': row('share', 'area', [1, 1000], 'trade'),
  'surfaceCurve.minFromM2': row('share', 'area', [2, 10_000], 'trade'),
  'surfaceCurve.minFactor': row('share', 'share', [0.1, 1], 'trade'),
  emptyBedVolumesPerH: row('flow', 'number', [0.5, 30], 'trade', { unit: '1/h' }),
  hydraulicLoadingMPerH: row('flow', 'loading', [0.2, 15], 'trade'),
  'nitrification.r20GPerM2D': row('nitrification', 'number', [0.05, 3], 'gravel-reviews', { unit: 'g/m²/d' }),
  'nitrification.halfSaturationMgL': row('nitrification', 'concentration', [0.1, 5], 'gravel-reviews'),
  'nitrification.theta': row('nitrification', 'number', [1, 1.2], 'gravel-reviews'),
  'nitrification.oxygenHalfMgL': row('nitrification', 'concentration', [0.05, 3], 'gravel-reviews'),
  'nitrification.angularity': row('stone', 'number', [1, 2], 'gravel-reviews'),
  'nitrification.usableShare': row('nitrification', 'share', [0.05, 1], 'gravel-reviews'),
  'nitrification.oxygenPerFeed': row('nitrification', 'number', [0, 1.5], 'fish-farming', { unit: 'kg/kg' }),
  'nitrification.minOxygenMgL': row('nitrification', 'concentration', [0.5, 6], 'fish-farming'),
  'nitrification.inflowSaturation': row('nitrification', 'share', [0.6, 1.1], 'trade'),
  'clogging.solidsPerFeed': row('solids', 'number', [0.05, 1], 'fish-farming', { unit: 'kg/kg' }),
  'clogging.chamberShare': row('solids', 'share', [0.05, 0.95], 'trade'),
  'clogging.gravelShare': row('solids', 'share', [0.05, 0.95], 'trade'),
  'clogging.sludgeDryKgPerM3': row('solids', 'number', [5, 200], 'treatment-wetlands', { unit: 'kg/m³' }),
  'clogging.flushAtChamberSludgeM': row('solids', 'length', [0.01, 0.4], 'trade', { scale: 'small' }),
  'clogging.flushAtPoreLoss': row('solids', 'share', [0.02, 0.5], 'trade'),
  'guestLoads.bather.nitrogenG': grams('g', 20, 'bathing-guides'),
  'guestLoads.bather.phosphorusG': grams('g', 5, 'bathing-guides'),
  'guestLoads.duck.nitrogenG': grams('g/d', 20, 'bird-studies'),
  'guestLoads.duck.phosphorusG': grams('g/d', 5, 'bird-studies'),
  'guestLoads.turtle.nitrogenG': grams('g/d', 20, 'house'),
  'guestLoads.turtle.phosphorusG': grams('g/d', 5, 'house'),
  'guestLoads.leafKg.nitrogenG': grams('g/kg', 40, 'litter-studies'),
  'guestLoads.leafKg.phosphorusG': grams('g/kg', 10, 'litter-studies'),
  'guestLoads.feedKg.phosphorusG': grams('g/kg', 20, 'fish-farming'),
  'phosphorus.gravelMPerYear': row('phosphorus', 'number', [1, 200], 'treatment-wetlands', { unit: 'm/a' }),
  'phosphorus.channelMPerYear': row('phosphorus', 'number', [1, 200], 'treatment-wetlands', { unit: 'm/a' }),
  'phosphorus.settlingMPerYear': row('phosphorus', 'number', [0, 100], 'lake-models', { unit: 'm/a' }),
  'production.setUpH': hours('h'),
  'production.digHPerM3': hours('h/m³'),
  'production.diggerM3PerH': row('work', 'number', [0.2, 100], 'house', { unit: 'm³/h' }),
  'production.sheetHPerM2': hours('h/m²'),
  'production.moduleH': hours('h'),
  'production.stoneHPerT': hours('h/t'),
  'production.pipeHPerM': hours('h/m'),
  'production.fittingH': hours('h'),
  'production.wallHPerM2': hours('h/m²'),
  'production.vaultH': hours('h'),
  'production.pumpH': hours('h'),
  'production.unitH': hours('h'),
  'production.plantH': hours('h'),
  'production.spillwayHPerM': hours('h/m'),
} as const satisfies Record<string, ConstantFacts>

/** One figure for each use of a pond. */
const PER_USE = {
  volumeShare: row('share', 'share', [0.01, 1], 'trade'),
  surfaceShare: row('share', 'share', [0.01, 1.5], 'trade'),
  turnoverH: row('flow', 'number', [0.25, 48], 'trade', { unit: 'h' }),
} as const satisfies Record<string, ConstantFacts>

/** One figure for each kind of stone. */
const PER_STONE = {
  grainM: row('stone', 'length', [0.001, 0.2], 'aggregate-tables', { scale: 'small' }),
  porosity: row('stone', 'share', [0.25, 0.6], 'aggregate-tables'),
  bulkTPerM3: row('stone', 'number', [0.3, 2.5], 'aggregate-tables', { unit: 't/m³' }),
} as const satisfies Record<string, ConstantFacts>

export type ConstantName = keyof typeof SINGLE | keyof typeof PER_USE | keyof typeof PER_STONE
type StoneKey = Exclude<BedMaterialKey, 'void-modules'>
export type ConstantKey =
  keyof typeof SINGLE | `${keyof typeof PER_USE}.${PondUse}` | `materials.${StoneKey}.${keyof typeof PER_STONE}`

/** A figure that filters are worked out by and that a firm may set for itself. */
export interface HouseConstant extends ConstantFacts {
  readonly key: ConstantKey
  /** What is measured; several uses or stones may have one each. */
  readonly name: ConstantName
  readonly use: PondUse | null
  readonly stone: StoneKey | null
  /** What is reckoned with where a firm has set nothing. */
  readonly usual: number
}

const { volumeShare: USES, materials } = DEFAULT_FILTER_RULES
const uses = Object.keys(USES) as PondUse[]
const stones = (Object.keys(materials) as BedMaterialKey[]).filter((key): key is StoneKey => key !== 'void-modules')

/** Every figure that a firm may set, in the order in which they are listed. */
export const HOUSE_CONSTANTS: readonly HouseConstant[] = [
  ...listed(SINGLE).map(([name, facts]) => constant(name, name, facts)),
  ...listed(PER_USE).flatMap(([name, facts]) => uses.map((use) => constant(`${name}.${use}`, name, facts, { use }))),
  ...stones.flatMap((stone) =>
    listed(PER_STONE).map(([name, facts]) => constant(`materials.${stone}.${name}`, name, facts, { stone })),
  ),
].sort((a, b) => CONSTANT_GROUPS.indexOf(a.group) - CONSTANT_GROUPS.indexOf(b.group))

const BY_KEY = new Map(HOUSE_CONSTANTS.map((of) => [of.key as string, of]))

/** undefined for a key that is no constant. */
export const houseConstant = (key: string): HouseConstant | undefined => BY_KEY.get(key)

/** Values by key; what is not named is as usual. */
export type ConstantValues = { readonly [K in ConstantKey]?: number }

/**
 * Rules with a firm's own figures in them.
 * @throws {DomainError} a value outside its constant's range
 */
export const withConstants = (rules: FilterRules, values: ConstantValues): FilterRules =>
  (Object.entries(values) as [ConstantKey, number][]).reduce<FilterRules>((changed, [key, value]) => {
    assertInRange(key, value, BY_KEY.get(key)!.range)
    const set = put(changed, key.split('.'), value)
    const { stone, name } = BY_KEY.get(key)!
    return stone && name === 'grainM' ? graded(set, stone, value) : set
  }, rules)

/** Constants that contradict each other: a key of each pair that does. */
export function contradictions(rules: FilterRules): ConstantKey[] {
  const { surfaceCurve, clogging, phosphorus } = rules
  return [
    ...(surfaceCurve.minFromM2 <= surfaceCurve.fullToM2 ? (['surfaceCurve.minFromM2'] as const) : []),
    ...(clogging.chamberShare + clogging.gravelShare > 1 ? (['clogging.gravelShare'] as const) : []),
    ...(phosphorus.mostMgL < phosphorus.goodMgL ? (['phosphorus.mostMgL'] as const) : []),
  ]
}

/** Stone of another mean size is graded about it as the usual one is about its own. */
function graded(rules: FilterRules, stone: StoneKey, grainM: number): FilterRules {
  const usual = materials[stone]
  const by = grainM / usual.grainM
  const now = { ...rules.materials[stone], d15M: usual.d15M * by, d85M: usual.d85M * by }
  return { ...rules, materials: { ...rules.materials, [stone]: now } }
}

function constant(
  key: ConstantKey,
  name: ConstantName,
  facts: ConstantFacts,
  of: { readonly use?: PondUse; readonly stone?: StoneKey } = {},
): HouseConstant {
  const usual = at(DEFAULT_FILTER_RULES, key.split('.'))
  return { ...facts, key, name, use: of.use ?? null, stone: of.stone ?? null, usual }
}

function listed<K extends string>(rows: Readonly<Record<K, ConstantFacts>>): [K, ConstantFacts][] {
  return Object.entries(rows) as [K, ConstantFacts][]
}

type Tree = Readonly<Record<string, unknown>>

function at(tree: object, path: readonly string[]): number {
  return path.reduce<unknown>((part, key) => (part as Tree)[key], tree) as number
}

function put<T extends object>(tree: T, [key, ...rest]: readonly string[], value: number): T {
  const below = (tree as Tree)[key!]
  return { ...tree, [key!]: rest.length > 0 ? put(below as object, rest, value) : value }
}
