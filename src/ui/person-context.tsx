'use client'
import { createContext, useCallback, useContext, type ReactNode } from 'react'
import type { QuantityKind } from '@/core/units/kinds'
import { formatQuantity, type FormatOptions } from '@/core/units/format'
import type { Preferences } from '@/domain/people/people'
import type { Role } from '@/domain/people/roles'

/** What the interface needs to know of the signed-in person. */
export interface PersonView {
  readonly name: string
  readonly role: Role
  readonly firmName: string
  readonly timeZone: string
  readonly preferences: Preferences
}

const PersonContext = createContext<PersonView | null>(null)

export function PersonProvider({ person, children }: { person: PersonView; children: ReactNode }) {
  return <PersonContext value={person}>{children}</PersonContext>
}

export function usePerson(): PersonView {
  const person = useContext(PersonContext)
  if (!person) throw new Error('usePerson needs a PersonProvider above it')
  return person
}

/** Formats quantities in the person's units. */
export function useShow(): (value: number, kind: QuantityKind, options?: FormatOptions) => string {
  const { units } = usePerson().preferences
  return useCallback((value, kind, options) => formatQuantity(value, kind, units, options), [units])
}
