import { type Texts } from '@/ui/kit/texts'
import { DateTime } from 'luxon'
import type { SyncOutcome } from './device/sync-device'
import { HOUR_MS } from '@/core/numeric/time'

interface SyncFacts {
  readonly outcome: SyncOutcome | null
  readonly busy: boolean
  readonly waiting: number
  readonly refused: number
  readonly heardAt: string
  readonly timeZone: string
}

const things = (count: number, t: Texts): string => t('field.syncWords.things', { count })

/**
 * A clock that is wrong is said, though its times are put right.
 * @param offsetMs how far the office's clock is ahead of this one
 */
export function clockWords(offsetMs: number, t: Texts): string {
  const apart = Math.abs(offsetMs)
  const spanOf = () => {
    if (apart >= 36 * HOUR_MS) return t('field.syncWords.days', { apart: Math.round(apart / (24 * HOUR_MS)) })
    if (apart >= 2 * HOUR_MS) return t('field.syncWords.hours', { apart: Math.round(apart / HOUR_MS) })
    return t('field.syncWords.minutes', { apart: Math.round(apart / 60_000) })
  }
  const by = spanOf()
  return t('field.syncWords.devicesClockTimesPut', { by, offsetMs: offsetMs > 0 ? 'behind' : 'ahead' })
}

/** What the bar says of sending: how much is kept here, and whether anything needs a person. */
export function syncWords(
  { outcome, busy, waiting, refused, heardAt, timeZone }: SyncFacts,
  t: Texts,
): { text: string; good: boolean } {
  const kept = waiting === 0 ? '' : t('field.syncWords.keptDevice', { waiting: things(waiting, t) })
  const again = refused === 0 ? '' : t('field.syncWords.notTakenOfficeOpen', { refused: things(refused, t) })
  if (outcome === 'signed-out') return { text: t('field.syncWords.signAgainSend', { kept }), good: false }
  if (outcome === 'other-person') return { text: t('field.syncWords.goesOutWhenWriter', { kept }), good: false }
  if (outcome === 'other-version') return { text: t('field.syncWords.otherVersion', { kept }).trim(), good: false }
  if (outcome === 'no-signal')
    return {
      text: t('field.syncWords.noSignal', {
        again,
        kept: kept === '' ? t('field.syncWords.workKeptDevice') : kept,
      }).trim(),
      good: false,
    }
  if (waiting > 0)
    return { text: `${again}${busy ? t('field.syncWords.sending') : ''}${kept}`.trim(), good: refused === 0 }
  if (refused > 0) return { text: again.trim(), good: false }
  return {
    text: t('field.syncWords.allSent', { toFormat: DateTime.fromISO(heardAt, { zone: timeZone }).toFormat('HH:mm') }),
    good: true,
  }
}
