import { diagnose } from '../../core/diagnosis/diagnose'
import { allFindings, DiagnosisInput, knownFindings, remedyPlan, waterAheadOf, type DiagnosisFacts } from './diagnosis'
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
  freshShare: 0,
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
  it('knows of fresh water and of a floor stirred yesterday by the visits', () => {
    const known = knownFindings(facts({ freshShare: 0.2, visits: [{ day: '2027-07-09', jobKey: 'rescue-floor' }] }))
    expect([known['filled-lately']?.found, known['floor-stirred']?.found, known.unserviced?.found]).toEqual([
      true,
      true,
      false,
    ])
    // what is not on file is not known
    const nothing = knownFindings(facts())
    expect([nothing['filled-lately'], nothing['floor-stirred'], nothing.unserviced]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
  })
  it.each([
    ['gh', 2, 'gh-low'],
    ['freeChlorine', 0.1, 'chlorine-found'],
    ['nitrate', 80, 'nitrate-high'],
    ['orthophosphate', 1, 'phosphate-high'],
    ['salinity', 0.003, 'salt-high'],
  ] as const)('a test of %s %d is a finding', (kind, value, finding) =>
    expect(knownFindings(facts({ readings: { [kind]: read(value) } }))[finding]?.found).toBe(true),
  )
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

const WARM = () => 20

describe('the plan', () => {
  it('is dated, and ends with a look whether it came true', () => {
    const plan = remedyPlan('green-filter-small', '2027-07-10', WARM)
    expect(plan.at(-1)).toMatchObject({ times: [{ from: '2027-07-31' }], jobKey: 'routine' })
    expect(plan.at(-1)!.title).toMatch(/^diagnosis.remedyTask.check/)
    for (const { times } of plan) for (const { from, to } of times) expect(from <= to).toBe(true)
  })
  it('promises nothing where a vet must look', () =>
    expect(
      remedyPlan('infection', '2027-07-10', WARM).some((s) => s.title.startsWith('diagnosis.remedyTask.check')),
    ).toBe(false))
  it('"test every day" is a task for every day, and the binder is given daily', () => {
    const plan = remedyPlan('ammonia-overload', '2027-07-10', WARM)
    const daily = plan.find(({ title }) => title === 'diagnosis.remedies.testEveryDay')!
    expect(daily.times.map(({ from }) => from)).toEqual([11, 12, 13, 14, 15, 16, 17].map((day) => `2027-07-${day}`))
    expect(plan.find(({ dose }) => dose === 'binder')!.times.length).toBeGreaterThanOrEqual(3)
  })
  it.each(['ammonia-poisoning', 'nitrite-poisoning', 'ammonia-overload'] as const)(
    '%s: air, no feed and the firm’s binder are in the plan',
    (cause) =>
      expect(remedyPlan(cause, '2027-07-10', WARM)).toContainEqual(
        expect.objectContaining({ title: 'diagnosis.remedies.airBinderNoFeed', dose: 'binder' }),
      ),
  )
  it('looks after bacteria when the water has been warm enough, by its weeks', () => {
    const cold = waterAheadOf('2027-12-01', [
      ...Array<number>(16).fill(2),
      ...Array<number>(28).fill(18),
      ...Array<number>(8).fill(3),
    ])
    expect(remedyPlan('settling-in', '2027-12-01', cold).at(-1)!.times[0]!.from > '2028-05-01').toBe(true)
  })
  it('is refused for a cause or a finding that there is not', () => {
    expect(DiagnosisInput.safeParse({ findings: {}, cause: 'witchcraft' }).error?.issues[0]!.message).toBe(
      'diagnosis.problems.chooseCause',
    )
    expect(DiagnosisInput.safeParse({ findings: { nothing: true }, cause: 'duckweed' }).success).toBe(false)
  })
})
