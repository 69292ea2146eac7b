/** Ammonia and nitrite that a strip calls none or a trace, mg N/L. @source usual strips and drop tests */
const TRACE_MG_L = 0.35

/**
 * First day from which ammonia and nitrite stay at a trace.
 * @param tan, nitrite by day, mg N/L
 * @returns 0-based day; the run's length when it is not reached
 */
export function settledDay(tan: ArrayLike<number>, nitrite: ArrayLike<number>): number {
  for (let d = tan.length - 1; d >= 0; d--) if (tan[d]! > TRACE_MG_L || nitrite[d]! > TRACE_MG_L) return d + 1
  return 0
}
