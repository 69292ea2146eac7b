import { DateTime } from 'luxon'
import type { SyncOutcome } from './device/sync-device'

interface SyncFacts {
  readonly outcome: SyncOutcome | null
  readonly busy: boolean
  readonly waiting: number
  readonly refused: number
  readonly heardAt: string
  readonly timeZone: string
}

const things = (count: number): string => (count === 1 ? '1 thing' : `${count} things`)

const HOUR_MS = 3_600_000

/** A clock that is wrong is said, though its times are put right. @param offsetMs how far the office's clock is ahead of this one */
export function clockWords(offsetMs: number): string {
  const apart = Math.abs(offsetMs)
  const by =
    apart >= 36 * HOUR_MS
      ? `${Math.round(apart / (24 * HOUR_MS))} days`
      : apart >= 2 * HOUR_MS
        ? `${Math.round(apart / HOUR_MS)} hours`
        : `${Math.round(apart / 60_000)} minutes`
  return `This device’s clock is ${by} ${offsetMs > 0 ? 'behind' : 'ahead'}. Its times are put right here; set the clock.`
}

/** What the bar says of sending: how much is kept here, and whether anything needs a person. */
export function syncWords({ outcome, busy, waiting, refused, heardAt, timeZone }: SyncFacts): { text: string; good: boolean } {
  const kept = waiting === 0 ? '' : `${things(waiting)} kept on this device. `
  const again = refused === 0 ? '' : `${things(refused)} not taken by the office: open the visit to see why. `
  if (outcome === 'signed-out') return { text: `${kept}Sign in again to send.`, good: false }
  if (outcome === 'other-person') return { text: `${kept}It goes out when its writer signs in.`, good: false }
  if (outcome === 'no-signal') return { text: `${again}No signal. ${kept === '' ? 'Work on; it is kept on this device.' : kept}`.trim(), good: false }
  if (waiting > 0) return { text: `${again}${busy ? 'Sending. ' : ''}${kept}`.trim(), good: refused === 0 }
  if (refused > 0) return { text: again.trim(), good: false }
  return { text: `All sent, ${DateTime.fromISO(heardAt, { zone: timeZone }).toFormat('HH:mm')}.`, good: true }
}
