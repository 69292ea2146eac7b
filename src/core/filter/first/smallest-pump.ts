import { pumpSetPowerW, type PumpSet } from '../../hydraulics/pump-set'
import { pumped } from '../design'
import type { DesignPond, FilterDesign } from '../design-input'
import type { CataloguePump } from '../flow/pump-catalogue'
import type { FilterRules } from '../house-rules'

/** Power that a pump in its recommended range may take over the smallest that delivers. */
const WORTH_IN_RANGE = 1.8
/** Each further pump has to save this much power: it is bought, plumbed and cleaned as well. */
const WORTH_ANOTHER = 1.25

export type PumpChoice = Pick<FilterDesign, 'pumpId' | 'pumpSet'>

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
        asIfW: pumpSetPowerW(pump.powerW, pumpSet) * WORTH_ANOTHER ** (pumpSet.count - 1),
      })),
  ).sort((a, b) => a.asIfW - b.asIfW)
  let first: (typeof candidates)[number] | undefined
  for (const candidate of candidates) {
    if (first && candidate.asIfW > first.asIfW * WORTH_IN_RANGE) break
    const { pumpId, pumpSet } = candidate
    const worked = pumped({ ...design, pumpId, pumpSet }, pond, rules, pumps)
    if (worked.flowM3PerH < flowM3PerH) continue
    if (worked.flowM3PerH <= worked.recommended[1]) return { pumpId, pumpSet }
    first ??= candidate
  }
  return first && { pumpId: first.pumpId, pumpSet: first.pumpSet }
}

const mostFlow = (pump: CataloguePump, { arrangement, count }: PumpSet): number =>
  pump.curve[pump.curve.length - 1]!.flowM3PerH * (arrangement === 'parallel' ? count : 1)
