'use client'
import { useEffect, useState } from 'react'
import { roomUsed } from './device/field-device'

const EVERY_MS = 60_000

/** Share of this device's room that is used, looked at now and then. */
export function useRoom(): number | null {
  const [room, setRoom] = useState<number | null>(null)
  useEffect(() => {
    const look = () => void roomUsed().then(setRoom)
    look()
    const timer = setInterval(look, EVERY_MS)
    return () => clearInterval(timer)
  }, [])
  return room
}
