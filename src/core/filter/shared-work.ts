import { rootZoneShare, type HorizontalBed } from './bed/root-zone'
import { sizeThroughYear, type YearSizing } from './sizing/yearly-sizing'

/**
 * What many designs of one pond by one set of rules have in common, worked out once. A search hands it from design
 * to design; it holds for that pond and these rules only.
 */
export interface SharedWork {
  readonly sizings: Map<string, YearSizing>
  readonly rootShares: Map<string, number>
}

export const newSharedWork = (): SharedWork => ({ sizings: new Map(), rootShares: new Map() })

/** The value under a key, worked out where it is asked for first. */
function once<T>(known: Map<string, T> | undefined, key: () => string, work: () => T): T {
  if (!known) return work()
  const at = key()
  const found = known.get(at)
  if (found !== undefined) return found
  const value = work()
  known.set(at, value)
  return value
}

/** sizeThroughYear, once for each stone, stock and litter. */
export function sizedOnce(shared: SharedWork | undefined, ...of: Parameters<typeof sizeThroughYear>): YearSizing {
  const [pond, fish, bed, , uptake, litter] = of
  // what plants take hangs on each design's own planting
  if (uptake) return sizeThroughYear(...of)
  return once(
    shared?.sizings,
    () => JSON.stringify([bed.depthM, bed.grainM, bed.porosity, fish, pond.monthlyTempC, litter]),
    () => sizeThroughYear(...of),
  )
}

/** rootZoneShare, once for each section of a bed. */
export const rootShareOnce = (shared: SharedWork | undefined, zone: HorizontalBed): number =>
  once(
    shared?.rootShares,
    () => JSON.stringify(Object.values(zone)),
    () => rootZoneShare(zone),
  )
