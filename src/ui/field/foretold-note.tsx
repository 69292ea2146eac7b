'use client'
import { useTexts } from '@/ui/kit/texts'
import { instant } from '@/domain/shared/dates'
import type { Foretold } from '@/domain/forecasts/forecast'
import { WorryText } from '@/ui/forecasts/worry-text'
import { useField } from './field-context'

/** What the last forecast worries about at this pond: what to test before anything else. */
export function ForetoldNote({ foretold }: { foretold: Foretold | null | undefined }) {
  const t = useTexts()

  const { person } = useField()
  if (!foretold) return null
  return (
    <section className="amount" aria-label={t('field.foretoldNote.foretold')}>
      <strong>{t('field.foretoldNote.foretold')}</strong> <span className="soft">{instant(foretold.madeAt, person.timeZone)}</span>
      <ul className="mb-1 ps-3">
        {foretold.worries.map((worry) => (
          <li key={worry.hazard}>
            <WorryText worry={worry} />
          </li>
        ))}
      </ul>
      <p className="soft mb-0">{t('field.foretoldNote.modelAdvisesTestBefore')}</p>
    </section>
  )
}
