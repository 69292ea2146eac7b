import { FITTING_PARTS, fittingKey, VAULT_SIZES_CM } from './sized-keys'
import { BED_MATERIALS, BED_MATERIAL_KEYS } from '../filter/bed/layers'
import { TRAIN_KINDS } from '../filter/train/train-unit'
import { isPricedBySize, UNIT_SIZES, unitKey, unitMinor } from '../filter/train/unit-sizes'
import { VESSEL_SIZES, type VesselSize } from '../filter/types/vessel-sizes'
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

/** In what usual items are counted: by the piece, by measure, or as a share of the materials’ cost. */
export type UsualPriceUnit = 'each' | 'm' | 'm²' | 'm³' | 't' | 'h' | 'kW' | 'kWh' | 'share'

/** An item that every firm begins with; its name is in the catalogue of texts. */
export type UsualPriceItem = Omit<PriceItem, 'name' | 'unit'> & { readonly unit: UsualPriceUnit }

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
  unit: UsualPriceUnit,
  costMinor: number,
  step = 1,
  waste = 0,
): UsualPriceItem => ({
  key,
  group,
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

/** Key of a vessel's line: its diameter in cm. */
export const vesselKey = ({ diameterM }: VesselSize): string => `vessel:${Math.round(diameterM * 100)}`

/** By the litre, with a share that every vessel costs. */
const vesselMinor = ({ diameterM, heightM }: VesselSize): number =>
  Math.round((1200 + ((Math.PI * diameterM ** 2) / 4) * heightM * 1000 * 31) / 100) * 100

/** Fittings cost a little more than their pipe gets wider: what a 50 mm one costs, and how that grows. */
const fittingMinor = (at50Minor: number, boreM: number): number => Math.round(at50Minor * (boreM / 0.045) ** 1.35)

/** A vault of 40 cm is the usual one. */
const vaultMinor = (diameterM: number): number => Math.round((28500 * (diameterM / 0.4) ** 1.2) / 100) * 100

/** Invented prices of the right order; a firm puts in its own. */
export const USUAL_PRICES: Omit<PriceBook, 'items'> & { readonly items: readonly UsualPriceItem[] } = {
  currency: 'EUR',
  markup: 0.35,
  tax: 0.2,
  items: [
    item('liner', 'sheet', 'm²', 950, 0.5, 0.05),
    item('underlayment', 'sheet', 'm²', 220, 1, 0.08),
    item('fabric', 'sheet', 'm²', 180, 1, 0.1),
    item('void-module', 'stone', 'each', 3400),
    ...BED_MATERIAL_KEYS.filter((key) => BED_MATERIALS[key].granular).map((key) =>
      item(`stone:${key}`, 'stone', 't', STONE_MINOR_PER_T[key]!, 0.5, 0.05),
    ),
    ...DEFAULT_TABLES.pipes.map((size, i) =>
      item(`pipe:${size.name}`, 'pipe', 'm', 180 + 90 * i + 25 * i * i, 3, 0.05),
    ),
    ...FITTING_PARTS.flatMap((key, i) =>
      DEFAULT_TABLES.pipes.map(({ name, boreM }) =>
        item(fittingKey(key, name), 'pipe', 'each', fittingMinor(650 + 150 * (i % 5), boreM)),
      ),
    ),
    ...VAULT_SIZES_CM.map((cm) => item(`vault:${cm}`, 'equipment', 'each', vaultMinor(cm / 100))),
    item('drain', 'equipment', 'each', 6200),
    ...VESSEL_SIZES.map((size) => item(vesselKey(size), 'equipment', 'each', vesselMinor(size))),
    item('air-break', 'equipment', 'each', 1900),
    item('foot-valve', 'pipe', 'each', 4800),
    item('heater', 'equipment', 'kW', 21000, 1),
    item('wall', 'stone', 'm²', 9800, 0.5, 0.05),
    item('spillway', 'equipment', 'm', 16500, 0.5),
    item('cable', 'equipment', 'm', 420, 1, 0.05),
    item('controls', 'equipment', 'each', 42000),
    ...TRAIN_KINDS.filter(isPricedBySize).flatMap((kind) =>
      UNIT_SIZES[kind].steps.map((size) => item(unitKey(kind, size), 'equipment', 'each', unitMinor(kind, size))),
    ),
    item('plant', 'plants', 'each', 420),
    item('sundries', 'other', 'share', 0),
    item('electricity', 'other', 'kWh', 34),
    item('tap-water', 'other', 'm³', 480),
    item('labour', 'labour', 'h', 5800, 0.5),
    item('digger', 'labour', 'h', 7600, 1),
  ],
}

/** Sundries, share of the materials' cost. @source house default */
export const SUNDRIES_SHARE = 0.03
