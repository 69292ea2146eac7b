import { type Texts } from '../texts'
import { formatQuantity } from '../../core/units/format'
import type { UnitSystem } from '../../core/units/systems'
import { ammoniaWords } from '../water/ammonia-words'
import { longDate } from '../../domain/shared/dates'
import { readingQuantity, readingScale } from '../../domain/water/reading-names'
import { customerWords, doseLines, fishWords, notedLines, partWords } from './report-words'
import type { VisitReport } from '../../domain/visits/visit-report'
import type { WaterMeaning } from '../../domain/water/water-meaning'

/** The report of a visit as a letter says it: what was done, how the water is, what was noted, what comes next. */
export function reportLetter(
  report: VisitReport,
  meanings: readonly WaterMeaning[],
  units: UnitSystem,
  t: Texts,
): string {
  const water = meanings.map((m) => {
    const figure = m.noneFound
      ? t('visits.reportLetter.noneFound')
      : formatQuantity(m.after, readingQuantity(m.kind), units, { scale: readingScale(m.kind) })
    const ammonia = m.kind === 'tan' ? ammoniaWords(m, units, t) : ''
    return `${t(`water.readingNames.${m.kind}`)}: ${figure} (${t(`water.bandNames.${m.band}`).toLowerCase()}${ammonia ? `, ${ammonia}` : ''})`
  })
  const block = (title: string, lines: readonly string[]) =>
    lines.length === 0 ? [] : [[title, ...lines.map((line) => `– ${line}`)].join('\n')]
  return [
    ...customerWords(report, meanings, units, t),
    ...block(
      t('visits.reportLetter.whatDone'),
      report.sections.map(
        (section) => `${section.title}: ${section.done.map((step) => lowerFirst(step.title)).join('; ')}`,
      ),
    ),
    ...block(t('visits.reportLetter.water'), water),
    ...block(t('visits.reportLetter.given'), doseLines(report)),
    ...block(t('visits.reportLetter.fish'), [fishWords(report, t) ?? ''].filter(Boolean)),
    ...block(
      t('visits.reportLetter.partsRenewed'),
      report.parts.map((part) => partWords(part, t)),
    ),
    ...block(t('visits.reportLetter.noted'), notedLines(report, t)),
    ...block(
      t('visits.reportLetter.next'),
      report.followUps.map((next) =>
        t('visits.reportLetter.between', { title: next.title, from: longDate(next.from), to: longDate(next.to) }),
      ),
    ),
  ]
    .join('\n\n')
    .replaceAll('\u00a0', ' ')
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
