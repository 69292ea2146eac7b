import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import { linkIds } from '../filter/flow/flow-network'
import type { BranchKind, FlowIntake } from '../filter/flow/flow-plan'
import type { UnitResult } from '../filter/train/evaluate-train'
import { isSkimmer, type TrainKind } from '../filter/train/train-unit'
import { label, rectangle, sheetOf, type Mark, type Sheet, type SheetWords } from './sheet'

/** Sizes of the diagram's boxes; it shows what is joined to what and is not to scale. */
const BOX = { widthM: 1.45, heightM: 0.5 } as const
const COLUMN_M = 1.85
const ROW_M = 0.9
/** A way past a unit runs so far over its middle. */
const PAST_M = 0.38

export interface FlowSheetInput {
  readonly design: FilterDesign
  readonly pumpNames: readonly string[]
  /** Flow through the pump and through the bed when one pipe feeds one bed, m³/h. */
  readonly flowM3PerH: number
  readonly bedFlowM3PerH: number
  /** Units of the filter train with what passes through them. */
  readonly units: readonly Pick<UnitResult, 'unit' | 'flowM3PerH' | 'pastM3PerH'>[]
  /** Flow in a link of a solved network, m³/h; null where it is not known. */
  readonly flowOf: (linkId: string) => number | null
  readonly write: (flowM3PerH: number) => string
  readonly names: {
    readonly branch: (kind: BranchKind) => string
    readonly intake: (kind: FlowIntake['kind']) => string
    readonly unit: (kind: TrainKind) => string
    readonly pond: string
    /** The bed, or the return where there is none, with how the water comes back. */
    readonly back: (from: 'bed' | 'return', by: 'falls' | 'pipe' | null) => string
    readonly text: SheetWords['text']
  }
}

interface Node {
  readonly name: string
  readonly flow: number | null
  /** What goes past it, m³/h. */
  readonly past?: number
}

/**
 * Flow diagram: intakes, the train unit by unit, pumps, split, and the ways back to the pond, each with its flow;
 * below them what stands on a line of its own or in the pond. Not to scale.
 */
export function flowSheet(input: FlowSheetInput): Sheet {
  const { write, names } = input
  const columns = columnsOf(input)
  const rows = Math.max(...columns.map((nodes) => nodes.length))
  const marks: Mark[] = []
  const y = (i: number, of: number) => -((i + 0.5) / of) * rows * ROW_M
  const middle = -(rows * ROW_M) / 2
  columns.forEach((nodes, column) =>
    nodes.forEach((node, i) => marks.push(...boxOf(column * COLUMN_M, y(i, nodes.length), node, write))),
  )
  // every column meets in one header before the next
  columns.slice(1).forEach((nodes, column) => {
    const before = columns[column]!
    const header = column * COLUMN_M + (BOX.widthM + COLUMN_M) / 2
    before.forEach((_, i) =>
      marks.push(way(column * COLUMN_M + BOX.widthM, y(i, before.length), header, middle, false)),
    )
    nodes.forEach((_, i) => marks.push(way(header, middle, (column + 1) * COLUMN_M, y(i, nodes.length), true)))
  })
  marks.push(
    label((columns.length - 1) * COLUMN_M + BOX.widthM / 2, -rows * ROW_M - 0.15, names.text('back-to-pond'), 'middle'),
    ...besideMarks(input, -rows * ROW_M - ROW_M),
  )
  return { ...sheetOf(names.text('flow-diagram'), marks), notToScale: true }
}

/** What follows one after the other, what stands side by side in one column. */
function columnsOf(input: FlowSheetInput): Node[][] {
  const { design, units, names } = input
  const nodeOf = ({ unit, flowM3PerH, pastM3PerH }: FlowSheetInput['units'][number]): Node => ({
    name: names.unit(unit.kind),
    flow: flowM3PerH,
    past: pastM3PerH,
  })
  const of = (line: 'intake' | 'pressure') => units.filter(({ unit }) => unit.line === line && !isSkimmer(unit.kind))
  const skimmers = units.filter(({ unit }) => unit.line === 'intake' && isSkimmer(unit.kind))
  const pumps = input.pumpNames.map((name, i): Node => ({
    name,
    flow: design.network ? input.flowOf(linkIds.pump(i)) : input.flowM3PerH,
  }))
  return [
    intakeNodes(input),
    skimmers.map(nodeOf),
    ...of('intake').map((unit) => [nodeOf(unit)]),
    pumps,
    ...of('pressure').map((unit) => [nodeOf(unit)]),
    endNodes(input),
  ].filter((nodes) => nodes.length > 0)
}

