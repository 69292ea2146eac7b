import { portions } from '@/core/water/dosing/portions'
import { DOSE_STOPS, smallestShareOf, type Product, type Dose } from '@/core/water/dosing/products'
import { DESK_TESTS, deskStop } from '@/domain/water/desk-dose'
import { youngTests } from '@/domain/water/dosing'
import type { DosesData } from '@/server/water/doses'

/** Nobody stands at a hose for more than so long, or by a rise of more than so much: a slip of the pen. */
const MOST_RISE_MM = 20_000
const MOST_FILL_MIN = 20_000
const LEAST_RISE_M = 0.02

/** A dose with what stops it, the tests it was judged by, and its portions while new water runs in. */
export function judgedDose(data: DosesData, product: Product, dose: Dose, wanted: number, volumeM3: number) {
  const riseM = Math.max(LEAST_RISE_M, data.maxDepthM * Math.min(1, volumeM3 / data.system.totalM3))
  const inPortions =
    product.treats === 'new-water' && dose.amount > 0
      ? portions(
          dose.amount,
          Math.min(MOST_RISE_MM, riseM * 1000),
          Math.min(MOST_FILL_MIN, (volumeM3 / data.hoseM3PerH) * 60),
          measuringUnit(product),
        )
      : []
  const needed = DESK_TESTS[product.purpose] ?? []
  const tests = youngTests(data.readings, needed, data.today)
  const stop = deskStop({
    purpose: product.purpose,
    amount: dose.amount,
    riseDH: wanted,
    // salt leaves only with water: what was found last counts, however long ago
    readings: { ...(data.gateFacts.salinity == null ? {} : { salinity: data.gateFacts.salinity }), ...tests.values },
    systemM3: data.system.totalM3,
    planted: data.gateFacts.planted,
  })
  const stopped = stop?.gate.status === 'stop' || dose.problems.some((p) => DOSE_STOPS.includes(p.code))
  return { ...dose, inPortions, tests, stop, stopped }
}
export type JudgedDose = ReturnType<typeof judgedDose>

const measuringUnit = ({ measure }: Product) =>
  measure ? { name: measure.name, weightG: measure.holds, smallestShare: smallestShareOf(measure) } : undefined
