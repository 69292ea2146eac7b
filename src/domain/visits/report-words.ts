import { formatQuantity } from '../../core/units/format'
import type { UnitSystem } from '../../core/units/systems'
import { duration, longDate } from '../shared/dates'
import { amountWords } from '../rounds/load-words'
import { PLANT_DONE_NAMES } from '../plants/plants'
import { READING_NAMES, readingQuantity, readingScale } from '../water/reading-names'
import type { Ending, FindingUse } from './visit'
import type { VisitReport } from './visit-report'
import type { WaterMeaning } from '../water/water-meaning'

const ENDED: Readonly<Record<Exclude<Ending, 'done'>, string>> = {
  'nobody-there': 'nobody was there',
  'no-access': 'we could not get in',
  weather: 'the weather stopped us',
  other: 'we will be in touch about it',
}

/** A test as a customer reads it: "KH 1 °dH". */
const testWords = (m: WaterMeaning, units: UnitSystem): string =>
  `${READING_NAMES[m.kind]} ${m.noneFound ? 'none found' : formatQuantity(m.after, readingQuantity(m.kind), units, { scale: readingScale(m.kind) })}`

/** What the customer is told before all else, each sentence from what the log holds: nothing is said that it does not. */
export function customerWords(report: VisitReport, meanings: readonly WaterMeaning[], units: UnitSystem): string[] {
  const { visit, ending, losses } = report
  if (ending && ending !== 'done') return [`We could not do the ${visit.job.name.toLowerCase()} this time: ${ENDED[ending]}.`]
  const wrong = meanings.filter((m) => m.band === 'act' || m.band === 'emergency')
  return [
    ...(wrong.length > 0 ? [`These tests ask for attention: ${wrong.map((m) => testWords(m, units)).join(', ')}.`] : []),
    ...(losses > 0 ? [losses === 1 ? 'One fish was lost.' : `${losses} fish were lost.`] : []),
    ...(report.advice ? [report.advice] : []),
  ]
}

/** Fish that went out and came back; null where none were handled. */
export function fishWords({ fishOut, fishBack, losses }: VisitReport): string | null {
  if (fishOut === null && fishBack === null) return null
  const lost = losses > 0 ? `, ${losses} lost` : ''
  const missing = fishOut !== null && fishBack !== null ? fishOut - fishBack - losses : 0
  const parts = [fishOut === null ? '' : `${fishOut} taken out`, fishBack === null ? '' : `${fishBack} put back`].filter(Boolean).join(', ')
  return `${parts}${lost}${missing > 0 ? `, ${missing} not accounted for` : ''}.`
}

/** What a report notes beside the work itself, for page and paper alike. */
export const notedLines = (report: VisitReport): string[] => [
  ...report.leftOut.map((item) => `Not done this time: ${item.title}`),
  ...report.plants.map((item) => `Plants ${PLANT_DONE_NAMES[item.action].toLowerCase()}: ${item.species.join(', ')}`),
]

export const doseLines = (report: VisitReport): string[] => report.doses.map(({ name, amount, unit }) => `${name}: ${amountWords(amount, unit)}`)

export const partWords = ({ name, warrantyUntil }: VisitReport['parts'][number]): string =>
  warrantyUntil ? `${name}, under warranty until ${longDate(warrantyUntil)}` : name

const FOUND: Readonly<Record<FindingUse, string>> = { 'follow-up': 'Found, and we come back for it', quote: 'To be quoted', 'next-season': 'For next season' }

/** What the office should know and the customer need not: stops that were passed, what was found, and the crew's own words. */
export const officeLines = (report: VisitReport): string[] => [
  ...report.overrides.map((item) => `Stop passed by ${item.by} at “${item.title}”: ${item.reason}`),
  ...report.findings.map((item) => `${FOUND[item.becomes]}: ${item.text}`),
  ...report.leftOut.map((item) => `Left out: ${item.title} (${item.reason})`),
  ...report.sections.flatMap((section) => section.done.flatMap((step) => (step.said ? [`${step.title}: ${step.said}`] : []))),
  ...report.notes,
  ...(report.visit.endingReason ? [`Why it ended: ${report.visit.endingReason}`] : []),
  ...report.disputes.map((item) => `${item.by} did “${item.title}” without signal while tests of others said stop: look at it.`),
  ...report.twice.map((item) => `${item.by} answered “${item.title}” too${item.said ? `: ${item.said}` : ''}. The later answer counts; both are kept.`),
  ...report.time.map((item) => `${item.name}: ${item.minutes === null ? 'time not ended' : duration(item.minutes)}`),
]
