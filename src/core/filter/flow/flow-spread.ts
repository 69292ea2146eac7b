import { pumpHead, type PumpPoint } from '../../hydraulics/pump'
import type { Pumping } from './pumping'

/**
 * Pump against its curve and laid pipe against the tables, as shares (1σ).
 * @source ISO 9906:2012, grade 3B: flow ± 9 %, head ± 7 %, taken as two sigma; loss coefficients ± 30 %, likewise
 */
export const FLOW_SPREAD = { pumpFlow: 0.045, pumpHead: 0.035, friction: 0.15 } as const

/** Narrower than this no flow is known: levels, leaves on a screen. */
const LEAST = 0.02

/**
 * How far the flow turns out other than worked out, as a share (1σ): what a change of pump or friction moves the
 * point where both curves meet. A flat pump curve over a flat system leaves the flow wide open.
 * @returns LEAST where nothing is pumped
 */
export function flowSigmaShare({ curve, systemCurve, flowM3PerH }: Pumping): number {
  if (flowM3PerH <= 0 || curve.length < 2 || systemCurve.length < 2) return LEAST
  const pump = pumpHead(curve)
  const slopeOf = (headAt: (flow: number) => number) => {
    const step = flowM3PerH / 50
    return (headAt(flowM3PerH + step) - headAt(flowM3PerH - step)) / (2 * step)
  }
  const system = (flow: number) => read(systemCurve, flow)
  const [falls, rises] = [Math.max(0, -slopeOf(pump)), Math.max(0, slopeOf(system))]
  const head = pump(flowM3PerH)
  const lost = Math.max(0, head - systemCurve[0]!.headM)
  const meets = (falls + rises) * flowM3PerH
  if (meets <= 0) return LEAST
  const moved = Math.hypot(
    FLOW_SPREAD.pumpHead * head,
    FLOW_SPREAD.pumpFlow * falls * flowM3PerH,
    FLOW_SPREAD.friction * lost,
  )
  return Math.max(LEAST, moved / meets)
}

/** Head of a curve at a flow, straight between its points and on beyond the last. */
function read(points: readonly PumpPoint[], flow: number): number {
  const next = Math.min(
    points.length - 1,
    Math.max(
      1,
      points.findIndex((point) => point.flowM3PerH >= flow),
    ),
  )
  const [a, b] = [points[next - 1]!, points[next]!]
  return a.headM + ((flow - a.flowM3PerH) / (b.flowM3PerH - a.flowM3PerH)) * (b.headM - a.headM)
}
