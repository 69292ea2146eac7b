import { pumpSetPowerW, type PumpSet } from '../../hydraulics/pump-set'
import { pumped } from '../design'
import type { DesignPond, FilterDesign } from '../design-input'
import { suctionFor } from './suction'
import { isDryMounted, type CataloguePump } from '../flow/pump-catalogue'
import type { FilterRules } from '../house-rules'

/** Power that a pump in its recommended range may take over the smallest that delivers. */
const WORTH_IN_RANGE = 1.8
/** Each further pump has to save this much power: it is bought, plumbed and cleaned as well. */
const WORTH_ANOTHER = 1.25

export type PumpChoice = Pick<FilterDesign, 'pumpId' | 'pumpSet' | 'suction'>

const SETS: readonly PumpSet[] = [
  { arrangement: 'single', count: 1, speed: 1 },
  ...(['parallel', 'series'] as const).flatMap((arrangement) =>
    [2, 3, 4].map((count) => ({ arrangement, count, speed: 1 })),
  ),
]

/**
 * The pump, or the fewest alike ones, that bring a flow through the design's pipes for the least power; one that runs
 * in its own range is worth a little more. undefined when none do.
 */
export function smallestPump(
  pond: DesignPond,
  design: FilterDesign,
  rules: FilterRules,
  pumps: readonly CataloguePump[],
  flowM3PerH: number,
): PumpChoice | undefined {
  const candidates = SETS.flatMap((pumpSet) =>
    pumps
      .filter((pump) => mostFlow(pump, pumpSet) > flowM3PerH)
      .map((pump) => ({
        pumpId: pump.id,
        pumpSet,
        suction: suctionFor({ ...design, pumpSet }, { dry: isDryMounted(pump) }, flowM3PerH, rules.tables.pipes),
        asIfW: pumpSetPowerW(pump.powerW, pumpSet) * WORTH_ANOTHER ** (pumpSet.count - 1),
      })),
  ).sort((a, b) => a.asIfW - b.asIfW)
  let first: PumpChoice | undefined
  let firstW = Infinity
  for (const candidate of candidates) {
    if (candidate.asIfW > firstW * WORTH_IN_RANGE) break
    const { asIfW: _watts, ...choice } = candidate
    const worked = pumped({ ...design, ...choice }, pond, rules, pumps)
    if (worked.flowM3PerH < flowM3PerH) continue
    if (worked.flowM3PerH <= worked.recommended[1]) return choice
    if (first) continue
    first = choice
    firstW = candidate.asIfW
  }
  return first
}

const mostFlow = (pump: CataloguePump, { arrangement, count }: PumpSet): number =>
  pump.curve[pump.curve.length - 1]!.flowM3PerH * (arrangement === 'parallel' ? count : 1)
