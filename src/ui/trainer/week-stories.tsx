'use client'
import { useTexts } from '@/ui/kit/texts'
import { stressOf } from '@/core/fish/health'
import type { WeekStory } from '@/core/trainer/debrief'
import { useShow } from '@/ui/person-context'
import { doneWords } from './notebook'

/** Above this a week was hard on the fish. */
const HARD = 0.08

/** The season week by week, with what could not be seen while it was played. */
export function WeekStories({ weeks }: { weeks: readonly WeekStory[] }) {
  const t = useTexts()

  const show = useShow()
  return (
    <section className="sheet" aria-label={t('trainer.weekStories.weekWeek')}>
      <h2>{t('trainer.weekStories.weekWeek')}</h2>
      <div className="notebook" tabIndex={0} role="group" aria-label={t('trainer.weekStories.allWeeks')}>
        <table className="table table-sm mb-0">
          <thead>
            <tr>
              <th scope="col">{t('trainer.weekStories.week')}</th>
              <th scope="col">{t('trainer.weekStories.you')}</th>
              <th scope="col">{t('trainer.weekStories.house')}</th>
              <th scope="col">{t('trainer.weekStories.toxicAmmoniaMost')}</th>
              <th scope="col">{t('trainer.weekStories.nitriteMost')}</th>
              <th scope="col">{t('trainer.weekStories.oxygenLeast')}</th>
              <th scope="col">{t('trainer.weekStories.bedFilledBacteria')}</th>
              <th scope="col">{t('trainer.weekStories.whatHappened')}</th>
            </tr>
          </thead>
          <tbody>
            {weeks.map((week) => {
              const stress = stressOf({
                nh3: week.nh3,
                nitrite: week.nitrite,
                oxygen: week.oxygen,
                chlorine: 0,
                saltMgL: 0,
              })
              return (
                <tr key={week.week}>
                  <th scope="row" className="text-nowrap fw-normal">
                    {week.week + 1}, {t.dayMonth(week.date)}
                  </th>
                  <td>{doneWords(week.done, t)}</td>
                  <td className="soft">{doneWords(week.houseDone, t)}</td>
                  <td>{show(week.nh3, 'concentration', { significant: 2 })}</td>
                  <td>{show(week.nitrite, 'concentration', { significant: 2 })}</td>
                  <td>{show(week.oxygen, 'concentration', { significant: 2 })}</td>
                  <td>{show(week.bacteria, 'share', { significant: 2 })}</td>
                  <td>
                    {stress > HARD ? <span className="verdict look">{t('trainer.weekStories.hardFish')}</span> : null}{' '}
                    {week.lost > 0 ? (
                      <span className="verdict stop">{t('trainer.weekStories.lost', { lost: week.lost })}</span>
                    ) : null}{' '}
                    {week.told.map((told) => t(`trainer.told.${told}`)).join(' ')}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
    </section>
  )
}
