'use client'
import { CheckField } from '@/ui/kit/check-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { formatNumber } from '@/core/units/format'
import { useShow } from '@/ui/person-context'
import { orNaN, type BenchPart } from './use-bench'

const USUAL_HEAT_C = 8

/** Heated ponds: how large a heater, how much of the flow past it, and what a year takes. */
export function HeaterPanel({ bed, shown, set, errorOf }: BenchPart) {
  const show = useShow()
  const { heating, flowM3PerH } = shown.result
  return (
    <section className="sheet" aria-label="Heating">
      <h2>Heating</h2>
      <CheckField label="The pond is heated" checked={bed.heatToC !== null} onChange={(on) => set({ heatToC: on ? USUAL_HEAT_C : null })} />
      {bed.heatToC === null ? null : (
        <>
          <div style={{ maxWidth: '12rem' }}>
            <QuantityField
              label="Never colder than"
              kind="temperature"
              value={bed.heatToC}
              onChange={(v) => set({ heatToC: orNaN(v) }, 'heat')}
              error={errorOf('heatToC')}
            />
          </div>
          {heating ? (
            <p className="mb-0 mt-1">
              {heating.sizeKw === 0 ? (
                'This pond stays warmer by itself in every month: no heater is needed.'
              ) : (
                <>
                  <strong>{formatNumber(heating.sizeKw)} kW</strong> for the coldest month with half as much again for a snap; about{' '}
                  <strong>{formatNumber(heating.kWhPerYear)} kWh</strong> of heat a year. At least {show(heating.flowM3PerH, 'flow')} must pass the heater (
                  {flowM3PerH > 0 ? show(Math.min(1, heating.flowM3PerH / flowM3PerH), 'share') : '–'} of the flow), so that no pass warms more than 4 K. Wiring
                  or gas by licensed trades.
                </>
              )}
            </p>
          ) : null}
        </>
      )}
    </section>
  )
}
