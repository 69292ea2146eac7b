'use client'
import { useTexts } from '@/ui/kit/texts'
import { CheckField } from '@/ui/kit/check-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { formatNumber } from '@/core/units/format'
import { useShow } from '@/ui/person-context'
import { type DesignPart } from './use-design'
import { orNaN } from '@/ui/or-nan'

const USUAL_HEAT_C = 8

/** Heated ponds: how large a heater, how much of the flow past it, and what a year takes. */
export function HeaterPanel({ bed, shown, set, errorOf }: DesignPart) {
  const t = useTexts()

  const show = useShow()
  const { heating, flowM3PerH } = shown.result
  return (
    <section className="sheet" aria-label={t('design.heaterPanel.heating')}>
      <h2>{t('design.heaterPanel.heating')}</h2>
      <CheckField
        label={t('design.heaterPanel.pondHeated')}
        checked={bed.heatToC !== null}
        onChange={(on) => set({ heatToC: on ? USUAL_HEAT_C : null })}
      />
      {bed.heatToC === null ? null : (
        <>
          <div style={{ maxWidth: '12rem' }}>
            <QuantityField
              label={t('design.heaterPanel.neverColderThan')}
              kind="temperature"
              value={bed.heatToC}
              onChange={(v) => set({ heatToC: orNaN(v) }, 'heat')}
              error={errorOf('heatToC')}
            />
          </div>
          {heating ? (
            <p className="mb-0 mt-1">
              {heating.sizeKw === 0 ? (
                t('design.heaterPanel.pondStaysWarmerItself')
              ) : (
                <>
                  <strong>{t('design.heaterPanel.kw', { sizeKw: formatNumber(heating.sizeKw) })}</strong>{' '}
                  {t('design.heaterPanel.coldestMonthHalfMuch')}{' '}
                  <strong>{t('design.heaterPanel.kwh', { kWhPerYear: formatNumber(heating.kWhPerYear) })}</strong>{' '}
                  {t('design.heaterPanel.heatYearLeastMust', {
                    flowM3PerH: show(heating.flowM3PerH, 'flow'),
                    flowM3PerH2: flowM3PerH > 0 ? show(Math.min(1, heating.flowM3PerH / flowM3PerH), 'share') : '–',
                  })}
                </>
              )}
            </p>
          ) : null}
        </>
      )}
    </section>
  )
}
