'use client'
import { useRef, useState } from 'react'
import type { PatchNow } from '@/domain/plants/plants'
import { useSave } from '@/ui/use-save'

/** A group that is on the plan. */
export type Placed = PatchNow & { readonly xM: number; readonly yM: number }
export const isPlaced = (p: PatchNow): p is Placed => p.xM !== null && p.yM !== null

/** Several presses of a key are one change. */
const KEEP_AFTER_MS = 400
const cm = (m: number): number => Number(m.toFixed(2))

/** Groups that are moved on a plan: where they stand here at once, and kept a moment after the last move. */
export function useMovedPatches() {
  const { problem, save } = useSave('patch')
  const [moved, setMoved] = useState<Readonly<Record<string, { xM: number; yM: number }>>>({})
  const versions = useRef(new Map<string, number>())
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const keep = async (p: Placed, xM: number, yM: number) => {
    const version = Math.max(p.version, versions.current.get(p.id) ?? 0)
    const kept = await save('PUT', `/api/v1/plants/${p.id}`, {
      version,
      patch: { place: p.place, species: p.species, xM, yM, plantedOn: p.plantedOn },
    })
    if (kept) versions.current.set(p.id, version + 1)
    // what was not kept goes back to where it is known to stand
    else setMoved((now) => Object.fromEntries(Object.entries(now).filter(([id]) => id !== p.id)))
  }
  return {
    problem,
    at: (p: Placed): Placed => ({ ...p, ...moved[p.id] }),
    hold: (p: Placed, xM: number, yM: number) => setMoved((now) => ({ ...now, [p.id]: { xM: cm(xM), yM: cm(yM) } })),
    drop: (p: Placed, xM: number, yM: number) => {
      clearTimeout(timer.current)
      timer.current = setTimeout(() => void keep(p, cm(xM), cm(yM)), KEEP_AFTER_MS)
    },
  }
}
