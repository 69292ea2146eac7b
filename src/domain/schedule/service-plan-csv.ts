import { csvNumber, csvOf, readCsv, type CsvRowProblem } from '../shared/csv'
import { ServicePlan, type ServiceLine } from './service-plan'
import { said } from '../shared/said'

const SERVICE_CSV_COLUMNS = [
  'customer',
  'site',
  'pond',
  'job',
  'every_days',
  'from',
  'to',
  'starts',
  'ends',
  'price',
] as const

export interface PondPlan {
  /** '' where a file does not say whose pond it is. */
  readonly customer: string
  readonly site: string
  readonly pond: string
  readonly lines: ServicePlan
}

export const servicePlansCsv = (plans: readonly PondPlan[]): string =>
  csvOf(
    plans.flatMap(({ customer, site, pond, lines }) =>
      lines.map((line) => ({
        customer,
        site,
        pond,
        job: line.job,
        every_days: line.everyDays ?? '',
        from: line.from ?? '',
        to: line.to ?? '',
        starts: line.starts ?? '',
        ends: line.ends ?? '',
        price: line.priceMinor === null ? '' : (line.priceMinor / 100).toFixed(2),
      })),
    ),
    SERVICE_CSV_COLUMNS,
  )

/**
 * Service plans out of a CSV: all lines of one pond together make its plan.
 * A pond with a line that does not read keeps what it has, and the line is named.
 */
export function readServicePlansCsv(text: string): {
  plans: (PondPlan & { readonly line: number })[]
  problems: CsvRowProblem[]
} {
  const file = readCsv(text, SERVICE_CSV_COLUMNS, ['site', 'pond', 'job'])
  const groups = new Map<
    string,
    {
      customer: string
      site: string
      pond: string
      lines: { line: number; value: Record<keyof ServiceLine, unknown> }[]
    }
  >()
  for (const { line, cell } of file.rows) {
    const price = csvNumber(cell('price'))
    const every = csvNumber(cell('every_days'))
    const value = {
      job: cell('job'),
      everyDays: every,
      from: cell('from') || null,
      to: cell('to') || null,
      starts: cell('starts') || null,
      ends: cell('ends') || null,
      priceMinor: price === null ? null : Math.round(price * 100),
    }
    const names = { customer: cell('customer'), site: cell('site'), pond: cell('pond') }
    const key = Object.values(names).join('\u0000')
    const group = groups.get(key) ?? { ...names, lines: [] }
    group.lines.push({ line, value })
    groups.set(key, group)
  }
  const plans: (PondPlan & { readonly line: number })[] = []
  const problems: CsvRowProblem[] = [...file.problems]
  for (const { customer, site, pond, lines } of groups.values()) {
    const read = ServicePlan.safeParse(lines.map((l) => l.value))
    if (read.success) plans.push({ customer, site, pond, lines: read.data, line: lines[0]!.line })
    else
      for (const issue of read.error.issues)
        problems.push({
          line: lines[Number(issue.path[0])]?.line ?? lines[0]!.line,
          message: said('kit.problems.atColumn', {
            column: issue.path.slice(1).join('.') || 'plan',
            problem: { said: issue.message },
          }),
        })
  }
  return { plans, problems }
}
