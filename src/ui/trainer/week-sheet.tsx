'use client'
import { useTexts } from '@/ui/kit/texts'
import { costOf } from '@/core/trainer/play'
import type { WeekView } from '@/core/trainer/view'
import { money } from '@/domain/prices/pricing'
import type { TrainerGameData } from '@/server/trainer/trainer-games'
import { ProblemNote } from '@/ui/kit/problem-note'
import { Notebook } from './notebook'
import { PondScene } from './pond-scene'
import { TaskChoices } from './task-choices'
import { TestKit } from './test-kit'
import type { Season } from './use-season'

/** One week: what is seen, what is tested, what is done. */
export function WeekSheet({ data, season, view }: { data: TrainerGameData; season: Season; view: WeekView }) {
  const t = useTexts()

  const { scenario, visit, advice, refusals, problem, busy, minutesLeft } = season
  const tooLong = refusals.some((r) => r.code === 'too-long')
  return (
    <div className="training">
      <div>
        <section className="sheet" aria-label={t('trainer.weekSheet.pond')}>
          <h2>{t.dayMonth(view.date)}</h2>
          <PondScene view={view} />
          <ul className="sights" aria-label={t('trainer.weekSheet.whatSeen')}>
            {view.sights.map(({ key, kind }) => (
              <li key={key} className={kind}>
                <span className={`verdict ${kind === 'bad' ? 'stop' : kind}`}>{t(`trainer.sightKinds.${kind}`)}</span>{' '}
                {t(`trainer.sightWords.${key}`)}
              </li>
            ))}
          </ul>
          {view.told.map((told) => (
            <p key={told} className="told mb-1">
              {t(`trainer.told.${told}`)}
            </p>
          ))}
          {view.fish.lostThisWeek > 0 ? (
            <p className="told mb-1">
              {t('trainer.weekSheet.lostSinceLastVisit', { lostThisWeek: view.fish.lostThisWeek })}
            </p>
          ) : null}
        </section>
        {view.week === 0 ? (
          <section className="sheet" aria-label={t('trainer.weekSheet.job')}>
            <p>{t(`trainer.scenarioBriefs.${scenario.key}`)}</p>
            <p className="told mb-1">{t(`trainer.scenarioWishes.${scenario.key}`)}</p>
            <p className="soft small mb-0">
              {t('trainer.weekSheet.minutesSiteEachWeek', { minutesPerWeek: scenario.minutesPerWeek })}
            </p>
          </section>
        ) : null}
        <Notebook season={season} />
      </div>
      <div>
        <section className="sheet visit-sum" aria-label={t('trainer.weekSheet.visit')}>
          <div className="visit-line">
            <strong className={tooLong ? 'field-error' : undefined} role="status">
              {minutesLeft >= 0
                ? t('trainer.weekSheet.minLeft', { minutesLeft })
                : t('trainer.weekSheet.minTooLong', { minutesLeft: -minutesLeft })}
            </strong>
            <span className="soft">
              {t('trainer.weekSheet.materials', { visit: money(costOf(visit) * 100, data.currency) })}
            </span>
            <button
              className="btn btn-primary"
              disabled={busy || refusals.length > 0}
              onClick={() => void season.goHome()}
            >
              {t('trainer.weekSheet.goHomeWeekPasses')}
            </button>
          </div>
          <ProblemNote problem={problem} />
          {refusals.map((refusal) => (
            <p key={refusal.code} className="field-error mb-0" role="alert">
              {refusal.code === 'too-long'
                ? t('trainer.weekSheet.takesMinutesYouHave', { minutes: refusal.minutes, have: refusal.have })
                : t('trainer.weekSheet.somethingChosenCannotDone')}
            </p>
          ))}
        </section>
        <TestKit season={season} view={view} />
        <TaskChoices season={season} view={view} currency={data.currency} />
        <section className="sheet" aria-label={t('trainer.weekSheet.foreman')}>
          {advice ? (
            <>
              <p className="mb-1">
                <strong>{t('trainer.weekSheet.foreman2')}</strong> {advice.why ? t(`trainer.why.${advice.why}`) : ''}
              </p>
              <button className="btn btn-sm btn-outline-secondary" onClick={season.follow}>
                {t('trainer.weekSheet.putVisitTogetherLike')}
              </button>
            </>
          ) : (
            <>
              <button className="btn btn-sm btn-outline-secondary" onClick={() => void season.ask()}>
                {t('trainer.weekSheet.askForeman')}
              </button>{' '}
              <span className="soft small">
                {t('trainer.weekSheet.heKnowsHousesWay', {
                  asked: visit.asked
                    ? t('trainer.weekSheet.hearingAgainCostsNothing')
                    : t('trainer.weekSheet.eachQuestionCostsTwo'),
                })}
              </span>
            </>
          )}
        </section>
      </div>
    </div>
  )
}
