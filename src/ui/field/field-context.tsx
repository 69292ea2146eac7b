'use client'
import { createContext, useContext } from 'react'
import type { FieldPerson } from '@/domain/field/field-pack'
import type { ProductBook } from '@/domain/stores/product-book'
import type { NewEntry } from './device/field-device'
import type { SyncOutcome } from './device/sync-device'

/** What every part of the field sheet may ask for. */
export interface Field {
  readonly person: FieldPerson
  readonly today: string
  readonly products: ProductBook
  /** Keeps a line of a visit's log on this device; sent when there is signal. */
  readonly log: (visitId: string, entry: NewEntry) => Promise<void>
  readonly sync: () => Promise<SyncOutcome>
  /** How far the office's clock is ahead of this device's, ms. */
  readonly clockOffsetMs?: number
}

const FieldContext = createContext<Field | null>(null)
export const FieldProvider = FieldContext.Provider

/** How far the office's clock is ahead of this device's, ms; 0 outside the field sheet. */
export const useClockOffset = (): number => useContext(FieldContext)?.clockOffsetMs ?? 0

export function useField(): Field {
  const field = useContext(FieldContext)
  if (!field) throw new Error('useField needs a FieldProvider above it')
  return field
}
