import type { FilterDesign } from '../design-input'
import type { TrainKind } from './train-unit'

/** What is done when the water has stood still, and comes back. */
export const OUTAGE_ACTS = [
  'prime-pump',
  'fill-chamber',
  'drain-first-water',
  'rinse-media',
  'keep-damp',
  'wet-bed',
  'lamp-off',
  'heater-off',
  'dosing-off',
  'air-first',
] as const
export type OutageAct = (typeof OUTAGE_ACTS)[number]

export interface OutageRule {
  readonly part: TrainKind | 'pump' | 'bed'
  readonly act: OutageAct
  /** Without flow so long, h; 0 each time. */
  readonly afterH: number
}

/**
 * Bacteria without oxygen or water: in closed vessels they have used it up after an hour or two, on damp media they
 * live half a day.
 * @source house default from nitrifiers' oxygen uptake; smell decides on site
 */
const RULES: Readonly<Partial<Record<TrainKind, readonly Omit<OutageRule, 'part'>[]>>> = {
  drum: [{ act: 'fill-chamber', afterH: 0 }],
  sieve: [{ act: 'fill-chamber', afterH: 0 }],
  'static-bed': [{ act: 'drain-first-water', afterH: 2 }],
  pressurised: [{ act: 'drain-first-water', afterH: 1 }],
  'moving-bed': [{ act: 'rinse-media', afterH: 2 }],
  'trickle-tower': [{ act: 'keep-damp', afterH: 4 }],
  'falls-box': [{ act: 'keep-damp', afterH: 4 }],
  uv: [{ act: 'lamp-off', afterH: 0 }],
  heater: [{ act: 'heater-off', afterH: 0 }],
  'dosing-unit': [{ act: 'dosing-off', afterH: 0 }],
  aerator: [{ act: 'air-first', afterH: 0 }],
}
const BED_DRY_H = 1
const BED_STALE_H = 6
/** A bed that stays wet by less than this dries. */
const WET_SHARE_LEAST = 0.5

/** What a design asks after a power cut, what is at once first. @param wetShare of the bed that stays wet */
export function outageRules(
  design: Pick<FilterDesign, 'train' | 'type' | 'suction' | 'pumpId' | 'heatToC'>,
  wetShare: number,
): OutageRule[] {
  const kinds = [
    ...new Set<TrainKind>([
      ...design.train.map((unit) => unit.kind),
      ...(design.heatToC === null ? [] : ['heater' as const]),
    ]),
  ]
  const rules: OutageRule[] = [
    ...(design.pumpId !== null && design.suction !== null
      ? [{ part: 'pump' as const, act: 'prime-pump' as const, afterH: 0 }]
      : []),
    ...kinds.flatMap((part) => (RULES[part] ?? []).map((rule) => ({ part, ...rule }))),
    ...(design.type === 'none'
      ? []
      : [
          wetShare < WET_SHARE_LEAST
            ? { part: 'bed' as const, act: 'wet-bed' as const, afterH: BED_DRY_H }
            : { part: 'bed' as const, act: 'drain-first-water' as const, afterH: BED_STALE_H },
        ]),
  ]
  return rules.sort((a, b) => a.afterH - b.afterH)
}