function boxOf(x: number, at: number, { name, flow, past }: Node, write: FlowSheetInput['write']): Mark[] {
  const overM = BOX.heightM / 2 + PAST_M / 2
  return [
    {
      kind: 'polygon',
      layer: 'OUTLINE',
      points: rectangle(x, at - BOX.heightM / 2, x + BOX.widthM, at + BOX.heightM / 2),
      fill: 'gravel',
    },
    label(x + BOX.widthM / 2, at + 0.08, name, 'middle'),
    label(x + BOX.widthM / 2, at - 0.14, flow === null ? '' : write(flow), 'middle'),
    ...(past !== undefined && past > 1e-6
      ? [
          {
            kind: 'line' as const,
            layer: 'WATER' as const,
            points: [
              { xM: x - 0.12, yM: at },
              { xM: x - 0.12, yM: at + overM },
              { xM: x + BOX.widthM + 0.12, yM: at + overM },
              { xM: x + BOX.widthM + 0.12, yM: at },
            ],
            arrow: true,
          },
          label(x + BOX.widthM / 2, at + overM + 0.04, write(past), 'middle'),
        ]
      : []),
  ]
}

function way(fromX: number, fromY: number, toX: number, toY: number, arrow: boolean): Mark {
  const bend = (fromX + toX) / 2
  return {
    kind: 'line',
    layer: 'WATER',
    points: [
      { xM: fromX, yM: fromY },
      { xM: bend, yM: fromY },
      { xM: bend, yM: toY },
      { xM: toX, yM: toY },
    ],
    arrow,
  }
}

/** What has a line of its own, from the pond and back; and what stands in the pond. */
function besideMarks({ units, names, write }: FlowSheetInput, topM: number): Mark[] {
  const own = units.filter(({ unit }) => unit.line === 'side')
  const inPond = units.filter(({ unit }) => unit.line === 'pond')
  return [
    ...own.flatMap(({ unit, flowM3PerH }, i) => {
      const at = topM - i * ROW_M
      return [
        ...boxOf(0, at, { name: names.pond, flow: null }, write),
        ...boxOf(COLUMN_M, at, { name: names.unit(unit.kind), flow: flowM3PerH }, write),
        way(BOX.widthM, at, COLUMN_M, at, true),
        way(COLUMN_M + BOX.widthM, at, COLUMN_M + BOX.widthM + 0.35, at, true),
        label(COLUMN_M + BOX.widthM + 0.42, at - 0.04, names.text('back-to-pond'), 'start'),
      ]
    }),
    ...inPond.flatMap(({ unit }, i) =>
      boxOf(i * COLUMN_M, topM - own.length * ROW_M, { name: names.unit(unit.kind), flow: null }, write),
    ),
  ]
}

function intakeNodes({ design, names, flowOf, flowM3PerH }: FlowSheetInput): Node[] {
  if (!design.network) return [{ name: names.pond, flow: flowM3PerH }]
  return design.network.intakes.map((intake, i) => ({
    name: names.intake(intake.kind),
    flow: flowOf(linkIds.intake(i)),
  }))
}

function endNodes({ design, names, flowOf, flowM3PerH, bedFlowM3PerH }: FlowSheetInput): Node[] {
  if (design.network)
    return design.network.branches.map((branch, i) => ({
      name: names.branch(branch.kind),
      flow: flowOf(linkIds.branch(i)),
    }))
  const wayBack = () => {
    if (design.falls) return 'falls'
    return FILTER_TYPE_FACTS[design.type].pipedOutlet ? 'pipe' : null
  }
  const back = wayBack()
  const nodes: Node[] =
    design.type === 'none'
      ? [{ name: names.back('return', back), flow: flowM3PerH }]
      : [{ name: names.back('bed', back), flow: bedFlowM3PerH }]
  if (design.type !== 'none' && flowM3PerH - bedFlowM3PerH > 1e-6)
    nodes.push({ name: names.branch('bypass'), flow: flowM3PerH - bedFlowM3PerH })
  return nodes
}
