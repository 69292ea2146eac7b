import type { QuantityKind } from '@/core/units/kinds'
import type { FormatOptions } from '@/core/units/format'
import { checkWords } from '@/messages/en/checks'
import type { Worked } from './use-bench'

export interface Change {
  readonly what: string
  readonly before: string
  readonly after: string
}

const VERDICTS = { pass: 'pass', look: 'look', stop: 'stop' } as const

/** What a change of the design did to its figures and checks, in words; only what reads differently. */
export function changesBetween(before: Worked, after: Worked, show: (value: number, kind: QuantityKind, options?: FormatOptions) => string): Change[] {
  const figures = (w: Worked): [string, string][] => [
    ['Bed', `${show(w.bed.lengthM, 'length')} × ${show(w.bed.widthM, 'length')}${w.bed.vessels > 1 ? ` × ${w.bed.vessels}` : ''}`],
    ['Area', show(w.result.areaM2, 'area')],
    ['Depth', show(w.result.depthM, 'length', { scale: 'small' })],
    ['Pump', w.result.pump.name],
    ['Flow', show(w.result.flowM3PerH, 'flow')],
    ['Past the bed', show(w.bed.bypassShare, 'share')],
    ['Delivery bore', show(w.bed.delivery.diameterM, 'length', { scale: 'small' })],
    ['Distribution pipe', show(w.bed.manifold.diameterM, 'length', { scale: 'small' })],
    ['Return', `${w.bed.outlet.count} × ${show(w.bed.outlet.diameterM, 'length', { scale: 'small' })}`],
    ['TAN, worst month', show(w.result.worstTanMgL, 'concentration')],
    ['Power', `${Math.round(w.result.powerW)} W`],
    ['Stone', show(w.result.weights.stoneT * 1000, 'mass')],
  ]
  const [old, now] = [figures(before), figures(after)]
  const changed = now.flatMap(([what, value], i) => (value === old[i][1] ? [] : [{ what, before: old[i][1], after: value }]))
  const verdicts = after.checks.flatMap((check) => {
    const was = before.checks.find((c) => c.id === check.id)
    return was && was.verdict !== check.verdict ? [{ what: checkWords(check, show).title, before: VERDICTS[was.verdict], after: VERDICTS[check.verdict] }] : []
  })
  return [...changed, ...verdicts]
}
