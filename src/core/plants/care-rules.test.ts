import fc from 'fast-check'
import { addDays, weekOf, yearOf } from '../numeric/calendar'
import { USUAL_WEEKS } from '../season/usual-water'
import { CARE_ACTIONS, CARE_RULES, careTasks, PLANT_CONDITIONS, type CareYear, type GrowingPatch } from './care-rules'
import { PLANT_SPECIES } from './species'
import { dayOfDegreeDays, degreeDaysOf } from './degree-days'

const patch = (species: string, over: Partial<GrowingPatch> = {}): GrowingPatch => ({
  id: 'p1',
  species,
  count: 5,
  condition: 'good',
  conditionOn: null,
  stored: false,
  plantedOn: '2026-05-10',
  lastDone: {},
  ...over,
})
const window = (earliest: string, best: string, latest: string) => ({ earliest, best, latest })
const year = (today: string, over: Partial<CareYear> = {}): CareYear => ({
  today,
  seasonFrom: 1,
  weeklyWaterC: USUAL_WEEKS,
  dividing: window('2027-03-20', '2027-04-10', '2027-05-05'),
  tenderOut: window('2027-05-20', '2027-06-01', '2027-06-15'),
  frost: window('2027-10-20', '2027-11-05', '2027-11-25'),
  ...over,
})
const asked = (p: GrowingPatch, y: CareYear) => careTasks(p, y).map((t) => t.action)
const dueOf = (action: string, p: GrowingPatch, y: CareYear) => careTasks(p, y).find((t) => t.action === action)?.due

describe('the warmth of the water', () => {
  const flat = (waterC: number) => Array.from({ length: 52 }, () => waterC)
  it('gathers over the base: 70 degree-days of 15 °C water take ten days', () => {
    expect(degreeDaysOf(15)).toBe(7)
    expect(degreeDaysOf(3)).toBe(0)
    expect(dayOfDegreeDays(flat(15), '2027-06-01', { degreeDays: 70, minDays: 7 }, '2027-12-31')).toBe('2027-06-11')
  })
  it('waits its least days in warm water, and for another year in cold', () => {
    expect(dayOfDegreeDays(flat(28), '2027-06-01', { degreeDays: 70, minDays: 7 }, '2027-12-31')).toBe('2027-06-08')
    expect(dayOfDegreeDays(flat(7), '2027-06-01', { degreeDays: 70, minDays: 7 }, '2027-12-31')).toBeNull()
  })
  it('asks for 52 weeks', () =>
    expect(() => dayOfDegreeDays([1, 2], '2027-01-01', { degreeDays: 1, minDays: 0 }, '2027-12-31')).toThrow('52 weeks'))
  it('counts the last day of the year to the last week', () =>
    expect([weekOf('2027-01-01'), weekOf('2027-12-31'), weekOf('2028-12-31')]).toEqual([0, 51, 51]))
})

describe('seeders and spreaders', () => {
  it('a tall sedge is deadheaded before it seeds, then every week at the height of summer', () => {
    const first = dueOf('deadhead', patch('carex-elata'), year('2027-06-01'))!
    expect(first > '2027-05-15' && first < '2027-07-15').toBe(true)
    // 20 °C in July: 12 degree-days a day, 70 of them within the week that must pass
    expect(dueOf('deadhead', patch('carex-elata', { lastDone: { deadhead: '2027-07-15' } }), year('2027-07-16'))).toBe(
      '2027-07-22',
    )
  })
  it('asks for nothing of the kind in cold water, whatever was missed', () => {
    expect(asked(patch('carex-elata'), year('2027-12-20'))).not.toContain('deadhead')
  })
  it('a spreader is pulled back more often than a ground cover that stays', () => {
    const next = (species: string) =>
      dueOf('pull-back', patch(species, { lastDone: { 'pull-back': '2027-06-01' } }), year('2027-06-02'))!
    expect(next('mentha-aquatica') < next('juncus-ensifolius')).toBe(true)
  })
  it('floating plants are thinned, marginals are not', () => {
    expect(asked(patch('eichhornia-crassipes'), year('2027-07-01'))).toContain('thin')
    expect(asked(patch('iris-versicolor'), year('2027-07-01'))).not.toContain('thin')
  })
})

describe('by how they look', () => {
  it.each([
    ['rampant', 'pull-back'],
    ['pale', 'look-at-roots'],
    ['yellow', 'tidy'],
  ] as const)('%s asks for %s until it is done', (condition, action) => {
    const seen = patch('iris-versicolor', { condition, conditionOn: '2027-02-03' })
    expect(careTasks(seen, year('2027-02-05')).find((t) => t.action === action)).toMatchObject({
      due: '2027-02-03',
      why: 'condition',
    })
    expect(asked({ ...seen, lastDone: { [action]: '2027-02-04' } }, year('2027-02-05'))).not.toContain(action)
  })
  it('what is gone asks for nothing', () =>
    expect(asked(patch('carex-elata', { count: 0 }), year('2027-07-01'))).toEqual([]))
})

