import { BED_MATERIALS, BED_MATERIAL_KEYS } from '../filter/bed/layers'
import { COMPANION_KINDS, type CompanionKind } from '../filter/companions'
import { DEFAULT_TABLES } from '../hydraulics/fittings'

/** What one unit of something costs the firm. Money in minor units of the firm's currency. */
export interface PriceItem {
  readonly key: string
  readonly group: 'sheet' | 'stone' | 'pipe' | 'equipment' | 'plants' | 'labour' | 'other'
  readonly name: string
  readonly unit: string
  readonly costMinor: number
  /** Stock comes in steps of this many units. */
  readonly step: number
  /** Added for cutting and breakage, share. */
  readonly waste: number
}

export interface PriceBook {
  readonly currency: string
  /** On top of cost, share; labour rates are what the customer pays and carry none. */
  readonly markup: number
  readonly tax: number
  readonly items: readonly PriceItem[]
}

export const PRICE_RANGE = {
  costMinor: [0, 100_000_000],
  markup: [0, 3],
  tax: [0, 0.5],
  step: [0.001, 1000],
  waste: [0, 1],
} as const

const item = (
  key: string,
  group: PriceItem['group'],
  name: string,
  unit: string,
  costMinor: number,
  step = 1,
  waste = 0,
): PriceItem => ({
  key,
  group,
  name,
  unit,
  costMinor,
  step,
  waste,
})

const STONE_MINOR_PER_T: Readonly<Record<string, number>> = {
  'levelling-gravel': 4200,
  'bridging-stone': 6800,
  'gravel-19-38': 4600,
  'planting-6-12': 5200,
  'pea-gravel': 5600,
}

const COMPANION_MINOR: Readonly<Record<CompanionKind, number>> = {
  'skimmer-wall': 38000,
  'skimmer-floating': 24000,
  'skimmer-pump-fed': 21000,
  'falls-box': 52000,
  pressurised: 98000,
  drum: 320000,
  'moving-bed': 64000,
  'trickle-tower': 86000,
  uv: 32000,
  ioniser: 41000,
  'dosing-unit': 36000,
}

export const COMPANION_NAMES: Readonly<Record<CompanionKind, string>> = {
  'skimmer-wall': 'Wall skimmer',
  'skimmer-floating': 'Floating skimmer on a suction line',
  'skimmer-pump-fed': 'Floating skimmer with its own pump',
  'falls-box': 'Waterfall filter box',
  pressurised: 'Pressurised filter with backwash',
  drum: 'Rotary drum filter',
  'moving-bed': 'Moving bed',
  'trickle-tower': 'Trickle tower',
  uv: 'UV clarifier',
  ioniser: 'Ioniser',
  'dosing-unit': 'Dosing unit',
}

/** Invented prices of the right order; a firm puts in its own. */
export const DEFAULT_PRICE_BOOK: PriceBook = {
  currency: 'EUR',
  markup: 0.35,
  tax: 0.2,
  items: [
    item('liner', 'sheet', 'Pond liner', 'm²', 950, 0.5, 0.05),
    item('underlayment', 'sheet', 'Underlayment', 'm²', 220, 1, 0.08),
    item('fabric', 'sheet', 'Filter fabric around the pipe', 'm²', 180, 1, 0.1),
    item('void-module', 'stone', 'Void module, 0.115 m³', 'each', 3400),
    ...BED_MATERIAL_KEYS.filter((key) => BED_MATERIALS[key].granular).map((key) =>
      item(`stone:${key}`, 'stone', BED_MATERIALS[key].name, 't', STONE_MINOR_PER_T[key]!, 0.5, 0.05),
    ),
    ...DEFAULT_TABLES.pipes.map((size, i) =>
      item(`pipe:${size.name}`, 'pipe', `Pressure pipe ${size.name}`, 'm', 180 + 90 * i + 25 * i * i, 3, 0.05),
    ),
    ...DEFAULT_TABLES.fittings.map(({ key, name }, i) =>
      item(`fitting:${key}`, 'pipe', name, 'each', 650 + 150 * (i % 5)),
    ),
    item('vault', 'equipment', 'Cleanout vault with lid', 'each', 28500),
    item('drain', 'equipment', 'Bottom drain with valve', 'each', 6200),
    item('vessel', 'equipment', 'Vessel, food grade and UV stable', 'each', 7800),
    item('wall', 'stone', 'Framed wall with tie-backs', 'm²', 9800, 0.5, 0.05),
    item('spillway', 'equipment', 'Spillway stone and liner collar', 'm', 16500, 0.5),
    item('controls', 'equipment', 'Isolator, RCD/GFCI outlet and drip loop, by a licensed electrician', 'each', 42000),
    ...COMPANION_KINDS.map((kind) =>
      item(`companion:${kind}`, 'equipment', COMPANION_NAMES[kind], 'each', COMPANION_MINOR[kind]),
    ),
    item('plant', 'plants', 'Plants, 9 cm pots, mixed', 'each', 420),
    item('sundries', 'other', 'Glue, clips, seals, ties', '% of materials', 0),
    item('labour', 'labour', 'Crew hour, one person', 'h', 5800, 0.5),
    item('digger', 'labour', 'Small excavator with driver', 'h', 7600, 1),
  ],
}

/** Sundries, share of the materials' cost. @source house default */
export const SUNDRIES_SHARE = 0.03

/** Production rates, person-hours a unit. @source house defaults; logged times will correct them */
export const PRODUCTION = {
  setUpH: 6,
  digHPerM3: 0.45,
  diggerM3PerH: 4,
  sheetHPerM2: 0.06,
  moduleH: 0.12,
  stoneHPerT: 0.7,
  pipeHPerM: 0.18,
  fittingH: 0.12,
  wallHPerM2: 2.2,
  vaultH: 2,
  pumpH: 3,
  companionH: 3,
  plantH: 0.05,
  spillwayHPerM: 5,
} as const
