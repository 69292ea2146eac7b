import type { FilterDesign } from '../filter/design-input'
import type { TrainKind } from '../filter/train/train-unit'
import { sizeOf, unitKey } from '../filter/train/unit-sizes'
import type { DesignUpkeep } from '../filter/upkeep'
import type { CataloguePump } from '../filter/flow/pump-catalogue'
import type { PriceBook } from './price-book'

/**
 * Parts that are used up in a year, as a share of what the unit costs: lamps, pads, seals, membranes, packs.
 * @source house defaults: a lamp a year, pads every other, seals and screens now and then
 */
export const WEAR_SHARE: Readonly<Partial<Record<TrainKind, number>>> = {
  uv: 0.25,
  'falls-box': 0.08,
  pressurised: 0.04,
  drum: 0.04,
  sieve: 0.02,
  ioniser: 0.12,
  'dosing-unit': 0.6,
  aerator: 0.12,
  'foam-fractionator': 0.03,
}
/** A pump is renewed after so long, years. @source house default */
const PUMP_YEARS = 8

/** What a year with a design costs, minor units with tax. */
export interface RunningCost {
  readonly workMinor: number
  readonly energyMinor: number
  readonly waterMinor: number
  readonly wearMinor: number
  readonly totalMinor: number
  /** Lines that the price book lacks: what hangs on them is left out. */
  readonly unpriced: readonly string[]
}

/** A year of a design in money: hours, electricity, water, and the parts that wear out. */
export function runningCost(
  design: Pick<FilterDesign, 'train' | 'pumpId' | 'pumpSet' | 'network'>,
  upkeep: DesignUpkeep,
  book: PriceBook,
  pumps: readonly CataloguePump[],
): RunningCost {
  const items = new Map(book.items.map((item) => [item.key, item.costMinor]))
  const unpriced: string[] = []
  const costOf = (key: string, quantity: number): number => {
    if (quantity === 0) return 0
    const cost = items.get(key)
    if (cost === undefined) unpriced.push(key)
    return (cost ?? 0) * quantity
  }
  const units = design.train.reduce(
    (sum, unit) => sum + costOf(unitKey(unit.kind, sizeOf(unit)), WEAR_SHARE[unit.kind] ?? 0),
    0,
  )
  const own = design.pumpSet.arrangement === 'single' ? 1 : design.pumpSet.count
  const pumpOf = (id: string | null) => pumps.find((pump) => pump.id === id)?.priceMinor ?? 0
  const renewed = [pumpOf(design.pumpId) * own, ...(design.network?.morePumps ?? []).map(pumpOf)]
  // parts are sold with markup, as when the filter is built; work, current and water are not
  const wear = (units + renewed.reduce((sum, minor) => sum + minor, 0) / PUMP_YEARS) * (1 + book.markup)
  const taxed = (minor: number) => Math.round(minor * (1 + book.tax))
  const parts = {
    workMinor: taxed(costOf('labour', upkeep.hoursPerYear)),
    // tariffs are what a household pays, tax in them
    energyMinor: Math.round(costOf('electricity', upkeep.energyKWhPerYear)),
    waterMinor: Math.round(costOf('tap-water', upkeep.waterM3PerYear)),
    wearMinor: taxed(wear),
  }
  return {
    ...parts,
    totalMinor: parts.workMinor + parts.energyMinor + parts.waterMinor + parts.wearMinor,
    unpriced,
  }
}