describe('dividing', () => {
  it('comes when crowded, or when its years have passed, within the spring window', () => {
    expect(asked(patch('iris-versicolor'), year('2027-03-01'))).not.toContain('divide')
    expect(
      careTasks(patch('iris-versicolor', { condition: 'crowded', conditionOn: '2026-09-01' }), year('2027-03-01')),
    ).toContainEqual(
      expect.objectContaining({ action: 'divide', due: '2027-03-20', latest: '2027-05-05', why: 'condition' }),
    )
    expect(careTasks(patch('iris-versicolor', { plantedOn: '2023-04-01' }), year('2027-03-01'))).toContainEqual(
      expect.objectContaining({ action: 'divide', why: 'interval' }),
    )
  })
  it('spreaders come round twice as often', () => {
    const two = { plantedOn: '2025-04-01' }
    expect(asked(patch('mentha-aquatica', two), year('2027-03-01'))).toContain('divide')
    expect(asked(patch('iris-versicolor', two), year('2027-03-01'))).not.toContain('divide')
  })
  it('is over for the year once done, or once the window has closed', () => {
    const crowded = patch('iris-versicolor', { condition: 'crowded' })
    expect(asked({ ...crowded, lastDone: { divide: '2027-04-02' } }, year('2027-04-10'))).not.toContain('divide')
    expect(asked(crowded, year('2027-05-06'))).not.toContain('divide')
  })
})

describe('lilies', () => {
  it('are fed from the first warm week on, then every thirty days while it stays warm', () => {
    const lily = patch('nymphaea-alba')
    const first = dueOf('feed', lily, year('2027-03-01'))!
    expect(USUAL_WEEKS[weekOf(first)]).toBeGreaterThan(CARE_RULES.feedAboveC)
    expect(USUAL_WEEKS[weekOf(addDays(first, -7))]).toBeLessThanOrEqual(CARE_RULES.feedAboveC)
    expect(dueOf('feed', { ...lily, lastDone: { feed: first } }, year(first))).toBe(addDays(first, 30))
    expect(dueOf('feed', { ...lily, lastDone: { feed: '2027-09-20' } }, year('2027-09-21'))).toBeUndefined()
  })
  it('are not fed in cold water for what was missed in summer', () => {
    expect(dueOf('feed', patch('nymphaea-alba'), year('2027-08-01'))).toBeDefined()
    expect(dueOf('feed', patch('nymphaea-alba'), year('2027-11-28'))).toBeUndefined()
  })
  it('no other plant is fed', () => expect(asked(patch('carex-elata'), year('2027-07-01'))).not.toContain('feed'))
})

describe('frost', () => {
  it('tender plants come in before it, hardy ones are cut back after it', () => {
    expect(careTasks(patch('canna-hybrids'), year('2027-09-01'))).toContainEqual(
      expect.objectContaining({ action: 'lift', due: '2027-10-10', latest: '2027-11-05', why: 'frost-comes' }),
    )
    expect(careTasks(patch('carex-elata'), year('2027-09-01'))).toContainEqual(
      expect.objectContaining({ action: 'cut-back', due: '2027-11-05', latest: '2027-12-03' }),
    )
    expect(asked(patch('juncus-effusus'), year('2027-09-01'))).not.toContain('cut-back')
  })
  it('what was lifted stays in until the frost is over, and goes out once', () => {
    const stored = patch('canna-hybrids', { stored: true, lastDone: { lift: '2026-10-15' } })
    expect(careTasks(stored, year('2027-03-01'))).toEqual([
      expect.objectContaining({ action: 'plant-out', due: '2027-06-01', why: 'frost-over' }),
    ])
    expect(asked({ ...stored, lastDone: { lift: '2027-10-15' } }, year('2027-10-20'))).toEqual([])
  })
  it('says nothing of frost where no season is known', () => {
    expect(
      asked(patch('canna-hybrids'), year('2027-09-01', { frost: null, dividing: null, tenderOut: null })),
    ).not.toContain('lift')
  })
})

it('any group on any day asks at most once for each thing, of this year, and never for it to be over before it begins', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...PLANT_SPECIES.map((s) => s.key)),
      fc.constantFrom(...PLANT_CONDITIONS),
      fc.integer({ min: 0, max: 364 }),
      fc.boolean(),
      fc.dictionary(fc.constantFrom(...CARE_ACTIONS), fc.integer({ min: -500, max: 0 })),
      (species, condition, day, stored, ago) => {
        const today = addDays('2027-01-01', day)
        const lastDone = Object.fromEntries(Object.entries(ago).map(([action, days]) => [action, addDays(today, days)]))
        const tasks = careTasks(patch(species, { condition, conditionOn: today, stored, lastDone }), year(today))
        expect(new Set(tasks.map((t) => t.action)).size).toBe(tasks.length)
        for (const task of tasks) {
          expect(yearOf(task.due)).toBe(2027)
          expect(task.latest >= task.due).toBe(true)
        }
        expect(tasks.map((t) => t.due)).toEqual([...tasks.map((t) => t.due)].sort())
      },
    ),
  )
})
