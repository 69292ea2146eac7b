'use client'
import { instant } from '@/domain/shared/dates'
import { READING_NAMES } from '@/domain/water/reading-names'
import type { WaterLabData } from '@/server/forecasts/forecasts'
import { ProblemNote } from '@/ui/kit/problem-note'
import { Why } from '@/ui/kit/why'
import { usePerson } from '@/ui/person-context'
import { useForecastRun } from './use-forecast-run'
import { WorryLines } from './worry-lines'

/** The water lab: which ponds the coming three weeks worry us about, and how far forecasts can be believed. */
export function WaterLabView({ data }: { data: WaterLabData }) {
  return (
    <>
      <div className="page-head">
        <h1>Water lab</h1>
        <span className="soft">Three weeks ahead for every pond, from its readings, its filter and the weather.</span>
      </div>
      <div className="columns wide-left">
        <div>
          <section className="sheet" aria-label="Ponds that the forecast worries about">
            <h2>The coming three weeks</h2>
            {data.lines.length === 0 ? (
              <p className="soft mb-0">
                {data.ponds === 0 ? 'No pond is forecast yet. Ask for a forecast beside.' : 'No pond comes near a line that matters.'}
              </p>
            ) : (
              <>
                <p className="soft small mb-1">Ranked by how likely it is, how bad it would be, and what is at stake in the pond.</p>
                <WorryLines lines={data.lines} mayPlan={data.mayPlan} />
              </>
            )}
          </section>
        </div>
        <div>
          <RunSheet data={data} />
          <ScoreSheet data={data} />
        </div>
      </div>
      <p className="soft">A model advises. Test the water before acting on it; local codes and licensed practice decide.</p>
    </>
  )
}

function RunSheet({ data }: { data: WaterLabData }) {
  const { run, underWay, problem, ask, stop } = useForecastRun(data.run)
  const { timeZone } = usePerson()
  return (
    <section className="sheet" aria-label="The forecast">
      <h2>The forecast</h2>
      <ProblemNote problem={problem} />
      {underWay && run ? (
        <div className="lab-run">
          <div className="progress" role="progressbar" aria-label="Ponds forecast" aria-valuenow={run.done} aria-valuemin={0} aria-valuemax={run.ponds || 1}>
            <div className="progress-bar" style={{ width: `${run.ponds > 0 ? (100 * run.done) / run.ponds : 0}%` }} />
          </div>
          <span>{run.state === 'queued' ? 'Waiting for its turn' : `${run.done} of ${run.ponds} ponds`}</span>
          {data.mayRun ? (
            <button className="btn btn-sm btn-outline-secondary" onClick={stop}>
              Stop
            </button>
          ) : null}
        </div>
      ) : (
        <>
          <p className="mb-1">
            {run === null
              ? 'None yet. It is made every night, and whenever you ask.'
              : run.state === 'failed'
                ? run.problem
                : `${run.state === 'stopped' ? 'Stopped' : 'Made'} ${run.finishedAt ? instant(run.finishedAt, timeZone) : ''}, ${run.done} of ${run.ponds} ponds.`}
          </p>
          {data.mayRun ? (
            <button className="btn btn-sm btn-primary" onClick={ask}>
              Forecast all ponds now
            </button>
          ) : null}
        </>
      )}
    </section>
  )
}

const percent = (share: number) => `${Math.round(share * 100)} %`

/** Honest skill: forecasts against "the same as last time". */
function ScoreSheet({ data }: { data: WaterLabData }) {
  return (
    <section className="sheet" aria-label="How far to believe it">
      <h2>How far to believe it</h2>
      {data.scores.length === 0 ? (
        <p className="soft mb-0">Forecasts are held against the tests that come after them. None has come yet.</p>
      ) : (
        <>
          <table className="table table-sm mb-1">
            <thead>
              <tr>
                <th scope="col">Test</th>
                <th scope="col">Held against</th>
                <th scope="col">Better than “same as last time”</th>
              </tr>
            </thead>
            <tbody>
              {data.scores.map((s) => (
                <tr key={s.kind}>
                  <td>{READING_NAMES[s.kind]}</td>
                  <td>{s.readings}</td>
                  <td>
                    {s.skill === null ? (
                      <span className="soft">too few yet</span>
                    ) : s.skill >= 0 ? (
                      `by ${percent(s.skill)}`
                    ) : (
                      <span className="verdict look">worse by {percent(-s.skill)}</span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <Why>
            Before a test is taken into a pond’s model, the model’s middle is compared with it, and so is the test before. What counts is the mean of the
            absolute differences, in standard deviations of such a test. Where “same as last time” does better, believe the last test and not the forecast.
          </Why>
        </>
      )}
    </section>
  )
}
