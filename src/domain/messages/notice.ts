import { z } from 'zod'
import { longDate } from '../shared/dates'
import type { VisitId } from '../shared/ids'
import { recordOf } from '../../core/numeric/record-of'

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
const template = (most: number) =>
  z
    .string()
    .trim()
    .min(3, { error: 'This text is too short to say anything.' })
    .max(most, { error: `At most ${most} characters.` })
    .refine(known, { error: `Only these words in braces are known: ${NOTICE_WORDS.map((w) => `{${w}}`).join(', ')}.` })

const NoticeTemplate = z.strictObject({ subject: template(120), body: template(4000) })
export type NoticeTemplate = z.infer<typeof NoticeTemplate>
/** Kept templates of an older day lack the kinds that came later: those have the usual words. */
export const NoticeTemplates = z.strictObject(recordOf(NOTICE_KINDS, () => NoticeTemplate))
export type NoticeTemplates = z.infer<typeof NoticeTemplates>

export const DEFAULT_TEMPLATES: NoticeTemplates = {
  'visit-planned': {
    subject: '{job} at {site} on {day}',
    body: 'Dear {customer},\n\nwe plan to come to {site} on {day} at about {time}: {job}. Please see that we can get in.\n\nIf that day does not suit you, answer this mail and we will find another.\n\n{firm}',
  },
  'visit-moved': {
    subject: 'New day for {job} at {site}: {day}',
    body: 'Dear {customer},\n\nyour visit ({job}) at {site}, planned for {was}, moves to {day} at about {time}. Water and weather decide more than we do; thank you for bearing with us.\n\n{firm}',
  },
  'visit-cancelled': {
    subject: '{job} at {site} called off',
    body: 'Dear {customer},\n\nthe visit ({job}) at {site} planned for {was} will not take place. We will come back to you with a new day.\n\n{firm}',
  },
  'on-the-way': {
    subject: 'We are on the way to {site}',
    body: 'Dear {customer},\n\nour crew is on the way to {site} and will be there at about {time}.\n\n{firm}',
  },
  'running-late': {
    subject: 'We will be later at {site} today',
    body: 'Dear {customer},\n\nthe stop before yours takes longer than planned. We expect to be at {site} at about {time} instead of {was}.\n\n{firm}',
  },
  'visit-report': {
    subject: '{job} at {site}: what was done',
    body: 'Dear {customer},\n\nwe were at {site} on {day}.\n\n{report}\n\n{link}\n\n{firm}',
  },
}

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
    .min(1, { error: 'Choose at least one visit.' })
    .max(2000)
    .transform((ids) => ids as VisitId[]),
})
