import { daysBetween } from '../../core/numeric/calendar'
import type { PlanResult, PlanRun } from './plan-run'

/** A plan's result in a few figures: for laying it beside others, and for the crunch strip. */
export interface PlanFigures {
  readonly visits: number
  readonly moved: number
  readonly unplaced: number
  readonly travelMin: number
  /** Weeks in which more hours are wanted than the crews have. */
  readonly tightWeeks: number
  /** Mean distance of new visits from their best day. */
  readonly meanOffDays: number
  readonly crunch: PlanResult['crunch']
}

export interface PlanSummary extends PlanFigures {
  readonly id: PlanRun['id']
  readonly wish: PlanRun['wish']
  readonly askedAt: string
}

export function figuresOf(result: PlanResult): PlanFigures {
  const fresh = result.changes.filter((c) => c.kind === 'new')
  return {
    // a shift of the hour is a visit that stays
    visits: result.changes.filter((c) => c.kind !== 'shifted').length + result.kept,
    moved: result.changes.filter((c) => c.kind === 'moved').length,
    unplaced: result.unplaced.length,
    travelMin: result.travelMin,
    tightWeeks: result.crunch.filter((w) => w.wantedMin > w.crewMin).length,
    meanOffDays:
      fresh.length === 0
        ? 0
        : fresh.reduce((sum, c) => sum + Math.abs(daysBetween(c.window.best, c.day)), 0) / fresh.length,
    crunch: result.crunch,
  }
}
