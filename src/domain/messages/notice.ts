import { z } from 'zod'
import { longDate } from '../shared/dates'
import type { VisitId } from '../shared/ids'
import { recordOf } from '../../core/numeric/record-of'
import { said } from '../shared/said'

/** What a customer is told about a visit. */
export const NOTICE_KINDS = [
  'visit-planned',
  'visit-moved',
  'visit-cancelled',
  'on-the-way',
  'running-late',
  'visit-report',
] as const
export type NoticeKind = (typeof NOTICE_KINDS)[number]

/** told: not by letter, but by telephone or at the gate. */
export type NoticeState = 'queued' | 'sending' | 'sent' | 'failed' | 'notified'

/** Words in braces that a template may use. */
export const NOTICE_WORDS = ['customer', 'site', 'job', 'day', 'time', 'was', 'firm', 'report', 'link'] as const
export type NoticeWords = Readonly<Record<(typeof NOTICE_WORDS)[number], string>>

const known = (text: string) =>
  [...text.matchAll(/\{(\w+)\}/g)].every(([, word]) => (NOTICE_WORDS as readonly string[]).includes(word!))
const template = (max: number) =>
  z
    .string()
    .trim()
    .min(3, { error: said('messages.problems.tooShort') })
    .max(max, { error: said('kit.problems.atMostCharacters', { most: max }) })
    .refine(known, {
      error: said('messages.problems.unknownWords', { words: NOTICE_WORDS.map((w) => `{${w}}`).join(', ') }),
    })

const NoticeTemplate = z.strictObject({ subject: template(120), body: template(4000) })
export type NoticeTemplate = z.infer<typeof NoticeTemplate>
/** Kept templates of an older day lack the kinds that came later: those have the usual words. */
export const NoticeTemplates = z.strictObject(recordOf(NOTICE_KINDS, () => NoticeTemplate))
export type NoticeTemplates = z.infer<typeof NoticeTemplates>

/** Puts the words in. Words that are not known stay as they are. */
export const fillTemplate = ({ subject, body }: NoticeTemplate, words: NoticeWords): NoticeTemplate => {
  const fill = (text: string) =>
    text.replace(/\{(\w+)\}/g, (whole, word: string) => words[word as keyof NoticeWords] ?? whole)
  return { subject: fill(subject), body: fill(body) }
}

/** A day and time as a customer reads them. */
export const dayAndTime = (day: string, time: string): string => `${longDate(day)}, ${time}`

interface VisitToTell {
  readonly state: string
  readonly day: string
  readonly startTime: string
}
interface Notified {
  readonly kind: NoticeKind
  readonly day: string
  readonly startTime: string
}

/** A change of the hour by less than this is not worth a letter, minutes. */
const SAME_HOUR_MIN = 30
const minutes = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3))

/**
 * What a customer still has to be told about a visit, given the last thing they were told.
 * @returns null when they know
 */
export function noticeDue(visit: VisitToTell, notified: Notified | null): NoticeKind | null {
  if (visit.state === 'done') return notified?.kind === 'visit-report' ? null : 'visit-report'
  const knows = notified !== null && notified.kind !== 'visit-cancelled'
  if (visit.state === 'cancelled') return knows ? 'visit-cancelled' : null
  if (visit.state !== 'planned') return null
  if (!knows) return 'visit-planned'
  return notified.day !== visit.day || Math.abs(minutes(notified.startTime) - minutes(visit.startTime)) >= SAME_HOUR_MIN
    ? 'visit-moved'
    : null
}

export const SendNoticesInput = z.strictObject({
  visits: z
    .array(z.uuid())
    .min(1, { error: said('schedule.problems.chooseLeastOneVisit') })
    .max(2000)
    .transform((ids) => ids as VisitId[]),
})
