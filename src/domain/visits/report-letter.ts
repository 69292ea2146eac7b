import { formatQuantity } from '../../core/units/format'
import type { UnitSystem } from '../../core/units/systems'
import { ammoniaWords } from '../water/ammonia-words'
import { longDate } from '../shared/dates'
import { BAND_NAMES, READING_NAMES, readingQuantity, readingScale } from '../water/reading-names'
import { customerWords, doseLines, fishWords, notedLines, partWords } from './report-words'
import type { VisitReport } from './visit-report'
import type { WaterMeaning } from '../water/water-meaning'

/** The report of a visit as a letter says it: what was done, how the water is, what was noted, what comes next. */
export function reportLetter(report: VisitReport, meanings: readonly WaterMeaning[], units: UnitSystem): string {
  const water = meanings.map((m) => {
    const figure = m.noneFound ? 'none found' : formatQuantity(m.after, readingQuantity(m.kind), units, { scale: readingScale(m.kind) })
    const ammonia = m.kind === 'tan' ? ammoniaWords(m, units) : ''
    return `${READING_NAMES[m.kind]}: ${figure} (${BAND_NAMES[m.band].toLowerCase()}${ammonia ? `, ${ammonia}` : ''})`
  })
  const block = (title: string, lines: readonly string[]) => (lines.length === 0 ? [] : [[title, ...lines.map((line) => `– ${line}`)].join('\n')])
  return [
    ...customerWords(report, meanings, units),
    ...block(
      'What was done',
      report.sections.map((section) => `${section.title}: ${section.done.map((step) => lowerFirst(step.title)).join('; ')}`),
    ),
    ...block('The water', water),
    ...block('Given', doseLines(report)),
    ...block('The fish', [fishWords(report) ?? ''].filter(Boolean)),
    ...block('Parts renewed', report.parts.map(partWords)),
    ...block('Noted', notedLines(report)),
    ...block(
      'Next',
      report.followUps.map((next) => `${next.title}, between ${longDate(next.from)} and ${longDate(next.to)}`),
    ),
  ]
    .join('\n\n')
    .replaceAll('\u00a0', ' ')
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
