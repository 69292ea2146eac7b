'use client'
import { useEffect, useState } from 'react'
import type { StepFigure } from '@/core/visits/figures'
import type { ReadingKindName } from '@/core/water/readings'
import type { FishSpeciesKey } from '@/core/fish/species'
import type { ReadingMethod } from '@/core/water/test-methods'

export interface StepDraft {
  readonly readings: Readonly<Partial<Record<ReadingKindName, number | null>>>
  /** Tests that saw nothing, by their own words: "<0.25". */
  readonly below: Readonly<Partial<Record<ReadingKindName, boolean>>>
  readonly method: ReadingMethod
  readonly figures: Readonly<Partial<Record<StepFigure, number | null>>>
  readonly choice: string
  readonly fish: Readonly<Partial<Record<FishSpeciesKey, number | null>>>
  readonly losses: number | null
  /** Amounts given, by product. */
  readonly doses: Readonly<Record<string, number | null>>
  readonly note: string
  readonly signedBy: string
  readonly overrideReason: string
}

export const EMPTY_DRAFT: StepDraft = {
  readings: {},
  below: {},
  method: 'drops',
  figures: {},
  choice: '',
  fish: {},
  losses: null,
  doses: {},
  note: '',
  signedBy: '',
  overrideReason: '',
}

/** What is typed for a step stays on this device until the step is logged, through reload and restart. */
export function useStepDraft(
  visitId: string,
  stepKey: string,
  initial: StepDraft,
): [StepDraft, (change: Partial<StepDraft>) => void, () => void] {
  const key = `slow-reed:visit:${visitId}:${stepKey}`
  const [draft, setDraft] = useState(initial)
  useEffect(() => {
    const kept = window.localStorage.getItem(key)
    if (!kept) return
    try {
      const restored = JSON.parse(kept) as StepDraft
      // the server cannot know what this device kept, so it is filled in after the first paint
      // eslint-disable-next-line react-hooks/set-state-in-effect
      setDraft((d) => ({ ...d, ...restored }))
    } catch {
      // cut short while being written: worth nothing any more
      window.localStorage.removeItem(key)
    }
  }, [key])
  const change = (part: Partial<StepDraft>) => {
    const next = { ...draft, ...part }
    setDraft(next)
    // what cannot be read is no value and does not survive as one; JSON would make it "not tested"
    window.localStorage.setItem(
      key,
      JSON.stringify(next, (_, value: unknown) => (Number.isNaN(value) ? undefined : value)),
    )
  }
  return [draft, change, () => window.localStorage.removeItem(key)]
}
