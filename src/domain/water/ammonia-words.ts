import { formatQuantity } from '../../core/units/format'
import type { UnitSystem } from '../../core/units/systems'
import type { ReadingKindName } from '../../core/water/readings'
import { READING_NAMES } from './reading-names'

/** Smaller figures say nothing to anyone. */
const SMALLEST_SHOWN_MGL = 0.01

/** What stands beside a verdict on ammonia: the toxic share it was judged by, or what to test where only the total is known. */
export function ammoniaWords({ nh3MgL, missing }: { nh3MgL: number | null; missing: readonly ReadingKindName[] }, units: UnitSystem): string {
  if (nh3MgL !== null)
    return nh3MgL < SMALLEST_SHOWN_MGL
      ? `NH₃ below ${formatQuantity(SMALLEST_SHOWN_MGL, 'concentration', units)}`
      : `NH₃ ${formatQuantity(nh3MgL, 'concentration', units, { significant: 2 })}`
  if (missing.length === 0) return ''
  const names = missing.map((kind) => (kind === 'ph' ? READING_NAMES.ph : READING_NAMES[kind].toLowerCase()))
  return `judged by the total alone: test ${names.join(' and ')} with it`
}
