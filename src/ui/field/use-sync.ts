'use client'
import { useCallback, useEffect, useRef, useState } from 'react'
import { syncNow } from './device/sync-now'
import type { SyncOutcome } from './device/sync-device'

const EVERY_MS = 30_000

export interface SyncState {
  /** How the last try ended; null before the first. */
  readonly outcome: SyncOutcome | null
  readonly busy: boolean
}

/** Sends and hears by itself: at once, when signal returns, when the app is looked at again, and now and then. */
export function useSync(): SyncState & { readonly sync: () => Promise<SyncOutcome> } {
  const [state, setState] = useState<SyncState>({ outcome: null, busy: false })
  const running = useRef<Promise<SyncOutcome> | null>(null)
  const again = useRef(false)
  const sync = useCallback(async (): Promise<SyncOutcome> => {
    // what was kept, or a signal that came back, while a sync was under way: one more
    if (running.current) {
      again.current = true
      return running.current
    }
    setState((s) => ({ ...s, busy: true }))
    const work = (async () => {
      let outcome: SyncOutcome
      do {
        again.current = false
        outcome = await syncNow()
      } while (again.current)
      return outcome
    })()
    running.current = work
    try {
      const outcome = await work
      setState({ outcome, busy: false })
      return outcome
    } finally {
      running.current = null
    }
  }, [])
  useEffect(() => {
    const wake = () => {
      if (document.visibilityState === 'visible') void sync()
    }
    const first = setTimeout(wake, 0)
    const timer = setInterval(wake, EVERY_MS)
    window.addEventListener('online', wake)
    document.addEventListener('visibilitychange', wake)
    return () => {
      clearTimeout(first)
      clearInterval(timer)
      window.removeEventListener('online', wake)
      document.removeEventListener('visibilitychange', wake)
    }
  }, [sync])
  return { ...state, sync }
}
