'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { KIT_TESTS } from '@/core/trainer/kit'
import { taskChoiceWords } from '@/messages/trainer/task-words'
import type { WeekChoice } from '@/core/trainer/play'
import { useKitWords } from './test-kit'
import type { Season } from './use-season'

/** What was done, in words. */
export const doneWords = ({ tasks }: WeekChoice, t: Texts): string =>
  tasks.length === 0 ? t('trainer.notebook.looked') : tasks.map((choice) => taskChoiceWords(choice, t)).join('; ')

/** The technician's own notes: only what was tested and done. */
export function Notebook({ season }: { season: Season }) {
  const t = useTexts()

  const words = useKitWords()
  const { choices, mornings } = season
  if (choices.length === 0) return null
  const tested = KIT_TESTS.filter((test) => choices.some((c) => c.tests.includes(test)))
  return (
    <section className="sheet" aria-label={t('trainer.notebook.notebook')}>
      <h2>{t('trainer.notebook.yourNotebook')}</h2>
      <div className="notebook" tabIndex={0} role="group" aria-label={t('trainer.notebook.notesAllWeeks')}>
        <table className="table table-sm mb-0">
          <thead>
            <tr>
              <th scope="col">{t('trainer.notebook.week')}</th>
              {tested.map((test) => (
                <th key={test} scope="col">
                  {t(`water.readingNames.${test}`)}
                </th>
              ))}
              <th scope="col">{t('trainer.notebook.done')}</th>
            </tr>
          </thead>
          <tbody>
            {[...choices.keys()].reverse().map((week) => (
              <tr key={week}>
                <th scope="row" className="text-nowrap fw-normal">
                  {week + 1}, {mornings[week] ? t.dayMonth(mornings[week].date) : ''}
                </th>
                {tested.map((test) => (
                  <td key={test} className="text-nowrap">
                    {choices[week]!.tests.includes(test) && mornings[week] ? words(test, mornings[week].kit[test]) : ''}
                  </td>
                ))}
                <td>{doneWords(choices[week]!, t)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
