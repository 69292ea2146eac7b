import Papa from 'papaparse'
import { said, type Said } from './said'
import type { ZodError } from 'zod'

/** A row of a file that does not read. */
export interface CsvRowProblem {
  /** Line of the file, counting the heading as 1. */
  readonly line: number
  readonly message: Said
}

export interface CsvRow {
  readonly line: number
  /** A cell's text by its column; '' when there is none. */
  readonly cell: (column: string) => string
  /** Whether the file has that column at all: one that it leaves out says nothing. */
  readonly has: (column: string) => boolean
}

/**
 * Rows as CSV. A cell that a spreadsheet would run as a formula is written with an apostrophe before it; reading
 * takes it off again.
 */
export const csvOf = <Row extends object>(rows: readonly Row[], columns: readonly (keyof Row & string)[]): string =>
  `${Papa.unparse([...rows], { columns: [...columns], escapeFormulae: true })}\n`

const LONGEST_HEADING = 4000

/**
 * Rows of a CSV with a heading, whatever its delimiter and the case of its columns.
 * @param columns all that are known, to name them when one is missing
 * @param needed those that a file cannot do without
 */
export function readCsv(
  text: string,
  columns: readonly string[],
  needed: readonly string[],
): { rows: CsvRow[]; problems: CsvRowProblem[] } {
  // a heading that no table has would be taken apart for seconds
  const heading = text.slice(0, LONGEST_HEADING + 1)
  if (heading.length > LONGEST_HEADING && !/[\r\n]/.test(heading.trimStart()))
    return {
      rows: [],
      problems: [{ line: 1, message: said('kit.problems.headingTooLong', { columns: columns.join(', ') }) }],
    }
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim().toLowerCase(),
  })
  const missing = needed.filter((name) => !parsed.meta.fields?.includes(name.toLowerCase()))
  if (missing.length > 0)
    return {
      rows: [],
      problems: [
        {
          line: 1,
          message: said('kit.problems.headingLacksColumns', {
            missing: missing.join(', '),
            columns: columns.join(', '),
          }),
        },
      ],
    }
  const rows = parsed.data.map((cells, i) => ({
    line: i + 2,
    cell: (column: string) => plain(cells[column.toLowerCase()] ?? ''),
    has: (column: string) => Object.hasOwn(cells, column.toLowerCase()),
  }))
  return { rows, problems: [] }
}

const plain = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@\t\r])/, '')

/** A number with a point or a decimal comma; null when the cell is empty, NaN when it is something else. */
export function csvNumber(cell: string): number | null {
  const text = cell.trim()
  if (text === '') return null
  return /^-?\d+([.,]\d+)?(e[+-]?\d+)?$/i.test(text) ? Number(text.replace(',', '.')) : Number.NaN
}

/** What a schema finds wrong in a row, each with its column. */
export const zodRowProblems = (line: number, error: ZodError): CsvRowProblem[] =>
  error.issues.map(({ path, message }) => ({
    line,
    message: said('kit.problems.atColumn', { column: path.join('.'), problem: { said: message } }),
  }))
