'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { trainerScenario, SCENARIO_KEYS, type ScenarioKey } from '@/core/trainer/scenarios'
import type { TrainerPageData } from '@/server/trainer/trainer-games'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'
import { Stars } from './stars'

/** Begins a season and goes there. */
export function useStartSeason() {
  const router = useRouter()
  const { problem, ask } = useSave()
  const start = async (scenario: ScenarioKey, seed: number | null) => {
    const game = await ask(send<{ id: string }>('POST', '/api/v1/trainer-games', { scenario, seed }))
    if (game) router.push(`/trainer/${game.id}`)
  }
  return { start, problem }
}

/** The simulator as a trainer: seasons to play, how far this person has come, and the others. */
export function TrainerView({ data }: { data: TrainerPageData }) {
  const t = useTexts()

  const { start, problem } = useStartSeason()
  return (
    <>
      <div className="page-head">
        <h1>{t('trainer.trainerView.trainingPond')}</h1>
        <span className="soft">{t('trainer.trainerView.lookAfterPondWeek')}</span>
      </div>
      <ProblemNote problem={problem} />
      <div className="columns wide-left">
        <div>
          {SCENARIO_KEYS.map((key) => (
            <ScenarioSheet
              key={key}
              scenario={key}
              games={data.games.filter((g) => g.scenario === key)}
              onStart={() => void start(key, null)}
            />
          ))}
        </div>
        <TeamSheet data={data} />
      </div>
    </>
  )
}

function ScenarioSheet({
  scenario,
  games,
  onStart,
}: {
  scenario: ScenarioKey
  games: TrainerPageData['games']
  onStart: () => void
}) {
  const t = useTexts()

  const { weeks, minutesPerWeek } = trainerScenario(scenario)
  const title = t(`trainer.scenarioTitles.${scenario}`)
  const open = games.find((g) => g.finishedAt === null)
  const done = games.filter((g) => g.points !== null)
  const best = done.reduce<(typeof done)[number] | null>(
    (top, g) => (top === null || g.points! > top.points! ? g : top),
    null,
  )
  const beginText = () => {
    if (open) return t('trainer.trainerView.beginAnew')
    if (done.length > 0) return t('trainer.trainerView.playAnotherYear')
    return t('trainer.trainerView.begin')
  }
  return (
    <section className="sheet scenario" aria-label={title}>
      <h2>{title}</h2>
      <p className="mb-1">{t(`trainer.scenarioBriefs.${scenario}`)}</p>
      <p className="soft small mb-2">{t('trainer.trainerView.weeksMinutesSiteEach', { weeks, minutesPerWeek })}</p>
      <div className="scenario-line">
        {open ? (
          <Link className="btn btn-primary" href={`/trainer/${open.id}`}>
            {t('trainer.trainerView.goWeek', { week: open.week + 1, weeks })}
          </Link>
        ) : null}
        <button className={`btn ${open ? 'btn-outline-secondary' : 'btn-primary'}`} onClick={onStart}>
          {beginText()}
        </button>
        {best ? (
          <span className="ms-auto">
            <Stars stars={best.stars!} />{' '}
            {t('trainer.trainerView.best', {
              count: t('trainer.trainerView.seasons', { count: done.length }),
            })}{' '}
            <Link href={`/trainer/${best.id}`}>{t('trainer.trainerView.points', { points: best.points ?? 0 })}</Link>
          </span>
        ) : (
          <span className="soft ms-auto">{t('trainer.trainerView.notPlayedEndYet')}</span>
        )}
      </div>
    </section>
  )
}

function TeamSheet({ data }: { data: TrainerPageData }) {
  const t = useTexts()

  const names = [...new Set(data.team.map((result) => result.name))]
  return (
    <section className="sheet" aria-label={t('trainer.trainerView.team')}>
      <h2>{t('trainer.trainerView.team')}</h2>
      {names.length === 0 ? (
        <p className="soft mb-0">{t('trainer.trainerView.nobodyHasPlayedSeason')}</p>
      ) : (
        <ul className="plain-list">
          {names.map((name) => (
            <li key={name}>
              <strong>{name === data.me ? t('trainer.trainerView.you') : name}</strong>
              {data.team
                .filter((result) => result.name === name)
                .map((result) => (
                  <div key={result.scenario} className="team-line">
                    <span>{t(`trainer.scenarioTitles.${result.scenario}`)}</span>
                    <span className="text-nowrap">
                      <Stars stars={result.stars} /> {result.best}
                    </span>
                  </div>
                ))}
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
