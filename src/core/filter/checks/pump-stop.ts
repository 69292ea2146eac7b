import { atMost, check, type Check, CHECK_LIMITS, type CheckContext, graded } from './check'

/** What happens when the power fails, and when it comes back. */
export function pumpStopChecks({ design, pond, result: { stop, quantities } }: CheckContext): Check[] {
  if (design.type === 'none') return []
  const voids = quantities.reduce((sum, layer) => sum + layer.voidM3, 0)
  const freeboardMm = pond.freeboardM * 1000
  const over = atMost(stop.pondRiseMm, freeboardMm * CHECK_LIMITS.freeboardShare, freeboardMm)
  return [
    // a check valve holds until it fouls, so it turns a stop into a look and no more
    check('drain-back', stop.heldByValve && over === 'stop' ? 'look' : over, stop.pondRiseMm, freeboardMm, {
      volume: stop.drainBackM3,
      valve: stop.heldByValve ? 'yes' : 'no',
      sludge: stop.sludgeReturns ? 'yes' : 'no',
    }),
    check(
      'stays-wet',
      graded(stop.wetShare >= CHECK_LIMITS.wetShareLeast || stop.heldByValve, stop.wetShare > 0.1),
      stop.wetShare,
      CHECK_LIMITS.wetShareLeast,
    ),
    check(
      'restart',
      stop.heldByValve
        ? 'pass'
        : atMost(stop.restartDrawdownMm, CHECK_LIMITS.drawdownLookMm, CHECK_LIMITS.drawdownStopMm),
      stop.restartDrawdownMm,
      CHECK_LIMITS.drawdownLookMm,
      {
        minutes: stop.refillMin,
      },
    ),
    check(
      'bed-water',
      atMost(voids / pond.volumeM3, CHECK_LIMITS.bedWaterLookShare, CHECK_LIMITS.bedWaterStopShare),
      voids,
      pond.volumeM3 * CHECK_LIMITS.bedWaterStopShare,
      {
        share: voids / pond.volumeM3,
      },
    ),
  ]
}
