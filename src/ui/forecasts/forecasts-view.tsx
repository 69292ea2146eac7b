'use client'
import { useTexts } from '@/ui/kit/texts'
import type { TextKey } from '@/messages/keys'
import type { ForecastsPageData } from '@/server/forecasts/forecasts'
import { ProblemNote } from '@/ui/kit/problem-note'
import { usePerson } from '@/ui/person-context'
import { AccuracySheet } from './accuracy-sheet'
import { useForecastRun } from './use-forecast-run'
import { RiskLines } from './risk-lines'

/** The forecasts page: which ponds are at risk in the coming three weeks, and how far forecasts can be believed. */
export function ForecastsView({ data }: { data: ForecastsPageData }) {
  const t = useTexts()

  return (
    <>
      <div className="page-head">
        <h1>{t('forecasts.forecastsView.forecasts')}</h1>
        <span className="soft">{t('forecasts.forecastsView.threeWeeksAheadEvery')}</span>
      </div>
      <div className="columns wide-left">
        <div>
          <section className="sheet" aria-label={t('forecasts.forecastsView.pondsForecastRisksAbout')}>
            <h2>{t('forecasts.forecastsView.comingThreeWeeks')}</h2>
            {data.lines.length === 0 ? (
              <p className="soft mb-0">{t(emptyWords(data))}</p>
            ) : (
              <>
                <p className="soft small mb-1">{t('forecasts.forecastsView.rankedHowLikelyHow')}</p>
                <RiskLines lines={data.lines} mayPlan={data.mayPlan} />
              </>
            )}
          </section>
        </div>
        <div>
          <RunSheet data={data} />
        </div>
      </div>
      <AccuracySheet accuracy={data.accuracy} />
      <p className="soft">{t('forecasts.forecastsView.modelAdvisesTestWater')}</p>
    </>
  )
}

/** Nothing is said of ponds that have not been worked out. */
function emptyWords({ run, ponds }: ForecastsPageData): TextKey {
  if (run?.state === 'queued' || run?.state === 'running') return 'forecasts.forecastsView.beingCalculated'
  return ponds === 0 ? 'forecasts.forecastsView.noPondForecastYet' : 'forecasts.forecastsView.noPondComesNear'
}

function RunSheet({ data }: { data: ForecastsPageData }) {
  const t = useTexts()

  const { run, underWay, problem, ask, stop } = useForecastRun(data.run)
  const { timeZone } = usePerson()
  const runText = () => {
    if (run === null) return t('forecasts.forecastsView.noneYetMadeEvery')
    if (run.state === 'failed') return run.problem
    return t('forecasts.forecastsView.ponds2', {
      state: run.state === 'stopped' ? t('forecasts.forecastsView.stopped') : t('forecasts.forecastsView.made'),
      finishedAt: run.finishedAt ? t.instant(run.finishedAt, timeZone) : '',
      done: run.done,
      ponds: run.ponds,
    })
  }
  return (
    <section className="sheet" aria-label={t('forecasts.forecastsView.forecast')}>
      <h2>{t('forecasts.forecastsView.forecast')}</h2>
      <ProblemNote problem={problem} />
      {underWay && run ? (
        <div className="forecast-run">
          <div
            className="progress"
            role="progressbar"
            aria-label={t('forecasts.forecastsView.pondsForecast')}
            aria-valuenow={run.done}
            aria-valuemin={0}
            aria-valuemax={run.ponds || 1}
          >
            <div className="progress-bar" style={{ width: `${run.ponds > 0 ? (100 * run.done) / run.ponds : 0}%` }} />
          </div>
          <span>
            {run.state === 'queued'
              ? t('forecasts.forecastsView.waitingTurn')
              : t('forecasts.forecastsView.ponds', { done: run.done, ponds: run.ponds })}
          </span>
          {data.mayRun ? (
            <button className="btn btn-sm btn-outline-secondary" onClick={stop}>
              {t('forecasts.forecastsView.stop')}
            </button>
          ) : null}
        </div>
      ) : (
        <>
          <p className="mb-1">{runText()}</p>
          {data.mayRun ? (
            <button className="btn btn-sm btn-primary" onClick={ask}>
              {t('forecasts.forecastsView.forecastAllPondsNow')}
            </button>
          ) : null}
        </>
      )}
    </section>
  )
}
