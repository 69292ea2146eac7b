import { Document, Page, renderToBuffer, StyleSheet, Text, View } from '@react-pdf/renderer'
import { PAPER } from '@/core/drawing/palette'
import { pumpNamesOf, sheetKeysOf, sheetOfSet } from '@/core/drawing/drawing-set'
import { DIMENSION_FIGURES } from '@/core/drawing/sheet'
import { PAPERS, fittingScale, type Paper } from '@/core/drawing/svg'
import { linkIds } from '@/core/filter/flow/flow-network'
import { evaluateDesign } from '@/core/filter/design'
import { formatQuantity } from '@/core/units/format'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { DesignId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { flowNames, sheetWords } from '@/messages/drawing/sheet-words'
import { firmTexts, type Texts } from '@/messages/texts'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findFirm } from '@/server/firm/firm-repository'
import '@/server/platform/paper/pdf-paper'
import { PT_PER_MM, TrueScaleSheet } from '@/server/platform/paper/true-scale-sheet'
import { findPond } from '@/server/ponds/pond-repository'
import { weather } from '@/server/season/weather'
import { findDesign } from './design-repository'
import { designContext } from './designs'
import { scheduleRows, type ScheduleTable } from './drawing-schedules'

const style = StyleSheet.create({
  schedule: { padding: 12 * PT_PER_MM, fontFamily: 'Text', fontSize: 9, color: PAPER.ink },
  heading: { fontFamily: 'Title', fontSize: 12, marginBottom: 4, marginTop: 10 },
  row: { flexDirection: 'row', borderBottom: `0.5pt solid ${PAPER.rule}`, paddingVertical: 2 },
  cell: { flex: 1 },
  foot: { marginTop: 12, color: PAPER.soft },
})

/** All drawings of a version in one file, each at a true scale on its own sheet, with its schedules at the end. */
export async function drawingSetPdf(actor: Actor, id: DesignId, paper: Paper) {
  assertMay(actor, 'ponds.read')
  const t = firmTexts()
  const { units } = actor.preferences
  const given = await factsOf(actor, id)
  const { design, result, context, pond, firmName } = given
  const plain = (words: string) => words.replaceAll('\u00a0', ' ')
  const length = (m: number) =>
    plain(
      formatQuantity(m, 'length', units, {
        scale: Math.abs(m) < 1 ? 'small' : 'usual',
        significant: DIMENSION_FIGURES,
      }),
    )
  const words = sheetWords(length, t)
  const split = result.split
  const input = {
    design,
    result,
    ground: context.designPond.ground,
    shore: savedPondFacts(pond).basin.outline,
    pumpNames: pumpNamesOf(design, context.pumps),
    words,
    flow: {
      flowOf: (link: string) => flowOfLink(link, split),
      write: (flow: number) => plain(formatQuantity(flow, 'flow', units)),
      names: flowNames(t),
    },
  }
  const subtitle = t('design.drawingsPart.computedFromDesignCheck', {
    firmName,
    customerName: pond.customerName,
    siteName: pond.siteName,
    name: pond.name,
  })
  const sheets = sheetKeysOf(input).flatMap((key) => {
    const sheet = sheetOfSet(key, input)
    return sheet ? [{ key, sheet }] : []
  })
  const tables = scheduleRows({
    design,
    result,
    ground: input.ground,
    length,
    flow: (q) => plain(formatQuantity(q, 'flow', units)),
    words,
    t,
  })
  const bytes = await renderToBuffer(
    <Document title={`${pond.name}, ${given.name}`} author={firmName} language="en">
      {sheets.map(({ key, sheet }, i) => (
        <Page key={key} size={pageSize(paper)} wrap={false}>
          <TrueScaleSheet
            sheet={sheet}
            paper={paper}
            scale={fittingScale(sheet, paper)}
            subtitle={`${subtitle} · ${t('design.drawingsPart.sheetOf', { number: i + 1, of: sheets.length + 1 })}`}
            words={words}
          />
        </Page>
      ))}
      <Page size={pageSize(paper)} style={style.schedule}>
        {tables.map((table) => (
          <Schedule key={table.title} table={table} />
        ))}
        <Text style={style.foot}>
          {`${subtitle} · ${t('design.drawingsPart.sheetOf', { number: sheets.length + 1, of: sheets.length + 1 })}`}
        </Text>
      </Page>
    </Document>,
  )
  return { bytes, fileName: fileNameOf(pond.name, given.number, t) }
}

const fileNameOf = (pond: string, number: number, t: Texts): string =>
  `${t('design.drawingsPart.setFile', { pond, number })
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')}.pdf`

/** Paper on its side, in points. */
const pageSize = (paper: Paper): [number, number] => {
  const [short, long] = PAPERS[paper]
  return [long * PT_PER_MM, short * PT_PER_MM]
}

function Schedule({ table: { title, heads, rows } }: { table: ScheduleTable }) {
  return (
    <View wrap={rows.length > 20}>
      <Text style={style.heading}>{title}</Text>
      <View style={style.row}>
        {heads.map((head) => (
          <Text key={head} style={[style.cell, { fontWeight: 700 }]}>
            {head}
          </Text>
        ))}
      </View>
      {rows.map((row, i) => (
        <View key={i} style={style.row} wrap={false}>
          {row.map((cell, n) => (
            <Text key={n} style={style.cell}>
              {cell}
            </Text>
          ))}
        </View>
      ))}
    </View>
  )
}

async function factsOf(actor: Actor, id: DesignId) {
  const { stations } = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const version = await findDesign(trx, id)
    if (!version) throw notFound('design')
    const pond = (await findPond(trx, version.pondId))!
    const context = await designContext(trx, actor, pond, stations)
    const design = version.builtBed ?? version.bed
    const result = evaluateDesign({ ...context, pond: context.designPond, design })
    return {
      design,
      result,
      context,
      pond,
      name: version.name,
      number: version.number,
      firmName: (await findFirm(trx)).name,
    }
  })
}

/** Flows of a split by the diagram's links. */
function flowOfLink(link: string, split: ReturnType<typeof evaluateDesign>['split']): number | null {
  if (!split) return null
  const of = (flows: readonly number[], id: (i: number) => string) => flows.find((_, i) => link === id(i))
  return (
    of(split.branchesM3PerH, linkIds.branch) ??
    of(split.intakesM3PerH, linkIds.intake) ??
    of(split.pumpsM3PerH, linkIds.pump) ??
    null
  )
}
