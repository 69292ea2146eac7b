import { notedLines, officeLines, partWords } from './report-words'
import { reportLetter } from './report-letter'
import type { VisitReport } from './visit-report'
import type { WaterMeaning } from './water-meaning'

const report = (over: Partial<VisitReport> = {}): VisitReport => ({
  visit: {} as VisitReport['visit'],
  sections: [
    {
      title: 'Rinse',
      done: [
        { title: 'Rinse the falls', remark: '', figures: [] },
        { title: 'Rinse the floor', remark: '', figures: [] },
      ],
    },
  ],
  leftOut: [{ title: 'Foam', reason: 'None wanted' }],
  notes: ['The gate sticks'],
  fishOut: 8,
  fishBack: 8,
  losses: 0,
  plants: [{ action: 'divide', species: ['Sweet flag', 'Soft rush'] }],
  crew: ['Tamsy'],
  overrides: [{ title: 'Fish back', reason: 'Tank too warm', by: 'Hale' }],
  disputes: [{ title: 'Raise KH', by: 'Tamsy' }],
  twice: [{ title: 'Load the kit', by: 'Hale', said: 'no foam' }],
  findings: [
    { text: 'Breather valve fouled', becomes: 'follow-up' },
    { text: 'A second skimmer', becomes: 'quote' },
    { text: 'Divide the iris', becomes: 'next-season' },
  ],
  parts: [
    { name: 'UV lamp', warrantyUntil: '2029-03-20' },
    { name: 'Pads', warrantyUntil: null },
  ],
  time: [
    { name: 'Tamsy', minutes: 135 },
    { name: 'Hale', minutes: null },
  ],
  customerNote: 'Your pond is clean.',
  followUps: [{ title: 'Test ammonia', from: '2027-03-27', to: '2027-04-03' }],
  ...over,
})
const nothing = {
  plants: [],
  sections: [],
  leftOut: [],
  notes: [],
  overrides: [],
  findings: [],
  parts: [],
  followUps: [],
}
const meaning = (over: Partial<WaterMeaning> = {}) => ({ kind: 'tan', after: 0.3, noneFound: false, band: 'watch', ...over }) as unknown as WaterMeaning

describe('what a report notes', () => {
  it('says what was left out, who passed a stop and why, and what becomes of each finding', () =>
    expect(notedLines(report())).toEqual([
      'Left out: Foam (None wanted)',
      'Stop passed by Hale at “Fish back”: Tank too warm',
      'Plants divided: Sweet flag, Soft rush',
      'Found, and we come back for it: Breather valve fouled',
      'We suggest: A second skimmer',
      'For next season: Divide the iris',
      'The gate sticks',
    ]))
  it('keeps what the customer need not know for the office', () => {
    const office = officeLines(report()).join('\n')
    expect(office).toContain('Tamsy did “Raise KH” without signal')
    expect(office).toContain('Hale answered “Load the kit” too: no foam')
    expect(office).toContain('Tamsy: 2 h 15 min')
    expect(office).toContain('Hale: time not ended')
    const customers = [...notedLines(report()), reportLetter(report(), [], 'metric')].join('\n')
    expect(customers).not.toMatch(/without signal|answered|time not ended/)
  })
  it('names warranties', () => expect(report().parts.map(partWords)).toEqual(['UV lamp, under warranty until Tuesday, 20 March 2029', 'Pads']))
})

describe('the report as a letter', () => {
  it('has its blocks in order, with figures in the reader’s units', () => {
    const letter = reportLetter(report(), [meaning(), meaning({ kind: 'waterTemp', after: 10, band: 'fine' } as never)], 'us')
    const order = ['Your pond is clean.', 'What was done', 'The water', 'Parts renewed', 'Noted', 'Next'].map((title) => letter.indexOf(title))
    expect(order).toEqual([...order].sort((a, b) => a - b))
    expect(order[0]).toBe(0)
    expect(letter).toContain('– Rinse: rinse the falls; rinse the floor')
    expect(letter).toContain('50.0 °F')
    expect(letter).toContain('Test ammonia, between Saturday, 27 March 2027 and Saturday, 3 April 2027')
  })
  it('leaves out blocks that have nothing to say, and says "none found" for what no test saw', () => {
    expect(reportLetter(report(nothing), [], 'metric')).toBe('Your pond is clean.')
    expect(reportLetter(report(nothing), [meaning({ noneFound: true } as never)], 'metric')).toContain('none found')
  })
  it('holds no blank that mail programs show as a box', () => expect(reportLetter(report(), [meaning()], 'metric')).not.toContain('\u00a0'))
})
