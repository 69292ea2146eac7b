import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import { linkIds } from '../filter/flow/flow-network'
import type { BranchKind, FlowIntake } from '../filter/flow/flow-plan'
import { label, rectangle, sheetOf, type Mark, type Sheet, type SheetWords } from './sheet'

/** Sizes of the diagram's boxes; it shows what is joined to what and is not to scale. */
const BOX = { widthM: 1.3, heightM: 0.5 } as const
const COLUMN_M = 2.1
const ROW_M = 0.9

export interface FlowSheetInput {
  readonly design: FilterDesign
  readonly pumpNames: readonly string[]
  /** Flow through the pump and through the bed when one pipe feeds one bed, m³/h. */
  readonly flowM3PerH: number
  readonly bedFlowM3PerH: number
  /** Flow in a link of a solved network, m³/h; null where it is not known. */
  readonly flowOf: (linkId: string) => number | null
  readonly write: (flowM3PerH: number) => string
  readonly names: {
    readonly branch: (kind: BranchKind) => string
    readonly intake: (kind: FlowIntake['kind']) => string
    readonly pond: string
    /** The bed, or the return where there is none, with how the water comes back. */
    readonly back: (from: 'bed' | 'return', by: 'falls' | 'pipe' | null) => string
    readonly text: SheetWords['text']
  }
}

interface Node {
  readonly name: string
  readonly flow: number | null
}

/** Flow diagram: intakes, pumps, split, and the ways back to the pond, each with its flow. Not to scale. */
export function flowSheet(input: FlowSheetInput): Sheet {
  const { design, write, pumpNames } = input
  const intakes = intakeNodes(input)
  const pumps = pumpNames.map((name, i): Node => ({
    name,
    flow: design.network ? input.flowOf(linkIds.pump(i)) : input.flowM3PerH,
  }))
  const ends = endNodes(input)
  const rows = Math.max(intakes.length, pumps.length, ends.length)
  const marks: Mark[] = []
  const y = (i: number, of: number) => -((i + 0.5) / of) * rows * ROW_M
  const box = (column: number, i: number, of: number, { name, flow }: Node) => {
    const [x, at] = [column * COLUMN_M, y(i, of)]
    marks.push(
      {
        kind: 'polygon',
        layer: 'OUTLINE',
        points: rectangle(x, at - BOX.heightM / 2, x + BOX.widthM, at + BOX.heightM / 2),
        fill: 'gravel',
      },
      label(x + BOX.widthM / 2, at + 0.08, name, 'middle'),
      label(x + BOX.widthM / 2, at - 0.14, flow === null ? '' : write(flow), 'middle', 'LEVELS'),
    )
  }
  const middle = -(rows * ROW_M) / 2
  const join = (fromX: number, fromY: number, toX: number, toY: number, arrow: boolean) => {
    const bend = (fromX + toX) / 2
    marks.push({
      kind: 'line',
      layer: 'WATER',
      points: [
        { xM: fromX, yM: fromY },
        { xM: bend, yM: fromY },
        { xM: bend, yM: toY },
        { xM: toX, yM: toY },
      ],
      arrow,
    })
  }
  const layout = [intakes, pumps, ends]
  layout.forEach((nodes, column) => nodes.forEach((node, i) => box(column, i, nodes.length, node)))
  // every column meets in one header before the next
  layout.slice(1).forEach((nodes, column) => {
    const header = column * COLUMN_M + (BOX.widthM + COLUMN_M) / 2
    layout[column]!.forEach((_, i) =>
      join(column * COLUMN_M + BOX.widthM, y(i, layout[column]!.length), header, middle, false),
    )
    nodes.forEach((_, i) => join(header, middle, (column + 1) * COLUMN_M, y(i, nodes.length), true))
  })
  marks.push(label(2 * COLUMN_M + BOX.widthM / 2, -rows * ROW_M - 0.15, input.names.text('back-to-pond'), 'middle'))
  return { ...sheetOf(input.names.text('flow-diagram'), marks), notToScale: true }
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
