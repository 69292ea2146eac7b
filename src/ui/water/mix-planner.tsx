'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { WATER_CHANGE_LIMITS } from '@/core/water/water-change-gate'
import { mixedTempC } from '@/core/water/dosing/products'
import type { DosesData } from '@/server/water/doses'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useShow } from '@/ui/person-context'

/** What temperature comes of pond and tap water together. */
export function MixPlanner({ data }: { data: DosesData }) {
  const t = useTexts()

  const show = useShow()
  const [pondC, setPondC] = useState<number | null>(data.readings.find((r) => r.kind === 'waterTemp')?.value ?? null)
  const [tapC, setTapC] = useState<number | null>(10)
  const [addedM3, setAddedM3] = useState<number | null>(data.system.totalM3 / 3)
  const known = [pondC, tapC, addedM3].every((v) => v !== null && !Number.isNaN(v))
  const mixed = known
    ? mixedTempC([Math.max(0, data.system.totalM3 - addedM3!), addedM3!], [pondC!, tapC!])
    : Number.NaN
  const step = known ? Math.abs(pondC! - tapC!) : 0
  return (
    <section className="sheet" aria-label={t('water.mixPlanner.mixing')}>
      <h2>{t('water.mixPlanner.mixing')}</h2>
      <div className="field-grid">
        <QuantityField label={t('water.mixPlanner.pond')} kind="temperature" value={pondC} onChange={setPondC} />
        <QuantityField label={t('water.mixPlanner.tap')} kind="temperature" value={tapC} onChange={setTapC} />
        <QuantityField
          label={t('water.mixPlanner.putAfterMuchOut')}
          kind="volume"
          value={addedM3}
          onChange={setAddedM3}
        />
      </div>
      {Number.isFinite(mixed) ? (
        <p className="dose-answer mb-0">
          {t('water.mixPlanner.mixed')} <strong>{show(mixed, 'temperature')}</strong>
          {step > WATER_CHANGE_LIMITS.inletStepC ? (
            <span className="verdict look ms-2">
              {t('water.mixPlanner.fishMeetInletRun', { tapC: show(tapC!, 'temperature') })}
            </span>
          ) : null}
        </p>
      ) : (
        <p className="soft mb-0">{t('water.mixPlanner.enterBothTemperatures')}</p>
      )}
    </section>
  )
}
