'use client'
import { plantSpecies } from '@/core/plants/species'
import { speciesName } from '@/domain/plants/plants'
import { useShow } from '@/ui/person-context'
import type { PondPlantsData } from './pond-plants-view'

/** Where plants are missing, and which kept cuttings may close the gap. */
export function ReplantList({ data: { gaps, replanting, patches, cuttings }, onPick }: { data: PondPlantsData; onPick: (id: string) => void }) {
  const show = useShow()
  if (gaps.length === 0) return null
  return (
    <section className="sheet" aria-label="Gaps">
      <h2>Gaps to plant</h2>
      <ul className="plain-list">
        {gaps.map((gap) => {
          const into = replanting.filter((r) => r.patchId === gap.patchId)
          const patch = patches.find((p) => p.id === gap.patchId)
          return (
            <li key={gap.patchId ?? 'bed'}>
              {patch ? (
                <button className="btn btn-link p-0 align-baseline" onClick={() => onPick(patch.id)}>
                  {speciesName(patch.species)}
                </button>
              ) : (
                <strong>Between the groups of the bed</strong>
              )}
              : {gap.missing > 0 ? `${gap.missing} missing` : `${show(gap.areaM2, 'area')} open`}
              {into.map((r) => (
                <span key={r.species} className="d-block">
                  {r.count} {speciesName(r.species)} from the holding bed {r.regulated ? <span className="verdict look">check your list</span> : null}
                </span>
              ))}
              {into.length === 0 ? (
                <span className="soft small d-block">{cuttings.some((c) => c.onHand > 0) ? 'No kept cuttings suit this place.' : 'No cuttings are kept.'}</span>
              ) : null}
              {patch && plantSpecies(patch.species)!.role === 'lily' ? (
                <span className="soft small d-block">In a basket of soil, not loose in the bed.</span>
              ) : null}
            </li>
          )
        })}
      </ul>
      <p className="soft small mb-0">Plants are never released outside; the rest is composted or bagged away from waterways.</p>
    </section>
  )
}
