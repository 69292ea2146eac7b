'use client'
import { useTexts } from '@/ui/kit/texts'
import type { ForecastRisks } from '@/domain/forecasts/forecast'
import { RiskText } from '@/ui/forecasts/risk-text'
import { useField } from './field-context'

/** The risks that the last forecast names at this pond: what to test before anything else. */
export function ForecastRisksNote({ forecastRisks }: { forecastRisks: ForecastRisks | null | undefined }) {
  const t = useTexts()

  const { person } = useField()
  if (!forecastRisks) return null
  return (
    <section className="amount" aria-label={t('field.forecastRisksNote.forecast')}>
      <strong>{t('field.forecastRisksNote.forecast')}</strong>{' '}
      <span className="soft">{t.instant(forecastRisks.madeAt, person.timeZone)}</span>
      <ul className="mb-1 ps-3">
        {forecastRisks.risks.map((risk) => (
          <li key={risk.hazard}>
            <RiskText risk={risk} />
          </li>
        ))}
      </ul>
      <p className="soft mb-0">{t('field.forecastRisksNote.modelAdvisesTestBefore')}</p>
    </section>
  )
}
