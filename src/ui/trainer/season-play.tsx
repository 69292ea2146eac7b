'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import type { TrainerGameData } from '@/server/trainer/trainer-games'
import { Debrief } from './debrief'
import { useSeason } from './use-season'
import { WeekSheet } from './week-sheet'

/** One season on the training pond: week by week, then what came of it. */
export function SeasonPlay({ data }: { data: TrainerGameData }) {
  const t = useTexts()

  const season = useSeason(data)
  const { scenario, choices, view, over } = season
  const page = () => {
    if (over) return <Debrief data={data} choices={choices} pond={season.pond} />
    if (view) return <WeekSheet data={data} season={season} view={view} />
    return (
      <p className="sheet soft" role="status">
        {t('trainer.seasonPlay.weekGoes')}
      </p>
    )
  }
  return (
    <>
      <div className="page-head">
        <h1>{t(`trainer.scenarioTitles.${scenario.key}`)}</h1>
        <Link href="/trainer">{t('trainer.seasonPlay.trainingPond')}</Link>
        {over ? null : (
          <span className="soft">
            {t('trainer.seasonPlay.week', { count: choices.length + 1, weeks: scenario.weeks })}
          </span>
        )}
      </div>
      {page()}
      <p className="soft">{t('trainer.seasonPlay.modelPondTeachesNo')}</p>
    </>
  )
}
