import { textId, type TextId, type Texts } from '../texts'
import { formatQuantity } from '../../core/units/format'
import type { UnitSystem } from '../../core/units/systems'
import { duration, longDate } from '../../domain/shared/dates'
import { amountWords } from '../water/amount-words'
import { readingQuantity, readingScale } from '../../domain/water/reading-names'
import type { Ending, FindingUse } from '../../domain/visits/visit'
import type { VisitReport } from '../../domain/visits/visit-report'
import type { WaterMeaning } from '../../domain/water/water-meaning'
import type { ReportRemark } from '@/domain/visits/visit-report'
import { speciesName } from '@/messages/plants/species-name'

const ENDED: Readonly<Record<Exclude<Ending, 'done'>, TextId>> = {
  'nobody-there': textId('visits.reportWords.nobodyThere'),
  'no-access': textId('visits.reportWords.weCouldNotGet'),
  weather: textId('visits.reportWords.weatherStoppedUs'),
  other: textId('visits.reportWords.weWillTouchAbout'),
}

/** A test as a customer reads it: "KH 1 °dH". */
const testWords = (m: WaterMeaning, units: UnitSystem, t: Texts): string =>
  `${t(`water.readingNames.${m.kind}`)} ${m.noneFound ? t('visits.reportWords.noneFound') : formatQuantity(m.after, readingQuantity(m.kind), units, { scale: readingScale(m.kind) })}`

/**
 * What the customer is told before all else, each sentence from what the log holds: nothing is said that it does not.
 */
export function customerWords(
  report: VisitReport,
  meanings: readonly WaterMeaning[],
  units: UnitSystem,
  t: Texts,
): string[] {
  const { visit, ending, losses } = report
  if (ending && ending !== 'done')
    return [t('visits.reportWords.weCouldNotDo', { name: visit.job.name.toLowerCase(), ending: t(ENDED[ending]) })]
  const wrong = meanings.filter((m) => m.band === 'act' || m.band === 'emergency')
  return [
    ...(wrong.length > 0
      ? [t('visits.reportWords.theseTestsAskAttention', { map: wrong.map((m) => testWords(m, units, t)).join(', ') })]
      : []),
    ...(losses > 0 ? [t('visits.reportWords.fishLost', { losses })] : []),
    ...(report.advice ? [report.advice] : []),
  ]
}

/** Fish that went out and came back; null where none were handled. */
export function fishWords({ fishOut, fishBack, losses }: VisitReport, t: Texts): string | null {
  if (fishOut === null && fishBack === null) return null
  const lost = losses > 0 ? t('visits.reportWords.lost', { losses }) : ''
  const missing = fishOut !== null && fishBack !== null ? fishOut - fishBack - losses : 0
  const parts = [
    fishOut === null ? '' : t('visits.reportWords.takenOut', { fishOut }),
    fishBack === null ? '' : t('visits.reportWords.putBack', { fishBack }),
  ]
    .filter(Boolean)
    .join(', ')
  return `${parts}${lost}${missing > 0 ? t('visits.reportWords.notAccounted', { missing }) : ''}.`
}

/** What a report notes beside the work itself, for page and paper alike. */
export const notedLines = (report: VisitReport, t: Texts): string[] => [
  ...report.leftOut.map((item) => t('visits.reportWords.notDoneTime', { title: item.title })),
  ...report.plants.map((item) =>
    t('visits.reportWords.plants', {
      value: t(`plants.plantDoneNames.${item.action}`).toLowerCase(),
      species: item.species.map((key) => speciesName(key, t)).join(', '),
    }),
  ),
]

export const doseLines = (report: VisitReport): string[] =>
  report.doses.map(({ name, amount, unit }) => `${name}: ${amountWords(amount, unit)}`)

export const partWords = ({ name, warrantyUntil }: VisitReport['parts'][number], t: Texts): string =>
  warrantyUntil ? t('visits.reportWords.underWarrantyUntil', { name, warrantyUntil: longDate(warrantyUntil) }) : name

const FOUND: Readonly<Record<FindingUse, TextId>> = {
  'follow-up': textId('visits.reportWords.foundWeComeBack'),
  quote: textId('visits.reportWords.quoted'),
  'next-season': textId('visits.reportWords.nextSeason'),
}

/**
 * What the office should know and the customer need not: stops that were passed, what was found, and the crew's own
 * words.
 */
export const officeLines = (report: VisitReport, t: Texts): string[] => [
  ...report.overrides.map((item) =>
    t('visits.reportWords.stopPassed', { by: item.by, title: item.title, reason: item.reason }),
  ),
  ...report.findings.map((item) => `${t(FOUND[item.becomes])}: ${item.text}`),
  ...report.leftOut.map((item) => t('visits.reportWords.leftOut', { title: item.title, reason: item.reason })),
  ...report.sections.flatMap((section) =>
    section.done.flatMap((step) => (step.said ? [`${step.title}: ${step.said}`] : [])),
  ),
  ...report.notes,
  ...(report.visit.endingReason ? [t('visits.reportWords.whyEnded', { endingReason: report.visit.endingReason })] : []),
  ...report.disputes.map((item) => t('visits.reportWords.didWithoutSignalWhile', { by: item.by, title: item.title })),
  ...report.twice.map((item) =>
    t('visits.reportWords.answeredTooLaterAnswer', {
      by: item.by,
      title: item.title,
      said: item.said ? `: ${item.said}` : '',
    }),
  ),
  ...report.time.map(
    (item) => `${item.name}: ${item.minutes === null ? t('visits.reportWords.timeNotEnded') : duration(item.minutes)}`,
  ),
]

/** What was answered, counted or signed at a step, in a few words; '' where there is nothing to say. */
export const remarkWords = ({ choice, fish, losses, signedBy }: ReportRemark, t: Texts): string =>
  [
    choice,
    fish.map((line) => `${line.count} ${t(`ponds.fishNamesInText.${line.species}`)}`).join(', '),
    losses > 0 ? t('visits.remarks.losses', { count: losses }) : '',
    signedBy ? t('visits.remarks.signedBy', { name: signedBy }) : '',
  ]
    .filter(Boolean)
    .join(' · ')
