import type { Region } from '@/domain/shared/region'
import { firmTexts } from '@/messages/texts'
import { Document, Page, renderToBuffer, StyleSheet, Text, View } from '@react-pdf/renderer'
import { formatQuantity } from '@/core/units/format'
import { dayLoad } from '@/domain/rounds/day-load'
import { clockAfter } from '@/domain/schedule/clash'
import { duration, longDate } from '@/domain/shared/dates'
import type { CrewId } from '@/domain/shared/ids'
import { LOAD_CAUTION, loadLines, yardWords } from '@/messages/rounds/load-words'
import type { Actor } from '@/server/platform/auth/actor'
import { daySheet } from '@/server/rounds/day-sheet'
import { paper, paperSize } from '@/server/platform/paper/pdf-paper'
import { PAPER } from '@/core/drawing/palette'

const styles = StyleSheet.create({
  stop: { borderTop: `0.5pt solid ${PAPER.rule}`, paddingVertical: 7 },
  time: { fontFamily: 'Title', fontSize: 12.5 },
})

/** A crew's day on paper, for the cab: order, times, ways, access, notes, and what to load. */
export async function daySheetPdf(
  actor: Actor,
  crewId: CrewId,
  day: string,
  region: Region,
): Promise<{ bytes: Buffer; fileName: string }> {
  const t = firmTexts()
  const { crew, visits, ways, load } = await daySheet(actor, crewId, day)
  const hours = dayLoad(visits, ways, crew.setup)
  const show = (value: number, kind: 'volume' | 'length' | 'mass', options?: { scale: 'small' }) =>
    formatQuantity(value, kind, actor.preferences.units, options)
  const bytes = await renderToBuffer(
    <Document title={`${crew.name}, ${longDate(day)}`} author={actor.firmName} language="en">
      <Page size={paperSize(region)} style={paper.page}>
        <Text style={paper.firm}>{actor.firmName}</Text>
        <Text style={paper.title}>
          {crew.name}, {longDate(day)}
        </Text>
        {visits.length === 0 ? <Text>{t('rounds.daySheet.nothingPlannedCrewDay')}</Text> : null}
        {hours ? <Text style={paper.line}>{yardWords(hours, t)}</Text> : null}
        {visits.length > 0 ? (
          <View style={paper.callout}>
            <Text style={paper.heading}>{t('rounds.daySheet.loadBeforeLeaving')}</Text>
            {loadLines(load, show, t).map((line) => (
              <Text key={line} style={paper.line}>
                □ {line}
              </Text>
            ))}
            <Text style={[paper.line, paper.muted]}>{t(LOAD_CAUTION)}</Text>
          </View>
        ) : null}
        <View style={{ marginTop: 10 }}>
          {visits.map((v, i) => (
            <View key={v.id} style={styles.stop} wrap={false}>
              <Text style={paper.muted}>
                {ways.toStops[i] === null
                  ? t('rounds.daySheet.wayNotKnownSite')
                  : t('rounds.daySheet.way', { i: duration(ways.toStops[i]!) })}
              </Text>
              <Text style={styles.time}>
                {v.startTime}–{clockAfter(v.startTime, v.plannedMinutes)} {v.job.name}
              </Text>
              <Text style={paper.line}>
                {v.siteName}, {v.pondName}. {[v.address, v.town].filter(Boolean).join(', ')}. {v.customerName}.
              </Text>
              {v.accessNotes ? (
                <Text style={paper.line}>{t('rounds.daySheet.access', { accessNotes: v.accessNotes })}</Text>
              ) : null}
              {v.note ? <Text style={paper.line}>{t('rounds.daySheet.note', { note: v.note })}</Text> : null}
              {v.tasks.map((task) => (
                <Text key={task.id} style={paper.line}>
                  □ {task.title}
                </Text>
              ))}
            </View>
          ))}
        </View>
        <Text style={paper.foot} fixed>
          {t('rounds.daySheetPdf.appAdvisesLocalCodes')}
        </Text>
      </Page>
    </Document>,
  )
  return { bytes, fileName: `${day}-${crew.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.pdf` }
}
