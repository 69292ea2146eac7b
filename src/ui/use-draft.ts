'use client'
import { useEffect, useRef } from 'react'

const SAVE_AFTER_MS = 300

/** Keeps a form's values in this browser until they are saved, so that a reload loses nothing. */
export function useDraft<Values>(
  key: string,
  values: Values,
  restore: (kept: Values) => void,
): { clear: () => void; found: () => boolean } {
  const ready = useRef(false)
  const held = useRef(false)
  const cleared = useRef(false)
  const restoreOnce = useRef(restore)
  useEffect(() => {
    const kept = window.localStorage.getItem(key)
    if (kept) {
      try {
        restoreOnce.current(JSON.parse(kept) as Values)
        held.current = true
      } catch {
        // written by an older form or cut short: worth nothing any more
        window.localStorage.removeItem(key)
      }
    }
    ready.current = true
  }, [key])
  useEffect(() => {
    const timer = setTimeout(() => {
      if (ready.current && !cleared.current) window.localStorage.setItem(key, JSON.stringify(values))
    }, SAVE_AFTER_MS)
    return () => clearTimeout(timer)
  }, [key, values])
  return {
    /** Whether this browser held anything when the form opened; known after the first effects. */
    found: () => held.current,
    clear: () => {
      cleared.current = true
      window.localStorage.removeItem(key)
    },
  }
}
