'use client'
import { useSyncExternalStore } from 'react'

/**
 * Where the field sheet stands: a visit, or the list of a day. The address says it, so that links and the back button
 * work without signal.
 */
export interface FieldPlace {
  readonly visitId: string | null
}

const MOVED = 'field-place'
const subscribe = (changed: () => void) => {
  window.addEventListener('popstate', changed)
  window.addEventListener(MOVED, changed)
  return () => {
    window.removeEventListener('popstate', changed)
    window.removeEventListener(MOVED, changed)
  }
}

export function useFieldPlace(): FieldPlace {
  const search = useSyncExternalStore(
    subscribe,
    () => window.location.search,
    () => '',
  )
  return { visitId: new URLSearchParams(search).get('visit') }
}

/** Goes to a place of the field sheet without asking a server for it. */
export function goTo(href: string): void {
  window.history.pushState(null, '', href)
  window.dispatchEvent(new Event(MOVED))
  window.scrollTo(0, 0)
}
