import { diagnose } from '../../core/diagnosis/diagnose'
import { allFindings, DiagnosisInput, knownFindings, remedyPlan, type DiagnosisFacts } from './diagnosis'
import { said } from '../shared/said'

const facts = (changes: Partial<DiagnosisFacts> = {}): DiagnosisFacts => ({
  today: '2027-07-10',
  readings: {},
  visits: [],
  builtOn: null,
  bed: null,
  tooManyFish: false,
  overhangingTrees: false,
  lamp: { fitted: false, overdue: false },
  ioniser: false,
  weather: [],
  dosedOn: null,
  loss: null,
  ...changes,
})
const read = (value: number, day = '2027-07-08') => ({ value, takenAt: `${day}T09:00:00Z` })

describe('what the file knows', () => {
  it('comes from fresh tests, with their day', () => {
    const known = knownFindings(facts({ readings: { dissolvedOxygen: read(4), nitrite: read(0.8), kh: read(6) } }))
    expect(known['oxygen-low']).toEqual({
      found: true,
      source: said('diagnosis.sources.test', { day: { day: '2027-07-08' } }),
    })
    expect(known['nitrite-high']?.found).toBe(true)
    expect(known['kh-low']?.found).toBe(false)
  })
  it('is not taken from old tests', () =>
    expect(knownFindings(facts({ readings: { nitrite: read(0.8, '2027-05-01') } }))['nitrite-high']).toBeUndefined())
  it('rules ammonia out only with pH and temperature', () => {
    expect(knownFindings(facts({ readings: { tan: read(0.4) } }))['ammonia-high']).toBeUndefined()
    expect(knownFindings(facts({ readings: { tan: read(1.5) } }))['ammonia-high']?.found).toBe(true)
    expect(
      knownFindings(facts({ readings: { tan: read(1.5), ph: read(8.6), waterTemp: read(24) } }))['ammonia-high']?.found,
    ).toBe(true)
    expect(
      knownFindings(facts({ readings: { tan: read(1.5), ph: read(7), waterTemp: read(12) } }))['ammonia-high']?.found,
    ).toBe(false)
  })
  it('sees a young filter, a small one, a recent clean, heat and rain', () => {
    const known = knownFindings(
      facts({
        builtOn: '2027-06-01',
        bed: { areaM2: 2, neededM2: 4, coverShare: 0.8 },
        visits: [{ day: '2027-06-20', jobKey: 'spring-cleanout' }],
        weather: [
          { date: '2027-07-07', maxAirC: 31, rainMm: 0 },
          { date: '2027-07-08', maxAirC: 32, rainMm: 30 },
        ],
      }),
    )
    expect(
      ['filter-new', 'filter-small', 'cleaned-lately', 'hot-days', 'rain-lately'].map(
        (key) => known[key as 'filter-new']?.found,
      ),
    ).toEqual([true, true, true, true, true])
    expect(known['plants-few']?.found).toBe(false)
  })
  it('takes the leak evidence of the pond page: 6 mm a day past evaporation is a fall, though less than 10 mm', () => {
    const known = knownFindings(facts({ loss: { mmPerD: 9, leakLikelihood: 0.93, leakLikelihoodPumpOff: 0.05 } }))
    expect([known['level-falls']?.found, known['bucket-falls']?.found, known['falls-pump-off']?.found]).toEqual([
      true,
      false,
      false,
    ])
    expect(diagnose(allFindings(known, {})).ranked[0]!.cause).toBe('leak-moving-water')
  })
  it('blames evaporation for what evaporation explains, and says neither where the logs do not', () => {
    const known = knownFindings(facts({ loss: { mmPerD: 12, leakLikelihood: 0.04, leakLikelihoodPumpOff: null } }))
    expect([known['level-falls']?.found, known['bucket-falls']?.found, known['falls-pump-off']]).toEqual([
      true,
      true,
      undefined,
    ])
    expect(diagnose(allFindings(known, {})).ranked[0]!.cause).toBe('evaporation')
    expect(
      knownFindings(facts({ loss: { mmPerD: 5, leakLikelihood: 0.35, leakLikelihoodPumpOff: null } }))['bucket-falls'],
    ).toBeUndefined()
  })
  it('sees KH of 1 and a pH of 6.2, and the cause with them', () => {
    const known = knownFindings(facts({ readings: { kh: read(1), ph: read(6.2) } }))
    expect(diagnose(allFindings(known, {})).ranked[0]!.cause).toBe('ph-crash')
  })
  it('gives way to what is said at the pond', () =>
    expect(
      allFindings(
        {
          'filter-new': { found: false, source: said('diagnosis.sources.filter') },
          'fish-many': { found: true, source: said('diagnosis.sources.fish') },
        },
        { 'filter-new': true },
      ),
    ).toEqual({
      'filter-new': true,
      'fish-many': true,
    }))
})

describe('the plan', () => {
  it('is dated, and ends with a look whether it came true', () => {
    const plan = remedyPlan('green-filter-small', '2027-07-10')
    expect(plan.at(-1)).toMatchObject({ from: '2027-07-31', jobKey: 'routine' })
    expect(plan.at(-1)!.title).toMatch(/^diagnosis.remedyTask.check/)
    plan.forEach((step) => expect(step.from <= step.to).toBe(true))
  })
  it('promises nothing where a vet must look', () =>
    expect(remedyPlan('infection', '2027-07-10').some((s) => s.title.startsWith('diagnosis.remedyTask.check'))).toBe(
      false,
    ))
  it('is refused for a cause or a finding that there is not', () => {
    expect(DiagnosisInput.safeParse({ findings: {}, cause: 'witchcraft' }).error?.issues[0]!.message).toBe(
      'diagnosis.problems.chooseCause',
    )
    expect(DiagnosisInput.safeParse({ findings: { nothing: true }, cause: 'duckweed' }).success).toBe(false)
  })
})
