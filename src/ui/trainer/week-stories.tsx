import { stressOf } from '@/core/trainer/fish-health'
import type { WeekStory } from '@/core/trainer/debrief'
import { dayMonth } from '@/domain/shared/dates'
import { useShow } from '@/ui/person-context'
import { doneWords } from './notebook'

/** Above this a week was hard on the fish. */
const HARD = 0.08

/** The season week by week, with what could not be seen while it was played. */
export function WeekStories({ weeks }: { weeks: readonly WeekStory[] }) {
  const show = useShow()
  return (
    <section className="sheet" aria-label="Week by week">
      <h2>Week by week</h2>
      <div className="notebook" tabIndex={0} role="group" aria-label="All weeks">
        <table className="table table-sm mb-0">
          <thead>
            <tr>
              <th scope="col">Week</th>
              <th scope="col">You</th>
              <th scope="col">The house</th>
              <th scope="col">Toxic ammonia, most</th>
              <th scope="col">Nitrite, most</th>
              <th scope="col">Oxygen, least</th>
              <th scope="col">Bed filled with bacteria</th>
              <th scope="col">What happened</th>
            </tr>
          </thead>
          <tbody>
            {weeks.map((week) => {
              const stress = stressOf({ nh3: week.nh3, nitrite: week.nitrite, oxygen: week.oxygen, chlorine: 0, saltMgL: 0 })
              return (
                <tr key={week.week}>
                  <th scope="row" className="text-nowrap fw-normal">
                    {week.week + 1}, {dayMonth(week.date)}
                  </th>
                  <td>{doneWords(week.done)}</td>
                  <td className="soft">{doneWords(week.houseDone)}</td>
                  <td>{show(week.nh3, 'concentration', { significant: 2 })}</td>
                  <td>{show(week.nitrite, 'concentration', { significant: 2 })}</td>
                  <td>{show(week.oxygen, 'concentration', { significant: 2 })}</td>
                  <td>{show(week.bacteria, 'share', { significant: 2 })}</td>
                  <td>
                    {stress > HARD ? <span className="verdict look">hard on the fish</span> : null}{' '}
                    {week.lost > 0 ? <span className="verdict stop">{week.lost} lost</span> : null} {week.told.join(' ')}
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
