import { PUMP_RANGE, type CataloguePump } from '../../core/filter/flow/pump-catalogue'
import { csvNumber, readCsv, type CsvRow, type CsvRowProblem } from '../shared/csv'
import { said, type Said } from '../shared/said'

/**
 * One row a curve point; the first row of a pump carries its power, price and outlet, and the head that it needs at
 * its suction where it is dry-mounted.
 */
export const PUMP_CSV_COLUMNS = ['name', 'flow_m3_h', 'head_m', 'power_W', 'price', 'outlet_mm', 'npsh_m'] as const

export interface PumpCsvOutcome {
  readonly pumps: readonly CataloguePump[]
  readonly problems: readonly CsvRowProblem[]
}

interface Row {
  readonly line: number
  readonly name: string
  readonly flow: number
  readonly head: number
  readonly power: number | null
  readonly price: number | null
  readonly outlet: number | null
  readonly npsh: number | null
}

const MIN_POINTS = 2
const MAX_PUMPS = 500
const RECOMMENDED = [0.33, 0.83] as const

/**
 * Reads pump curves from a CSV. Bad rows are named by line and left out; a pump with fewer than two good points is
 * left out and named.
 */
export function readPumpCsv(text: string): PumpCsvOutcome {
  const file = readCsv(text, PUMP_CSV_COLUMNS, ['name', 'flow_m3_h', 'head_m'])
  const problems = [...file.problems]
  const rows = file.rows.flatMap((row) => readRow(row, problems))
  const byName = new Map<string, Row[]>()
  for (const row of rows) byName.set(row.name, [...(byName.get(row.name) ?? []), row])
  const pumps = [...byName].slice(0, MAX_PUMPS).flatMap(([name, own]) => buildPump(name, own, problems))
  return { pumps, problems: problems.sort((a, b) => a.line - b.line) }
}

function readRow({ line, cell }: CsvRow, problems: CsvRowProblem[]): Row[] {
  const name = cell('name')
  const say = (message: Said): Row[] => {
    problems.push({ line, message })
    return []
  }
  if (name === '' || name.length > 60) return say(said('prices.problems.pumpName'))
  const within = (column: string, [min, max]: readonly [number, number], factor = 1) => {
    const value = csvNumber(cell(column))
    if (value === null) return null
    return value * factor >= min && value * factor <= max ? value * factor : Number.NaN
  }
  const flow = within('flow_m3_h', PUMP_RANGE.flowM3PerH)
  const head = within('head_m', PUMP_RANGE.headM)
  if (flow === null || Number.isNaN(flow))
    return say(said('prices.problems.pumpFlow', { cell: cell('flow_m3_h'), most: PUMP_RANGE.flowM3PerH[1] }))
  if (head === null || Number.isNaN(head))
    return say(said('prices.problems.pumpHead', { cell: cell('head_m'), most: PUMP_RANGE.headM[1] }))
  const power = within('power_W', PUMP_RANGE.powerW)
  const price = within('price', PUMP_RANGE.priceMinor, 100)
  const outlet = within('outlet_mm', PUMP_RANGE.outletM, 0.001)
  if (Number.isNaN(power)) return say(said('prices.problems.pumpPower', { cell: cell('power_W') }))
  if (Number.isNaN(price)) return say(said('prices.problems.pumpPrice', { cell: cell('price') }))
  if (Number.isNaN(outlet)) return say(said('prices.problems.pumpOutlet', { cell: cell('outlet_mm') }))
  const npsh = within('npsh_m', PUMP_RANGE.npshM)
  if (Number.isNaN(npsh)) return say(said('prices.problems.pumpNpsh', { cell: cell('npsh_m') }))
  return [{ line, name, flow, head, power, price, outlet, npsh }]
}

function buildPump(name: string, rows: readonly Row[], problems: CsvRowProblem[]): CataloguePump[] {
  const points = [...rows].sort((a, b) => a.flow - b.flow)
  const good: Row[] = []
  for (const row of points) {
    const before = good[good.length - 1]
    if (!before || (row.flow > before.flow && row.head <= before.head)) good.push(row)
    else
      problems.push({
        line: row.line,
        message: said('prices.problems.headMustFallFlowRises', { name }),
      })
  }
  const power = rows.find((row) => row.power !== null)?.power ?? null
  const line = rows[0]!.line
  const npsh = rows.find((row) => row.npsh !== null)?.npsh ?? null
  if (good.length < MIN_POINTS) {
    problems.push({ line, message: said('prices.problems.pumpNeedsLeastPointsCurve', { name, minPoints: MIN_POINTS }) })
    return []
  }
  if (power === null) {
    problems.push({ line, message: said('prices.problems.powerWMissingEveryRow', { name }) })
    return []
  }
  const max = good[good.length - 1]!.flow
  return [
    {
      id: `own:${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
      name,
      powerW: power,
      priceMinor: Math.round(rows.find((row) => row.price !== null)?.price ?? 0),
      curve: good.map((row) => ({ flowM3PerH: row.flow, headM: row.head })),
      recommended: [Number((max * RECOMMENDED[0]).toFixed(2)), Number((max * RECOMMENDED[1]).toFixed(2))],
      outletM: rows.find((row) => row.outlet !== null)?.outlet ?? 0.05,
      ...(npsh === null ? {} : { dryNpshM: npsh }),
    },
  ]
}
