import fc from 'fast-check'
import { csvNumber, csvOf, readCsv } from './csv'
import { withEnglish } from '../../../tests/fixtures/in-words'

const COLUMNS = ['site', 'note', 'count'] as const
/** Text as people type it, with everything that a CSV or a spreadsheet could trip over. */
const text = fc
  .array(fc.constantFrom('a', 'ß', '’', ' ', ',', ';', '"', '=', '+', '-', '@', '\n', '0', '“', '\t'), {
    maxLength: 14,
  })
  .map((signs) => signs.join('').trim())
  .filter((s) => s !== '')

describe('a CSV', () => {
  it('comes back as it went out, whatever is in its cells', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ site: text, note: text, count: fc.integer() }), { minLength: 1, maxLength: 8 }),
        (rows) => {
          const { rows: back, problems } = readCsv(csvOf(rows, COLUMNS), COLUMNS, ['site'])
          expect(problems).toEqual([])
          expect(
            back.map(({ cell }) => ({ site: cell('site'), note: cell('note'), count: Number(cell('count')) })),
          ).toEqual(rows)
        },
      ),
    ))
  it('never lets a spreadsheet run what somebody typed', () => {
    const csv = csvOf([{ site: '=HYPERLINK("x")', note: '@sum', count: -3 }], COLUMNS)
    expect(csv.split('\n')[1]).toBe(`"'=HYPERLINK(""x"")","'@sum",-3`)
  })
  it.each([
    ['a byte order mark', '\uFEFFsite,note\nA,b'],
    ['semicolons', 'site;note\nA;b'],
    ['headings in capitals and spaces', ' Site , NOTE\nA,b'],
    ['empty lines between', 'site,note\n\n  \nA,b\n\n'],
  ])('is read with %s', (_, csv) => {
    const { rows } = readCsv(csv, COLUMNS, ['site', 'note'])
    expect(rows.map(({ cell }) => [cell('site'), cell('note'), cell('count')])).toEqual([['A', 'b', '']])
  })
  it('names the columns it lacks and all it could have', () =>
    expect(withEnglish(readCsv('site\nA', COLUMNS, ['site', 'note', 'count']).problems)).toEqual([
      { line: 1, message: 'The header row lacks note, count. Columns: site, note, count.' },
    ]))
  it('counts its lines with the heading', () =>
    expect(readCsv('site\nA\nB', COLUMNS, ['site']).rows.map((r) => r.line)).toEqual([2, 3]))
})

describe('a number in a cell', () => {
  it.each([
    ['12.5', 12.5],
    ['12,5', 12.5],
    [' -3 ', -3],
    ['1e3', 1000],
  ])('“%s” is %d', (cell, value) => expect(csvNumber(cell)).toBe(value))
  it('is none in an empty one, and not a number where it is something else', () => {
    expect(csvNumber('  ')).toBeNull()
    for (const cell of ['12 m', '1.000,5', 'ten', '--1', '']) if (cell !== '') expect(csvNumber(cell)).toBeNaN()
  })
})
