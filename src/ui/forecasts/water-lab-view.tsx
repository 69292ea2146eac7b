'use client'
import { useTexts } from '@/ui/kit/texts'
import { instant } from '@/domain/shared/dates'
import type { WaterLabData } from '@/server/forecasts/forecasts'
import { ProblemNote } from '@/ui/kit/problem-note'
import { Why } from '@/ui/kit/why'
import { usePerson } from '@/ui/person-context'
import { useForecastRun } from './use-forecast-run'
import { WorryLines } from './worry-lines'

/** The water lab: which ponds the coming three weeks worry us about, and how far forecasts can be believed. */
export function WaterLabView({ data }: { data: WaterLabData }) {
  const t = useTexts()

  return (
    <>
      <div className="page-head">
        <h1>{t('forecasts.waterLabView.waterLab')}</h1>
        <span className="soft">{t('forecasts.waterLabView.threeWeeksAheadEvery')}</span>
      </div>
      <div className="columns wide-left">
        <div>
          <section className="sheet" aria-label={t('forecasts.waterLabView.pondsForecastWorriesAbout')}>
            <h2>{t('forecasts.waterLabView.comingThreeWeeks')}</h2>
            {data.lines.length === 0 ? (
              <p className="soft mb-0">{data.ponds === 0 ? t('forecasts.waterLabView.noPondForecastYet') : t('forecasts.waterLabView.noPondComesNear')}</p>
            ) : (
              <>
                <p className="soft small mb-1">{t('forecasts.waterLabView.rankedHowLikelyHow')}</p>
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
      <p className="soft">{t('forecasts.waterLabView.modelAdvisesTestWater')}</p>
    </>
  )
}

function RunSheet({ data }: { data: WaterLabData }) {
  const t = useTexts()

  const { run, underWay, problem, ask, stop } = useForecastRun(data.run)
  const { timeZone } = usePerson()
  return (
    <section className="sheet" aria-label={t('forecasts.waterLabView.forecast')}>
      <h2>{t('forecasts.waterLabView.forecast')}</h2>
      <ProblemNote problem={problem} />
      {underWay && run ? (
        <div className="lab-run">
          <div
            className="progress"
            role="progressbar"
            aria-label={t('forecasts.waterLabView.pondsForecast')}
            aria-valuenow={run.done}
            aria-valuemin={0}
            aria-valuemax={run.ponds || 1}
          >
            <div className="progress-bar" style={{ width: `${run.ponds > 0 ? (100 * run.done) / run.ponds : 0}%` }} />
          </div>
          <span>
            {run.state === 'queued' ? t('forecasts.waterLabView.waitingTurn') : t('forecasts.waterLabView.ponds', { done: run.done, ponds: run.ponds })}
          </span>
          {data.mayRun ? (
            <button className="btn btn-sm btn-outline-secondary" onClick={stop}>
              {t('forecasts.waterLabView.stop')}
            </button>
          ) : null}
        </div>
      ) : (
        <>
          <p className="mb-1">
            {run === null
              ? t('forecasts.waterLabView.noneYetMadeEvery')
              : run.state === 'failed'
                ? run.problem
                : t('forecasts.waterLabView.ponds2', {
                    state: run.state === 'stopped' ? t('forecasts.waterLabView.stopped') : t('forecasts.waterLabView.made'),
                    finishedAt: run.finishedAt ? instant(run.finishedAt, timeZone) : '',
                    done: run.done,
                    ponds: run.ponds,
                  })}
          </p>
          {data.mayRun ? (
            <button className="btn btn-sm btn-primary" onClick={ask}>
              {t('forecasts.waterLabView.forecastAllPondsNow')}
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
  const t = useTexts()

  return (
    <section className="sheet" aria-label={t('forecasts.waterLabView.howFarBelieve')}>
      <h2>{t('forecasts.waterLabView.howFarBelieve')}</h2>
      {data.scores.length === 0 ? (
        <p className="soft mb-0">{t('forecasts.waterLabView.forecastsHeldAgainstTests')}</p>
      ) : (
        <>
          <table className="table table-sm mb-1">
            <thead>
              <tr>
                <th scope="col">{t('forecasts.waterLabView.test')}</th>
                <th scope="col">{t('forecasts.waterLabView.heldAgainst')}</th>
                <th scope="col">{t('forecasts.waterLabView.betterThanSameLast')}</th>
              </tr>
            </thead>
            <tbody>
              {data.scores.map((s) => (
                <tr key={s.kind}>
                  <td>{t(`water.readingNames.${s.kind}`)}</td>
                  <td>{s.readings}</td>
                  <td>
                    {s.skill === null ? (
                      <span className="soft">{t('forecasts.waterLabView.tooFewYet')}</span>
                    ) : s.skill >= 0 ? (
                      t('forecasts.waterLabView.by', { skill: percent(s.skill) })
                    ) : (
                      <span className="verdict look">{t('forecasts.waterLabView.worse', { skill: percent(-s.skill) })}</span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <Why>{t('forecasts.waterLabView.beforeTestTakenInto')}</Why>
        </>
      )}
    </section>
  )
}
