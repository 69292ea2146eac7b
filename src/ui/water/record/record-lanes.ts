import { fromCanonical, unitBySymbol } from '@/core/units/convert'
import type { QuantityKind } from '@/core/units/kinds'
import { SHOWN_UNIT, type QuantityScale, type UnitSystem } from '@/core/units/systems'
import { readingQuantity, readingScale } from '@/domain/water/reading-names'
import type { LaneKey, Threshold, WaterLane } from '@/domain/water/water-record'
import type { Texts } from '@/ui/kit/texts'

/** A lane in the reader's units and words. */
export interface ShownLane {
  readonly key: LaneKey
  readonly title: string
  readonly symbol: string
  /** ISO time, value, whether the test saw nothing. */
  readonly points: readonly (readonly [string, number, boolean])[]
  readonly ahead: { readonly low: number; readonly middle: number; readonly high: number }[] | null
  readonly limits: readonly Threshold[]
}

const DIGITS = 4

export const laneName = (key: LaneKey, t: Texts): string =>
  key === 'nh3' ? t('water.record.toxicAmmonia') : t(`water.readingNames.${key}`)

/** How a lane's figures are shown. */
export const laneQuantity = (key: LaneKey): { quantity: QuantityKind; scale: QuantityScale } =>
  key === 'nh3'
    ? { quantity: 'concentration', scale: 'usual' }
    : { quantity: readingQuantity(key), scale: readingScale(key) }

/** A lane as this reader reads it. */
export function shownLane(lane: WaterLane, units: UnitSystem, t: Texts): ShownLane {
  const { quantity, scale } = laneQuantity(lane.key)
  const symbol = SHOWN_UNIT[units][quantity][scale]
  const unit = unitBySymbol(quantity, symbol)
  const shown = (value: number) => Number(fromCanonical(value, unit).toPrecision(DIGITS))
  return {
    key: lane.key,
    title: [laneName(lane.key, t), symbol].filter(Boolean).join(', '),
    symbol,
    points: lane.points.map((p) => [p.at, shown(p.value), p.noneFound] as const),
    ahead:
      lane.ahead &&
      lane.ahead.p50.map((middle, day) => ({
        low: shown(lane.ahead!.p10[day]!),
        middle: shown(middle),
        high: shown(lane.ahead!.p90[day]!),
      })),
    limits: lane.limits.map((limit) => ({ ...limit, value: shown(limit.value) })),
  }
}

/** A limit far beyond all that is drawn would flatten it: it is left off until something comes near. */
const NEAR = 2
/** The mildest is drawn sooner, to show how far off it is. */
const MILDEST_NEAR = 5

/** The limits that are drawn: those that a test or the forecast comes near. */
export function nearLimits({ points, ahead, limits }: ShownLane): readonly Threshold[] {
  const values = [...points.map(([, value]) => value), ...(ahead ?? []).flatMap(({ low, high }) => [low, high])]
  const [min, max] = [Math.min(...values), Math.max(...values)]
  return limits.filter((limit, i) =>
    limit.side === 'above' ? limit.value <= max * (i === 0 ? MILDEST_NEAR : NEAR) : limit.value >= min / NEAR,
  )
}
