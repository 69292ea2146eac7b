'use client'
import { useMemo, useState } from 'react'
import { firstPlanting, plantsFor } from '@/core/plants/planting'
import { hardinessZone, PLANT_ROLES, PLANT_SPECIES, plantSpecies } from '@/core/plants/species'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { PlantingPlan } from '@/ui/drawing/planting-plan'
import { PLANTING_WORDS, ROLE_OF_PLANT } from '@/messages/en/filters'
import { useShow } from '@/ui/person-context'
import { orNaN, type BenchPart } from '../use-bench'

const MOST_LISTED = 12

/** The planting plan: patches on the bed's plan, the species library, and what they draw. */
export function PlantingPart({ bed, shown, set, errorOf }: BenchPart) {
  const show = useShow()
  const [picked, setPicked] = useState<number | null>(null)
  const { planting } = shown.result
  const size = { lengthM: shown.bed.lengthM, widthM: shown.bed.round ? shown.bed.lengthM : shown.bed.widthM }
  const move = (index: number, xM: number, yM: number) =>
    set({ planting: bed.planting.map((p, i) => (i === index ? { ...p, xM: Number(xM.toFixed(2)), yM: Number(yM.toFixed(2)) } : p)) }, `plant${index}`)
  const add = (key: string) => {
    const species = plantSpecies(key)!
    set({
      planting: [
        ...bed.planting,
        {
          species: key,
          count: plantsFor(species, (size.lengthM * size.widthM) / 6),
          xM: Number((size.lengthM / 2).toFixed(2)),
          yM: Number((size.widthM / 2).toFixed(2)),
        },
      ],
    })
    setPicked(bed.planting.length)
  }
  return (
    <>
      <section className="sheet">
        <h2>Planting plan</h2>
        <p className="soft">
          {planting.plants} plants, {show(planting.coverShare, 'share')} cover in the second year, drawing up to{' '}
          {show(planting.nitrogenGPerD / 1000, 'mass', { scale: 'small' })} of nitrogen and {show(planting.phosphorusGPerD / 1000, 'mass', { scale: 'small' })}{' '}
          of phosphorus a day. Low plants stand at the lower edge, towards the viewer.
        </p>
        {bed.type === 'none' ? null : <PlantingPlan bed={shown.bed} picked={picked} onPick={setPicked} onMove={move} />}
        <div className="plant-rows">
          {bed.planting.map((patch, i) => {
            const species = plantSpecies(patch.species)
            const findings = planting.findings.filter((f) => f.patch === i)
            return (
              <div key={i} className={`plant-row ${picked === i ? 'picked' : ''}`} onFocus={() => setPicked(i)}>
                <span>
                  <strong>{species?.common}</strong> <em className="soft small">{species?.botanical}</em>
                  <span className="d-block soft small">{findings.map((f) => PLANTING_WORDS[f.problem]).join('; ')}</span>
                </span>
                <QuantityField
                  label={`Number of ${species?.common}`}
                  hideLabel
                  kind="number"
                  value={patch.count}
                  onChange={(v) => set({ planting: bed.planting.map((p, n) => (n === i ? { ...p, count: orNaN(v) } : p)) }, `count${i}`)}
                  error={errorOf(`planting.${i}.count`)}
                />
                <button
                  type="button"
                  className="btn btn-sm btn-outline-secondary"
                  aria-label={`Remove ${species?.common}`}
                  onClick={() => {
                    set({ planting: bed.planting.filter((_, n) => n !== i) })
                    setPicked(null)
                  }}
                >
                  ×
                </button>
              </div>
            )
          })}
        </div>
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => set({ planting: firstPlanting(size.lengthM, size.widthM) })}>
          Plant a usual mix
        </button>
      </section>
      <Library onAdd={add} />
    </>
  )
}

/** The species library with a search and a role; figures of one species at a glance. */
function Library({ onAdd }: { onAdd: (key: string) => void }) {
  const show = useShow()
  const [text, setText] = useState('')
  const [role, setRole] = useState('')
  const found = useMemo(
    () => PLANT_SPECIES.filter((s) => (role === '' || s.role === role) && `${s.common} ${s.botanical}`.toLowerCase().includes(text.trim().toLowerCase())),
    [text, role],
  )
  return (
    <section className="sheet">
      <h2>Library of {PLANT_SPECIES.length} species</h2>
      <div className="field-grid mb-2">
        <TextField label="Find a plant" value={text} onChange={(e) => setText(e.target.value)} />
        <ChoiceField
          label="Role"
          value={role}
          onChange={(e) => setRole(e.target.value)}
          options={[{ value: '', label: 'any' }, ...PLANT_ROLES.map((r) => ({ value: r, label: ROLE_OF_PLANT[r] }))]}
        />
      </div>
      <div className="table-responsive" tabIndex={0} role="region" aria-label="Species">
        <table className="table table-sm align-middle mb-1">
          <thead>
            <tr>
              <th>Plant</th>
              <th>Role</th>
              <th className="text-end">Water over the crown</th>
              <th className="text-end">Height</th>
              <th className="text-end">Spread</th>
              <th className="text-end">Zone</th>
              <th>Spreads</th>
              <th className="text-end">N a day</th>
              <th>
                <span className="visually-hidden">Add</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.slice(0, MOST_LISTED).map((s) => (
              <tr key={s.key}>
                <th scope="row" className="fw-normal">
                  {s.common} <em className="soft small">{s.botanical}</em>
                  {s.regulatedSomewhere ? <span className="verdict look ms-1">check your list</span> : null}
                  {s.toxicTo === 'none' ? null : (
                    <span className="soft small d-block">toxic to {s.toxicTo === 'people' ? 'people and pets' : 'livestock'}</span>
                  )}
                </th>
                <td>{ROLE_OF_PLANT[s.role]}</td>
                <td className="text-end">
                  {show(s.depthM[0], 'length', { scale: 'small' })} … {show(s.depthM[1], 'length', { scale: 'small' })}
                </td>
                <td className="text-end">{show(s.heightM, 'length')}</td>
                <td className="text-end">{show(s.spreadM, 'length')}</td>
                <td className="text-end">{hardinessZone(s.hardyToC)}</td>
                <td>
                  {s.spreadsBy}
                  {s.aggressiveness >= 2 ? ', strongly' : ''}
                  {s.clogsGravel >= 2 ? '; clogs gravel' : ''}
                </td>
                <td className="text-end">{show(s.nitrogenGPerM2D / 1000, 'mass', { scale: 'small' })}/m²</td>
                <td>
                  <button type="button" className="btn btn-sm btn-outline-primary" aria-label={`Plant ${s.common}`} onClick={() => onAdd(s.key)}>
                    Plant
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft small mb-0">
        {found.length > MOST_LISTED ? `${found.length - MOST_LISTED} more; search to narrow. ` : ''}Figures are starting points from handbooks. The app never
        says that a plant is lawful where you are: check your state or national list.
      </p>
    </section>
  )
}
