import { duration, longDate } from './dates'
import { PLANT_DONE_NAMES } from './plants'
import type { FindingUse } from './visit'
import type { VisitReport } from './visit-report'

const FOUND: Readonly<Record<FindingUse, string>> = { 'follow-up': 'Found, and we come back for it', quote: 'We suggest', 'next-season': 'For next season' }

/** What a report notes beside the work itself, for page and paper alike. */
export const notedLines = (report: VisitReport): string[] => [
  ...report.leftOut.map((item) => `Left out: ${item.title} (${item.reason})`),
  ...report.overrides.map((item) => `Stop passed by ${item.by} at “${item.title}”: ${item.reason}`),
  ...report.plants.map((item) => `Plants ${PLANT_DONE_NAMES[item.action].toLowerCase()}: ${item.species.join(', ')}`),
  ...report.findings.map((item) => `${FOUND[item.becomes]}: ${item.text}`),
  ...report.notes,
]

export const partWords = ({ name, warrantyUntil }: VisitReport['parts'][number]): string =>
  warrantyUntil ? `${name}, under warranty until ${longDate(warrantyUntil)}` : name

/** What the office should know and the customer need not. */
export const officeLines = (report: VisitReport): string[] => [
  ...report.disputes.map((item) => `${item.by} did “${item.title}” without signal while tests of others said stop: look at it.`),
  ...report.twice.map((item) => `${item.by} answered “${item.title}” too${item.said ? `: ${item.said}` : ''}. The later answer counts; both are kept.`),
  ...report.time.map((item) => `${item.name}: ${item.minutes === null ? 'time not ended' : duration(item.minutes)}`),
]
