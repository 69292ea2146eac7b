'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { practiceScenario, SCENARIO_KEYS, type ScenarioKey } from '@/core/trainer/scenarios'
import type { PracticePondData } from '@/server/trainer/practice-games'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send, type SendProblem } from '@/ui/send'
import { Reeds } from './reeds'

/** Begins a season and goes there. */
export function useStartSeason() {
  const router = useRouter()
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const start = async (scenario: ScenarioKey, seed: number | null) => {
    const outcome = await send<{ id: string }>('POST', '/api/v1/practice-games', { scenario, seed })
    if (!outcome.ok) return setProblem(outcome.problem)
    setProblem(null)
    router.push(`/practice-pond/${outcome.value.id}`)
  }
  return { start, problem }
}

/** The simulator as a trainer: seasons to play, how far this person has come, and the others. */
export function PracticePondView({ data }: { data: PracticePondData }) {
  const { start, problem } = useStartSeason()
  return (
    <>
      <div className="page-head">
        <h1>Practice pond</h1>
        <span className="soft">Look after a pond week by week with what you can see and test. No fish are harmed but drawn ones.</span>
      </div>
      <ProblemNote problem={problem} />
      <div className="columns wide-left">
        <div>
          {SCENARIO_KEYS.map((key) => (
            <ScenarioSheet key={key} scenario={key} games={data.games.filter((g) => g.scenario === key)} onStart={() => void start(key, null)} />
          ))}
        </div>
        <TeamSheet data={data} />
      </div>
    </>
  )
}

function ScenarioSheet({ scenario, games, onStart }: { scenario: ScenarioKey; games: PracticePondData['games']; onStart: () => void }) {
  const { title, brief, weeks, minutesPerWeek } = practiceScenario(scenario)
  const open = games.find((g) => g.finishedAt === null)
  const done = games.filter((g) => g.points !== null)
  const best = done.reduce<(typeof done)[number] | null>((top, g) => (top === null || g.points! > top.points! ? g : top), null)
  return (
    <section className="sheet scenario" aria-label={title}>
      <h2>{title}</h2>
      <p className="mb-1">{brief}</p>
      <p className="soft small mb-2">
        {weeks} weeks, {minutesPerWeek} minutes on site each.
      </p>
      <div className="scenario-line">
        {open ? (
          <Link className="btn btn-primary" href={`/practice-pond/${open.id}`}>
            Go on: week {open.week + 1} of {weeks}
          </Link>
        ) : null}
        <button className={`btn ${open ? 'btn-outline-secondary' : 'btn-primary'}`} onClick={onStart}>
          {open ? 'Begin anew' : done.length > 0 ? 'Play another year' : 'Begin'}
        </button>
        {best ? (
          <span className="ms-auto">
            <Reeds reeds={best.reeds!} /> best of {done.length === 1 ? 'one season' : `${done.length} seasons`}:{' '}
            <Link href={`/practice-pond/${best.id}`}>{best.points} points</Link>
          </span>
        ) : (
          <span className="soft ms-auto">not played to its end yet</span>
        )}
      </div>
    </section>
  )
}

function TeamSheet({ data }: { data: PracticePondData }) {
  const names = [...new Set(data.team.map((t) => t.name))]
  return (
    <section className="sheet" aria-label="The team">
      <h2>The team</h2>
      {names.length === 0 ? (
        <p className="soft mb-0">Nobody has played a season to its end. Be the first.</p>
      ) : (
        <ul className="plain-list">
          {names.map((name) => (
            <li key={name}>
              <strong>{name === data.me ? 'You' : name}</strong>
              {data.team
                .filter((t) => t.name === name)
                .map((t) => (
                  <div key={t.scenario} className="team-line">
                    <span>{practiceScenario(t.scenario).title}</span>
                    <span className="text-nowrap">
                      <Reeds reeds={t.reeds} /> {t.best}
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
