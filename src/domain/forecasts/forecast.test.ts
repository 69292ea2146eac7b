import { HAZARD_KEYS, OUTLOOK_OUTPUTS, type Hazard } from '../../core/assimilation/hazards'
import type { Outlook, Risk } from '../../core/assimilation/outlook'
import { risksOf, riskOf } from './forecast'
import { recordOf } from '../../core/numeric/record-of'

const band = { p10: [1], p50: [2], p90: [3] }
const outlook = (risks: Partial<Record<Hazard, Risk>>): Outlook => ({
  from: '2027-07-01',
  bands: recordOf(OUTLOOK_OUTPUTS, () => band),
  risks: recordOf(HAZARD_KEYS, (h) => risks[h] ?? { week: 0, whole: 0, day: null }),
})
const koi = [{ species: 'koi' as const, count: 5, lengthM: 0.4 }]

describe('risks', () => {
  it('come by what kills first, with their likeliest day', () => {
    const risks = risksOf(
      outlook({ murk: { week: 0.9, whole: 1, day: 0 }, oxygen: { week: 0.6, whole: 0.8, day: 4 } }),
      { use: 'many-fish', fish: koi },
    )
    expect(risks.map((w) => w.hazard)).toEqual(['oxygen', 'murk'])
    expect(risks[0]).toMatchObject({ day: '2027-07-05', jobKey: 'routine' })
  })
  it('are none of what is unlikely, and none of fish where there are none', () => {
    expect(risksOf(outlook({ nitrite: { week: 0.1, whole: 0.2, day: 3 } }), { use: 'koi', fish: koi })).toEqual([])
    expect(risksOf(outlook({ oxygen: { week: 1, whole: 1, day: 1 } }), { use: 'wildlife', fish: [] })).toEqual([])
    expect(risksOf(outlook({ murk: { week: 1, whole: 1, day: 1 } }), { use: 'wildlife', fish: [] })).toHaveLength(1)
  })
  it('weigh more where more is at stake, and together more than one alone', () => {
    const of = (use: 'koi' | 'wildlife', risks: Parameters<typeof outlook>[0]) =>
      riskOf(risksOf(outlook(risks), { use, fish: koi }))
    const risk = { week: 0.5, whole: 0.8, day: 2 }
    expect(of('koi', { oxygen: risk })).toBeGreaterThan(of('wildlife', { oxygen: risk }))
    expect(of('koi', { oxygen: risk, nitrite: risk })).toBeGreaterThan(of('koi', { oxygen: risk }))
    expect(of('koi', {})).toBe(0)
  })
})
