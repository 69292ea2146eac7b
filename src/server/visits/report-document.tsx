import type { Region } from '@/domain/shared/region'
import { firmTexts, type Texts } from '@/messages/texts'
import type { ReportRemark } from '@/domain/visits/visit-report'
import { Document, Image, Page, StyleSheet, Text, View } from '@react-pdf/renderer'
import type { UnitSystem } from '@/core/units/systems'
import { formatQuantity, type FormatOptions } from '@/core/units/format'
import type { QuantityKind } from '@/core/units/kinds'
import { ammoniaWords } from '@/messages/water/ammonia-words'
import { figureWords } from '@/messages/water/figure-words'
import { longDate } from '@/domain/shared/dates'
import { customerWords, doseLines, fishWords, notedLines, partWords, remarkWords } from '@/messages/visits/report-words'
import { readingQuantity, readingScale } from '@/domain/water/reading-names'
import type { ReportPage } from '@/server/visits/report'
import { paper, paperSize } from '@/server/platform/paper/pdf-paper'
import { PAPER } from '@/core/drawing/palette'

const styles = StyleSheet.create({
  row: { flexDirection: 'row', borderBottom: `0.5pt solid ${PAPER.rule}`, paddingVertical: 3 },
  name: { width: '32%' },
  figure: { width: '17%', textAlign: 'right', paddingRight: 12 },
  meaning: { width: '34%' },
  photos: { flexDirection: 'row', gap: 12, marginTop: 6 },
  photo: { width: 240, height: 180, objectFit: 'cover' },
})

export interface ReportPhotos {
  readonly data: Buffer
  readonly caption: string
}

/** The visit report on paper; says the same as the page. */
export function ReportDocument({
  page,
  photos,
  units,
  region,
}: {
  page: ReportPage
  photos: readonly ReportPhotos[]
  units: UnitSystem
  region: Region
}) {
  const t = firmTexts()
  const { report, meanings, firmName } = page
  const { visit } = report
  const noted = notedLines(report, t)
  const given = doseLines(report)
  const fish = fishWords(report, t)
  const show = (value: number, kind: QuantityKind, options?: FormatOptions) =>
    formatQuantity(value, kind, units, options)
  const shown = (kind: (typeof meanings)[number]['kind'], value: number) =>
    formatQuantity(value, readingQuantity(kind), units, { scale: readingScale(kind) })
  return (
    <Document title={`${visit.job.name}, ${visit.pondName}`} author={firmName} language="en">
      <Page size={paperSize(region)} style={paper.page}>
        <Text style={paper.firm}>{firmName}</Text>
        <Text style={paper.title}>
          {visit.job.name}: {visit.pondName}
        </Text>
        <Text style={paper.under}>
          {visit.siteName}
          {visit.town ? `, ${visit.town}` : ''} · {longDate(report.day)} · {report.crew.join(', ')}
        </Text>

        <View style={paper.callout}>
          {customerWords(report, meanings, units, t).map((words) => (
            <Text key={words}>{words}</Text>
          ))}
          {report.followUps.map((next) => (
            <Text key={next.title}>
              {t('visits.reportView.nextBetween', {
                title: next.title,
                from: longDate(next.from),
                to: longDate(next.to),
              })}
            </Text>
          ))}
        </View>

        {photos.length > 0 ? (
          <View style={styles.photos}>
            {photos.map((photo) => (
              <View key={photo.caption}>
                {/* eslint-disable-next-line jsx-a11y/alt-text -- PDF images carry no alt attribute */}
                <Image style={styles.photo} src={{ data: photo.data, format: 'jpg' }} />
                <Text style={paper.muted}>{photo.caption}</Text>
              </View>
            ))}
          </View>
        ) : null}

        <Text style={paper.heading}>{t('visits.reportView.water')}</Text>
        <View style={styles.row}>
          <Text style={[styles.name, paper.muted]}>{t('visits.reportView.test')}</Text>
          <Text style={[styles.figure, paper.muted]}>{t('visits.reportView.before')}</Text>
          <Text style={[styles.figure, paper.muted]}>{t('visits.reportView.after')}</Text>
          <Text style={[styles.meaning, paper.muted]}>{t('visits.reportView.meaning')}</Text>
        </View>
        {meanings.map((m) => (
          <View key={m.kind} style={styles.row} wrap={false}>
            <Text style={styles.name}>{t(`water.readingNames.${m.kind}`)}</Text>
            <Text style={styles.figure}>{m.before === null ? '' : shown(m.kind, m.before)}</Text>
            <Text style={styles.figure}>{m.noneFound ? t('visits.reportView.noneFound') : shown(m.kind, m.after)}</Text>
            <Text style={styles.meaning}>
              {[t(`water.bandNames.${m.band}`), m.kind === 'tan' ? ammoniaWords(m, units, t) : '']
                .filter(Boolean)
                .join(', ')}
            </Text>
          </View>
        ))}

        {fish ? (
          <>
            <Text style={paper.heading}>{t('visits.reportView.fish')}</Text>
            <Text>{fish}</Text>
          </>
        ) : null}

        {report.sections.map((section) => (
          <View key={section.title}>
            <Text style={paper.heading} minPresenceAhead={30}>
              {section.title}
            </Text>
            {section.done.map((step) => (
              <Text key={step.title} style={paper.line}>
                • {step.title}
                {remarkPart(step.remark, t)}
                {step.figures.length > 0
                  ? ` (${step.figures.map(([figure, value]) => figureWords(figure, value, show, t)).join(', ')})`
                  : ''}
              </Text>
            ))}
          </View>
        ))}

        {given.length > 0 ? <Text style={paper.heading}>{t('visits.reportView.given')}</Text> : null}
        {given.map((line) => (
          <Text key={line} style={paper.line}>
            • {line}
          </Text>
        ))}
        {report.parts.length > 0 ? <Text style={paper.heading}>{t('visits.reportView.partsRenewed')}</Text> : null}
        {report.parts.map((part) => (
          <Text key={part.name} style={paper.line}>
            • {partWords(part, t)}
          </Text>
        ))}
        {noted.length > 0 ? <Text style={paper.heading}>{t('visits.reportView.noted')}</Text> : null}
        {noted.map((line) => (
          <Text key={line} style={paper.line}>
            {line}
          </Text>
        ))}
        <View style={paper.foot} fixed>
          <Text
            render={({ pageNumber, totalPages }) =>
              t('visits.reportDocument.page', { firmName, pondName: visit.pondName, pageNumber, totalPages })
            }
          />
        </View>
      </Page>
    </Document>
  )
}

function remarkPart(remark: ReportRemark, t: Texts): string {
  const words = remarkWords(remark, t)
  return words === '' ? '' : `: ${words}`
}
