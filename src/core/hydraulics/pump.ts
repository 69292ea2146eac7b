import { DomainError } from '../errors'
import { findRoot } from '../numeric/root'
import { monotoneCubic } from '../numeric/interpolate'

export interface PumpPoint {
  readonly flowM3PerH: number
  readonly headM: number
}

/** Head a system asks for, m, at a flow, m³/h. */
export type SystemCurve = (flowM3PerH: number) => number

export type DutyOutcome =
  | { status: 'found'; flowM3PerH: number; headM: number }
  /** The pump cannot lift to the static head at all. */
  | { status: 'no-flow'; shutoffHeadM: number; staticHeadM: number }
  /** The system asks for less than the curve's last point: the real duty lies off the maker's curve. */
  | { status: 'beyond-curve'; flowM3PerH: number; headM: number }

/**
 * Head of a pump as a smooth, falling curve through its catalogue points.
 * @throws {DomainError} fewer than two points, flows not rising or heads not falling
 */
export function pumpHead(curve: readonly PumpPoint[]): (flowM3PerH: number) => number {
  curve.forEach((point, i) => {
    if (i > 0 && !(point.headM <= curve[i - 1]!.headM))
      throw new DomainError(`curve.${i}.headM`, point.headM, `no higher than ${curve[i - 1]!.headM}, as flow rises`)
  })
  return monotoneCubic(
    curve.map((p) => p.flowM3PerH),
    curve.map((p) => p.headM),
  )
}

const FLOW_TOLERANCE_M3_PER_H = 1e-7

/**
 * Where a pump and a system agree: pump curve ∩ system curve.
 * @param curve catalogue points, flow rising from about 0, m³/h and m
 * @param system head asked for at a flow; rising with flow
 * @param known points of the system curve that were worked out already, flow rising: the duty is sought between two
 */
export function dutyPoint(
  curve: readonly PumpPoint[],
  system: SystemCurve,
  known: readonly PumpPoint[] = [],
): DutyOutcome {
  const head = pumpHead(curve)
  const first = curve[0]!.flowM3PerH
  const last = curve[curve.length - 1]!.flowM3PerH
  const asked = (flow: number) => known.find((p) => p.flowM3PerH === flow)?.headM ?? system(flow)
  const excess = (flow: number) => head(flow) - asked(flow)
  if (excess(first) <= 0) return { status: 'no-flow', shutoffHeadM: head(first), staticHeadM: system(first) }
  if (excess(last) > 0) return { status: 'beyond-curve', flowM3PerH: last, headM: head(last) }
  const within = known.filter((p) => p.flowM3PerH > first && p.flowM3PerH < last)
  const low = within.findLast((p) => head(p.flowM3PerH) > p.headM)?.flowM3PerH ?? first
  const high = within.find((p) => head(p.flowM3PerH) <= p.headM)?.flowM3PerH ?? last
  const flowM3PerH = findRoot(excess, { low, high }, FLOW_TOLERANCE_M3_PER_H).x
  return { status: 'found', flowM3PerH, headM: head(flowM3PerH) }
}
