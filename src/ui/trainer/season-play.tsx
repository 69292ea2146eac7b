'use client'
import Link from 'next/link'
import type { PracticeGameData } from '@/server/trainer/practice-games'
import { Debrief } from './debrief'
import { useSeason } from './use-season'
import { WeekSheet } from './week-sheet'

/** One season on the practice pond: week by week, then what came of it. */
export function SeasonPlay({ data }: { data: PracticeGameData }) {
  const season = useSeason(data)
  const { scenario, choices, view, over } = season
  return (
    <>
      <div className="page-head">
        <h1>{scenario.title}</h1>
        <Link href="/practice-pond">Practice pond</Link>
        {over ? null : (
          <span className="soft">
            Week {choices.length + 1} of {scenario.weeks}
          </span>
        )}
      </div>
      {over ? (
        <Debrief data={data} choices={choices} pond={season.pond} />
      ) : view ? (
        <WeekSheet data={data} season={season} view={view} />
      ) : (
        <p className="sheet soft" role="status">
          A week goes by…
        </p>
      )}
      <p className="soft">A model pond teaches; no real one is quite like it. Local codes and licensed practice decide.</p>
    </>
  )
}
