'use client'
import { useState } from 'react'
import { WATER_CHANGE_LIMITS } from '@/core/water/water-change-gate'
import { waterChanges } from '@/core/water/water-changes'
import { DomainError } from '@/core/errors'
import { duration } from '@/domain/shared/dates'
import type { DosesData } from '@/server/water/doses'
import { QuantityField } from '@/ui/kit/quantity-field'
import { Why } from '@/ui/kit/why'
import { useShow } from '@/ui/person-context'

/** How many part changes bring a concentration to its target, a day apart, and how long each takes. */
export function ChangePlanner({ data }: { data: DosesData }) {
  const show = useShow()
  const nitrate = data.readings.find((r) => r.kind === 'nitrate')?.value ?? 60
  const [now, setNow] = useState<number | null>(nitrate)
  const [source, setSource] = useState<number | null>(5)
  const [target, setTarget] = useState<number | null>(Math.max(10, Math.round(nitrate / 2)))
  const [share, setShare] = useState<number | null>(WATER_CHANGE_LIMITS.share)
  const plan = planOf(now, source, target, share)
  const perChangeM3 = data.system.totalM3 * (share ?? 0)
  return (
    <section className="sheet" aria-label="Water changes">
      <h2>Water changes</h2>
      <div className="field-grid">
        <QuantityField label="In the pond now" kind="concentration" value={now} onChange={setNow} />
        <QuantityField label="In the new water" kind="concentration" value={source} onChange={setSource} />
        <QuantityField label="Wanted" kind="concentration" value={target} onChange={setTarget} />
        <QuantityField label="Share changed at once" kind="share" value={share} onChange={setShare} />
      </div>
      {share !== null && share > WATER_CHANGE_LIMITS.share + 0.005 ? (
        <p className="verdict stop">More than a third at once: the house stops that, and so does the field sheet.</p>
      ) : null}
      {typeof plan === 'string' ? (
        <p className="field-error">{plan}</p>
      ) : (
        <>
          <p className="dose-answer">
            <strong>{plan.count === 0 ? 'None needed' : `${plan.count} ${plan.count === 1 ? 'change' : 'changes'}`}</strong>
            {plan.count > 0 ? ` of ${show(perChangeM3, 'volume')}, a day apart; each fills about ${duration((perChangeM3 / data.hoseM3PerH) * 60)}` : ''}
          </p>
          {plan.count > 0 ? (
            <ol className="mb-1">
              {plan.afterEach.map((level, i) => (
                <li key={i}>then {show(level, 'concentration')}</li>
              ))}
            </ol>
          ) : null}
          <Why>
            After n changes: what the new water holds + (what the pond holds − that) × (1 − share)ⁿ. The water at the inlet may differ by at most{' '}
            {WATER_CHANGE_LIMITS.inletStepC} °C. To planting beds; not to storm drains or streams unless the local rules allow it.
          </Why>
        </>
      )}
    </section>
  )
}

function planOf(now: number | null, source: number | null, target: number | null, share: number | null) {
  if ([now, source, target, share].some((v) => v === null || Number.isNaN(v))) return 'Enter all four.'
  try {
    return waterChanges(now!, source!, target!, share!)
  } catch (error) {
    if (error instanceof DomainError)
      return error.parameter === 'target' ? 'The new water cannot bring the pond there.' : 'The share lies between 1 % and all of it.'
    throw error
  }
}
