'use client'
import { useEffect, useState } from 'react'
import { useClockOffset } from './field-context'

const EVERY_MS = 30_000

/** The time by the office's clock, near enough for what counts in hours. */
export function useNow(): number {
  const offsetMs = useClockOffset()
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EVERY_MS)
    return () => clearInterval(timer)
  }, [])
  return now + offsetMs
}
