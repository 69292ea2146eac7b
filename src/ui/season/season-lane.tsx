'use client'
import { memo } from 'react'
import type { SeasonRow } from '@/server/season/season-view'
import type { Lane } from './season-rows'
import { SeasonVisits, type HangingVisit } from './season-visit'
import { SeasonWindow } from './season-window'
import type { TimeAxis } from './time-axis'

interface SeasonLaneProps {
  readonly row: SeasonRow
  readonly lane: Lane
  readonly axis: TimeAxis
  readonly hanging: HangingVisit | null
  readonly movable: boolean
}

/** One type of visits of an unfolded pond: its window, and its visits. */
export const SeasonLane = memo(function SeasonLane({ row, lane, axis, hanging, movable }: SeasonLaneProps) {
  return (
    <div className="season-row season-lane">
      <span className="text-truncate">{lane.name}</span>
      <div className="season-year ribbon" data-ribbon>
        {lane.window ? <SeasonWindow row={row} job={lane.window.job} window={lane.window} axis={axis} /> : null}
        <SeasonVisits visits={lane.visits} {...{ row, axis, hanging, movable }} />
      </div>
    </div>
  )
})
