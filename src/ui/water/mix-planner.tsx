'use client'
import { useState } from 'react'
import { WATER_CHANGE_LIMITS } from '@/core/water/water-change-gate'
import { mixedTempC } from '@/core/water/products'
import type { DosesData } from '@/server/water/doses'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useShow } from '@/ui/person-context'

/** What temperature comes of pond and tap water together. */
export function MixPlanner({ data }: { data: DosesData }) {
  const show = useShow()
  const [pondC, setPondC] = useState<number | null>(data.readings.find((r) => r.kind === 'waterTemp')?.value ?? null)
  const [tapC, setTapC] = useState<number | null>(10)
  const [addedM3, setAddedM3] = useState<number | null>(data.system.totalM3 / 3)
  const known = [pondC, tapC, addedM3].every((v) => v !== null && !Number.isNaN(v))
  const mixed = known ? mixedTempC([Math.max(0, data.system.totalM3 - addedM3!), addedM3!], [pondC!, tapC!]) : Number.NaN
  const step = known ? Math.abs(pondC! - tapC!) : 0
  return (
    <section className="sheet" aria-label="Mixing">
      <h2>Mixing</h2>
      <div className="field-grid">
        <QuantityField label="Pond" kind="temperature" value={pondC} onChange={setPondC} />
        <QuantityField label="Tap" kind="temperature" value={tapC} onChange={setTapC} />
        <QuantityField label="Put in after as much is out" kind="volume" value={addedM3} onChange={setAddedM3} />
      </div>
      {Number.isFinite(mixed) ? (
        <p className="dose-answer mb-0">
          Mixed: <strong>{show(mixed, 'temperature')}</strong>
          {step > WATER_CHANGE_LIMITS.inletStepC ? (
            <span className="verdict look ms-2">fish meet {show(tapC!, 'temperature')} at the inlet: run it slowly, far from them</span>
          ) : null}
        </p>
      ) : (
        <p className="soft mb-0">Enter both temperatures.</p>
      )}
    </section>
  )
}
