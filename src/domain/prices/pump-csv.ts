import { PUMP_RANGE, type CataloguePump } from '../../core/filter/flow/pump-catalogue'
import { csvNumber, readCsv, type CsvRow, type CsvRowProblem } from '../shared/csv'

/** One row a curve point; the first row of a pump carries its power, price and outlet. */
export const PUMP_CSV_COLUMNS = ['name', 'flow_m3_h', 'head_m', 'power_W', 'price', 'outlet_mm'] as const

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
  const say = (message: string): Row[] => {
    problems.push({ line, message })
    return []
  }
  if (name === '' || name.length > 60) return say('name: give each point the name of its pump, at most 60 letters.')
  const within = (column: string, [least, most]: readonly [number, number], factor = 1) => {
    const value = csvNumber(cell(column))
    if (value === null) return null
    return value * factor >= least && value * factor <= most ? value * factor : Number.NaN
  }
  const flow = within('flow_m3_h', PUMP_RANGE.flowM3PerH)
  const head = within('head_m', PUMP_RANGE.headM)
  if (flow === null || Number.isNaN(flow))
    return say(`flow_m3_h: “${cell('flow_m3_h')}” is not a flow between 0 and ${PUMP_RANGE.flowM3PerH[1]} m³/h.`)
  if (head === null || Number.isNaN(head))
    return say(`head_m: “${cell('head_m')}” is not a head between 0 and ${PUMP_RANGE.headM[1]} m.`)
  const power = within('power_W', PUMP_RANGE.powerW)
  const price = within('price', PUMP_RANGE.priceMinor, 100)
  const outlet = within('outlet_mm', PUMP_RANGE.outletM, 0.001)
  if (Number.isNaN(power)) return say(`power_W: “${cell('power_W')}” is not a power between 1 and 100 000 W.`)
  if (Number.isNaN(price)) return say(`price: “${cell('price')}” is not a price.`)
  if (Number.isNaN(outlet)) return say(`outlet_mm: “${cell('outlet_mm')}” is not a bore between 10 and 500 mm.`)
  return [{ line, name, flow, head, power, price, outlet }]
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
        message: `${name}: the head must fall as the flow rises; this point does not fit the one before it.`,
      })
  }
  const power = rows.find((row) => row.power !== null)?.power ?? null
  const line = rows[0]!.line
  if (good.length < MIN_POINTS) {
    problems.push({ line, message: `${name}: a pump needs at least ${MIN_POINTS} points of its curve.` })
    return []
  }
  if (power === null) {
    problems.push({ line, message: `${name}: power_W is missing on every row of this pump.` })
    return []
  }
  const most = good[good.length - 1]!.flow
  return [
    {
      id: `own:${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
      name,
      powerW: power,
      priceMinor: Math.round(rows.find((row) => row.price !== null)?.price ?? 0),
      curve: good.map((row) => ({ flowM3PerH: row.flow, headM: row.head })),
      recommended: [Number((most * RECOMMENDED[0]).toFixed(2)), Number((most * RECOMMENDED[1]).toFixed(2))],
      outletM: rows.find((row) => row.outlet !== null)?.outlet ?? 0.05,
    },
  ]
}
