'use client'
import { costOf } from '@/core/trainer/play'
import type { WeekView } from '@/core/trainer/view'
import { dayMonth } from '@/domain/shared/dates'
import { money } from '@/domain/prices/pricing'
import type { PracticeGameData } from '@/server/trainer/practice-games'
import { ProblemNote } from '@/ui/kit/problem-note'
import { SIGHT_WORDS } from '@/messages/en/practice-pond'
import { Notebook } from './notebook'
import { PondScene } from './pond-scene'
import { TaskChoices } from './task-choices'
import { TestKit } from './test-kit'
import type { Season } from './use-season'

/** One week: what is seen, what is tested, what is done. */
export function WeekSheet({ data, season, view }: { data: PracticeGameData; season: Season; view: WeekView }) {
  const { scenario, visit, advice, refusals, problem, busy, minutesLeft } = season
  const tooLong = refusals.some((r) => r.code === 'too-long')
  return (
    <div className="practice">
      <div>
        <section className="sheet" aria-label="The pond">
          <h2>{dayMonth(view.date)}</h2>
          <PondScene view={view} />
          <ul className="sights" aria-label="What is seen">
            {view.sights.map(({ key, kind }) => (
              <li key={key} className={kind}>
                <span className={`verdict ${kind === 'bad' ? 'stop' : kind}`}>{kind === 'bad' ? 'bad' : kind}</span> {SIGHT_WORDS[key]}
              </li>
            ))}
          </ul>
          {view.told.map((told) => (
            <p key={told} className="told mb-1">
              {told}
            </p>
          ))}
          {view.fish.lostThisWeek > 0 ? <p className="told mb-1">Lost since the last visit: {view.fish.lostThisWeek}.</p> : null}
        </section>
        {view.week === 0 ? (
          <section className="sheet" aria-label="The job">
            <p>{scenario.brief}</p>
            <p className="told mb-1">{scenario.wish}</p>
            <p className="soft small mb-0">
              {scenario.minutesPerWeek} minutes on site each week. Look, test what you want to know, do what is right, and go home: the week passes. What you
              cannot see or test, you do not know.
            </p>
          </section>
        ) : null}
        <Notebook season={season} />
      </div>
      <div>
        <section className="sheet visit-sum" aria-label="This visit">
          <div className="visit-line">
            <strong className={tooLong ? 'field-error' : undefined} role="status">
              {minutesLeft >= 0 ? `${minutesLeft} min left` : `${-minutesLeft} min too long`}
            </strong>
            <span className="soft">{money(costOf(visit) * 100, data.currency)} of materials</span>
            <button className="btn btn-primary" disabled={busy || refusals.length > 0} onClick={() => void season.goHome()}>
              Go home: a week passes
            </button>
          </div>
          <ProblemNote problem={problem} />
          {refusals.map((refusal) => (
            <p key={refusal.code} className="field-error mb-0" role="alert">
              {refusal.code === 'too-long'
                ? `That takes ${refusal.minutes} minutes; you have ${refusal.have}. Leave something for next week.`
                : 'Something chosen cannot be done today.'}
            </p>
          ))}
        </section>
        <TestKit season={season} view={view} />
        <TaskChoices season={season} view={view} currency={data.currency} />
        <section className="sheet" aria-label="The foreman">
          {advice ? (
            <>
              <p className="mb-1">
                <strong>The foreman:</strong> {advice.why}
              </p>
              <button className="btn btn-sm btn-outline-secondary" onClick={season.follow}>
                Put the visit together like that
              </button>
            </>
          ) : (
            <>
              <button className="btn btn-sm btn-outline-secondary" onClick={() => void season.ask()}>
                Ask the foreman
              </button>{' '}
              <span className="soft small">
                He knows the house’s way. {visit.asked ? 'Hearing it again costs nothing.' : 'Each question costs two points.'}
              </span>
            </>
          )}
        </section>
      </div>
    </div>
  )
}
