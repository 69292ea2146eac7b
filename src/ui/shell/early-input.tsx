'use client'
import { useEffect } from 'react'
import { replayEarlyInput } from './keep-early-input'

/** The page has come to life: what was pressed and entered before is done now. */
export function EarlyInput() {
  useEffect(replayEarlyInput, [])
  return null
}
