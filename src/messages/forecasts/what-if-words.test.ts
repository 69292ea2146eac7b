import { textsIn } from '@/messages/texts'
import type { Measures } from '@/core/ecosystem/measures'
import { verdictLines } from './what-if-words'

const measures = (changes: Partial<Measures>): Measures => ({
  peakTan: 0.3,
  peakTanDay: 5,
  peakNh3: 0.01,
  peakNitrite: 0.2,
  peakNitriteDay: 8,
  leastOxygen: 7,
  fishLost: 0,
  harmDays: 0,
  murkyDays: 0,
  clearDay: 0,
  meanClarityM: 1,
  mostStringAlgae: 5,
  leastBacteria: 0.2,
  ...changes,
})
const members = (changes: Partial<Measures>) => Array.from({ length: 10 }, () => measures(changes))
const show = (value: number) => `${value.toFixed(1)} mg/L`

describe('the verdict of a what-if', () => {
  it('says what is better and what is worse, with both figures', () => {
    const lines = verdictLines(
      members({ peakTan: 1.4, leastOxygen: 7 }),
      members({ peakTan: 0.4, leastOxygen: 5 }),
      60,
      show,
      textsIn('en'),
    )
    expect(lines).toEqual([
      {
        kind: 'better',
        text: 'ammonia peaks lower: 0.4 mg/L instead of 1.4 mg/L',
        sure: 'in 10 of 10 runs; 79 to 100 % of such years',
      },
      {
        kind: 'worse',
        text: 'less oxygen in the worst night: 5.0 mg/L instead of 7.0 mg/L',
        sure: 'in 10 of 10 runs; 79 to 100 % of such years',
      },
    ])
  })
  it('keeps quiet about what is small, or shows in hardly more than half of the runs', () => {
    expect(verdictLines(members({ peakTan: 0.3 }), members({ peakTan: 0.31 }), 60, show, textsIn('en'))).toEqual([])
    const mixed = members({}).map((m, i) => ({ ...m, peakTan: i < 6 ? 0.1 : 0.9 }))
    expect(
      verdictLines(members({ peakTan: 0.5 }), mixed, 60, show, textsIn('en')).filter((l) => l.text.includes('ammonia')),
    ).toEqual([])
  })
  it('counts runs one by one with ties apart: 41 of 60 are not told as 84 of 100', () => {
    const first = Array.from({ length: 60 }, () => measures({ peakTan: 1 }))
    const second = first.map((m, i) => (i < 41 ? { ...m, peakTan: 0.2 } : m))
    expect(verdictLines(first, second, 60, show, textsIn('en')).map((l) => l.sure)).toEqual([
      'in 41 of 60 runs; no difference in 19; 58 to 77 % of such years',
    ])
  })
  it('says first that fish die', () =>
    expect(
      verdictLines(members({}), members({ fishLost: 0.3, harmDays: 9 }), 60, show, textsIn('en')).map((l) => l.text),
    ).toEqual(['fish die: 30 % instead of none', 'more days on which the water harms fish: 9 days instead of 0 days']))
  it('says nothing of what an older comparison does not know', () => {
    const older = members({}).map(({ fishLost: _unknown, ...known }) => known as Measures)
    expect(verdictLines(older, members({ fishLost: 0.3 }), 60, show, textsIn('en'))).toEqual([])
  })
  it('says when water does not clear at all', () =>
    expect(
      verdictLines(
        members({ clearDay: 60, murkyDays: 60 }),
        members({ clearDay: 12, murkyDays: 8 }),
        60,
        show,
        textsIn('en'),
      ).map((l) => l.text),
    ).toEqual([
      'clear sooner: after 12 days, instead of not within this time',
      'fewer murky days: 8 days instead of 60 days',
    ]))
})
