import { csvNumber, csvOf, readCsv, type CsvRowProblem } from './csv'
import { ServicePlan, type ServiceLine } from './service-plan'

export const SERVICE_CSV_COLUMNS = ['site', 'pond', 'job', 'every_days', 'from', 'to', 'starts', 'ends', 'price'] as const

export interface PondPlan {
  readonly site: string
  readonly pond: string
  readonly lines: ServicePlan
}

export const servicePlansCsv = (plans: readonly PondPlan[]): string =>
  csvOf(
    plans.flatMap(({ site, pond, lines }) =>
      lines.map((line) => ({
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
export function readServicePlansCsv(text: string): { plans: PondPlan[]; problems: CsvRowProblem[] } {
  const file = readCsv(text, SERVICE_CSV_COLUMNS, ['site', 'pond', 'job'])
  const groups = new Map<string, { site: string; pond: string; lines: { line: number; value: Record<keyof ServiceLine, unknown> }[] }>()
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
    const key = `${cell('site')}\u0000${cell('pond')}`
    const group = groups.get(key) ?? { site: cell('site'), pond: cell('pond'), lines: [] }
    group.lines.push({ line, value })
    groups.set(key, group)
  }
  const plans: PondPlan[] = []
  const problems: CsvRowProblem[] = [...file.problems]
  for (const { site, pond, lines } of groups.values()) {
    const read = ServicePlan.safeParse(lines.map((l) => l.value))
    if (read.success) plans.push({ site, pond, lines: read.data })
    else
      for (const issue of read.error.issues)
        problems.push({ line: lines[Number(issue.path[0])]?.line ?? lines[0].line, message: `${issue.path.slice(1).join('.') || 'plan'}: ${issue.message}` })
  }
  return { plans, problems }
}
