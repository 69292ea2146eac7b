import { textsIn } from '@/messages/texts'
import { customerWords, doseLines, fishWords, notedLines, officeLines, partWords } from './report-words'
import { reportLetter } from './report-message'
import type { VisitReport } from '../../domain/visits/visit-report'
import type { WaterMeaning } from '../../domain/water/water-meaning'
import { JOBS_IN_WORDS } from '../../../tests/fixtures/jobs-in-words'

const t = textsIn('en')
const report = (over: Partial<VisitReport> = {}): VisitReport => ({
  visit: { job: { name: 'Spring cleanout' }, endingReason: '' } as unknown as VisitReport['visit'],
  day: '2027-03-20',
  sections: [
    {
      title: 'Rinse',
      done: [
        {
          title: 'Rinse the falls',
          remark: { choice: '', fish: [], losses: 0, signedBy: '' },
          said: 'lip loose',
          figures: [],
        },
        { title: 'Rinse the floor', remark: { choice: '', fish: [], losses: 0, signedBy: '' }, said: '', figures: [] },
      ],
    },
  ],
  leftOut: [{ title: 'Foam', reason: 'None wanted' }],
  notes: ['The gate sticks'],
  fishOut: 8,
  fishBack: 8,
  losses: 0,
  doses: [{ name: 'Sodium thiosulfate, crystals', amount: 37.5, unit: 'g' }],
  plants: [{ action: 'divide', species: ['acorus-calamus', 'juncus-effusus'] }],
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
  ending: null,
  advice: 'Feed lightly for a week.',
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
  doses: [],
  fishOut: null,
  fishBack: null,
}
const meaning = (over: Partial<WaterMeaning> = {}) =>
  ({ kind: 'tan', after: 0.3, noneFound: false, band: 'watch', ...over }) as unknown as WaterMeaning

describe('what a report notes', () => {
  it('says what was not done and which plants were cared for', () =>
    expect(notedLines(report(), t)).toEqual(['Not done this time: Foam', 'Plants divided: Sweet flag, Soft rush']))
  it('keeps what the customer need not know for the office: stops passed, raw findings, the crew’s own words', () => {
    const office = officeLines(report(), t).join('\n')
    for (const line of [
      'Stop overridden by Hale at “Fish back”: Tank too warm',
      'Follow-up visit: Breather valve fouled',
      'Skipped: Foam (None wanted)',
      'Rinse the falls: lip loose',
      'The gate sticks',
      'Tamsy did “Raise KH” without signal',
      'Hale also answered “Load the kit”: no foam',
      'Tamsy: 2 h 15 min',
      'Hale: end not recorded',
    ])
      expect(office).toContain(line)
    const customers = [
      ...notedLines(report(), t),
      ...customerWords(report(), [], 'metric', t),
      reportLetter(report(), [], 'metric', t),
    ].join('\n')
    expect(customers).not.toMatch(
      /without signal|answered|time not ended|Stop passed|Breather valve|None wanted|lip loose|gate sticks|second skimmer/,
    )
  })
  it('tells a customer of KH 1 and a lost fish, and not that all is well', () => {
    const kh = meaning({ kind: 'kh', after: 1, band: 'act' } as never)
    const words = customerWords(report({ losses: 1 }), [meaning(), kh], 'metric', t)
    expect(words).toEqual([
      'These test results need attention: KH 1\u00a0°dH.',
      'One fish was lost.',
      'Feed lightly for a week.',
    ])
    for (const job of JOBS_IN_WORDS)
      expect(job.customerNote).not.toMatch(/looked over|was done|as it should|is clean|is out of|were cut|is running/i)
  })
  it('tells in plain words why a visit was not done', () =>
    expect(customerWords(report({ ending: 'nobody-there' }), [], 'metric', t)).toEqual([
      'We could not do the spring cleanout this time: nobody was there.',
    ]))
  it('lists what was given', () => expect(doseLines(report())).toEqual(['Sodium thiosulfate, crystals: 37.5 g']))
  it('counts fish out and back, and says when they do not add up', () => {
    expect(fishWords(report(), t)).toBe('8 taken out, 8 put back.')
    expect(fishWords(report({ fishOut: 12, fishBack: 10, losses: 1 }), t)).toBe(
      '12 taken out, 10 put back, 1 lost, 1 unaccounted for.',
    )
    expect(fishWords(report({ fishOut: null, fishBack: null }), t)).toBeNull()
  })
  it('names warranties', () =>
    expect(report().parts.map((part) => partWords(part, t))).toEqual([
      'UV lamp, under warranty until Tuesday, 20 March 2029',
      'Pads',
    ]))
})

describe('the report as a letter', () => {
  it('has its blocks in order, with figures in the reader’s units', () => {
    const letter = reportLetter(
      report(),
      [meaning(), meaning({ kind: 'waterTemp', after: 10, band: 'fine' } as never)],
      'us',
      t,
    )
    const order = [
      'Feed lightly for a week.',
      'Work done',
      'Water',
      'Products used',
      'Fish',
      'Parts replaced',
      'Notes',
      'Next',
    ].map((title) => letter.indexOf(title))
    expect(order).toEqual([...order].sort((a, b) => a - b))
    expect(order[0]).toBe(0)
    expect(letter).toContain('– Rinse: rinse the falls; rinse the floor')
    expect(letter).toContain('50.0 °F')
    expect(letter).toContain('Test ammonia, between Saturday, 27 March 2027 and Saturday, 3 April 2027')
  })
  it('leaves out blocks that have nothing to say, and says "none found" for what no test saw', () => {
    expect(reportLetter(report(nothing), [], 'metric', t)).toBe('Feed lightly for a week.')
    expect(reportLetter(report(nothing), [meaning({ noneFound: true } as never)], 'metric', t)).toContain('none found')
  })
  it('holds no blank that mail programs show as a box', () =>
    expect(reportLetter(report(), [meaning()], 'metric', t)).not.toContain('\u00a0'))
})
