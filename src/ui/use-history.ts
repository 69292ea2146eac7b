'use client'
import { useCallback, useState } from 'react'

const MAX_STEPS = 200
/** Changes of the same thing within this time are one step: a drag, a word typed. */
const SAME_STEP_MS = 700

interface History<Value> {
  readonly past: readonly Value[]
  readonly present: Value
  readonly future: readonly Value[]
  readonly what: string
  readonly at: number
}

/** A value with undo and redo. */
export function useHistory<Value>(first: Value) {
  const [history, setHistory] = useState<History<Value>>({ past: [], present: first, future: [], what: '', at: 0 })
  /** @param what names the thing changed, so that one drag is one step */
  const change = useCallback((next: Value | ((value: Value) => Value), what = '') => {
    const at = Date.now()
    setHistory((h) => {
      const present = typeof next === 'function' ? (next as (value: Value) => Value)(h.present) : next
      if (Object.is(present, h.present)) return h
      const joins = what !== '' && what === h.what && at - h.at < SAME_STEP_MS
      return { past: joins ? h.past : [...h.past, h.present].slice(-MAX_STEPS), present, future: [], what, at }
    })
  }, [])
  const undo = useCallback(
    () =>
      setHistory((h) =>
        h.past.length === 0
          ? h
          : {
              past: h.past.slice(0, -1),
              present: h.past[h.past.length - 1]!,
              future: [h.present, ...h.future],
              what: '',
              at: 0,
            },
      ),
    [],
  )
  const redo = useCallback(
    () =>
      setHistory((h) =>
        h.future.length === 0
          ? h
          : { past: [...h.past, h.present], present: h.future[0]!, future: h.future.slice(1), what: '', at: 0 },
      ),
    [],
  )
  /** Back to a value with nothing to undo. */
  const reset = useCallback((value: Value) => setHistory({ past: [], present: value, future: [], what: '', at: 0 }), [])
  return {
    value: history.present,
    change,
    undo,
    redo,
    reset,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  }
}
