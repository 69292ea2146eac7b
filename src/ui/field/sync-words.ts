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
