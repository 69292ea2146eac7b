import fc from 'fast-check'
import { PLANT_CONDITIONS } from '../../core/plants/care-rules'
import { plantGaps } from '../../core/plants/replant'
import { dayIn, instantOn } from '../shared/dates'
import type { PondId } from '../shared/ids'
import {
  careYear,
  forVisit,
  NewPatchInput,
  patchesNow,
  PLANT_ACTIONS,
  PlantLine,
  toFill,
  withLines,
  type Patch,
  type PlantEvent,
} from './plants'
import { plantsCsv } from './plants-csv'
import { inEnglish } from '../../../tests/fixtures/in-words'

const patch: Patch = {
  id: 'p',
  pondId: 'x' as PondId,
  place: 'bed',
  species: 'iris-versicolor',
  xM: 1,
  yM: 1,
  plantedOn: null,
  version: 1,
}
const event = (at: string, over: Partial<PlantEvent> = {}): PlantEvent => ({
  id: at,
  patchId: 'p',
  at,
  byName: 'Tamsy',
  action: 'look',
  condition: null,
  count: null,
  kept: 0,
  note: '',
  visitId: null,
  ...over,
})
const now = (events: readonly PlantEvent[], zone = 'Etc/UTC') => patchesNow([patch], events, zone)[0]

describe('a group of plants', () => {
  it('is what was planted, counted and planted again', () => {
    const events = [
      event('2026-05-01T10:00:00Z', { action: 'planted', count: 10 }),
      event('2026-08-01T10:00:00Z', { count: 6, condition: 'thin' }),
      event('2027-04-01T10:00:00Z', { action: 'planted', count: 3 }),
    ]
    expect(now(events)).toMatchObject({ count: 9, planned: 10, condition: 'thin', conditionOn: '2026-08-01' })
  })
  it('has no gap where plants were taken away on purpose, and has one where they were lost', () => {
    const planted = event('2026-05-01T10:00:00Z', { action: 'planted', count: 10 })
    const thinned = event('2026-08-01T10:00:00Z', { action: 'thin', count: 5 })
    expect(now([planted, thinned])).toMatchObject({ count: 5, planned: 5 })
    expect(plantGaps(toFill([now([planted, thinned])!], 'bed'), null)).toEqual([])
    expect(now([planted, thinned, event('2026-09-01T10:00:00Z', { count: 3 })])).toMatchObject({ count: 3, planned: 5 })
    expect(now([planted, event('2026-08-01T10:00:00Z', { action: 'thin' })])).toMatchObject({ count: 10, planned: 10 })
  })
  it('looks well again after the work that its looks asked for, and after no other', () => {
    const after = (condition: PlantEvent['condition'], action: PlantEvent['action']) =>
      now([
        event('2026-05-01T10:00:00Z', { action: 'planted', count: 2, condition }),
        event('2026-05-02T10:00:00Z', { action }),
      ])!.condition
    expect(after('crowded', 'divide')).toBe('good')
    expect(after('yellow', 'tidy')).toBe('good')
    expect(after('pale', 'deadhead')).toBe('pale')
    expect(after('thin', 'divide')).toBe('thin')
  })
  it('is stored from lifting until it is set out', () => {
    const lifted = [
      event('2026-05-01T10:00:00Z', { action: 'planted', count: 2 }),
      event('2026-10-20T10:00:00Z', { action: 'lift', note: 'Cellar' }),
    ]
    expect(now(lifted)).toMatchObject({ stored: true, lastDone: { lift: '2026-10-20' } })
    expect(now([...lifted, event('2027-06-01T10:00:00Z', { action: 'plant-out' })])!.stored).toBe(false)
  })
  it('counts days where the firm is: an evening there is no tomorrow', () => {
    const evening = [event('2026-06-02T01:30:00Z', { action: 'deadhead' })]
    expect(now(evening, 'Etc/GMT+3')!.lastDone.deadhead).toBe('2026-06-01')
    expect(now(evening)!.lastDone.deadhead).toBe('2026-06-02')
  })
  it('stands the same in whatever order its lines came in', () => {
    const line = fc.record({
      minute: fc.nat(50),
      action: fc.constantFrom(...PLANT_ACTIONS),
      condition: fc.option(fc.constantFrom(...PLANT_CONDITIONS)),
      count: fc.option(fc.nat(30)),
      id: fc.uuid(),
    })
    fc.assert(
      fc.property(
        fc.uniqueArray(line, { selector: (l) => l.id, maxLength: 12 }),
        fc.infiniteStream(fc.nat(1000)),
        (lines, order) => {
          const events = lines.map(({ minute, ...rest }) =>
            event(new Date(Date.UTC(2026, 5, 1, 8, minute)).toISOString(), rest),
          )
          const shuffled = events
            .map((e) => ({ e, at: order.next().value as number }))
            .sort((a, b) => a.at - b.at)
            .map(({ e }) => e)
          expect(now(shuffled)).toEqual(now(events))
          expect(now(events)!.planned).toBeGreaterThanOrEqual(now(events)!.count)
        },
      ),
    )
  })
  it('goes on from how it stands: a device needs no more than the newest lines', () => {
    const lines = Array.from({ length: 9 }, (_, i) =>
      event(`2026-06-0${i + 1}T10:00:00Z`, {
        action: i === 0 ? 'planted' : 'deadhead',
        count: 10 - i,
        visitId: i === 2 ? 'v1' : null,
      }),
    )
    const taken = forVisit(now(lines.slice(0, 8))!, 'v1')
    // five newest, and the visit's own
    expect(taken.history.map((e) => e.count)).toEqual([3, 4, 5, 6, 7, 8].map((n) => n))
    const { history: _, ...whole } = now(lines)!
    const { history: __, ...resumed } = withLines([taken], lines.slice(8), 'Etc/UTC')[0]!
    expect(resumed).toEqual(whole)
  })
  it('is filled place by place', () => {
    const two = patchesNow([patch, { ...patch, id: 'q', place: 'pond' }], [], 'Etc/UTC')
    expect(toFill(two, 'pond').map((p) => p.id)).toEqual(['q'])
  })
})

describe('a line about plants', () => {
  it('needs what was done, whole plants, and a known species', () => {
    expect(PlantLine.parse({ action: 'look' })).toEqual({
      action: 'look',
      condition: null,
      count: null,
      kept: 0,
      note: '',
    })
    const said = (line: object) => inEnglish(PlantLine.safeParse(line).error!.issues[0]!.message)
    expect(said({ action: 'burn' })).toBe('Choose what was done.')
    expect(said({ action: 'look', count: 2.5 })).toBe('Enter a whole number of plants.')
    expect(said({ action: 'look', kept: -1 })).toBe('Enter 0 to 2000 plants.')
    const group = { patch: { place: 'bed', species: 'no-such-plant', xM: 1, yM: 1 }, count: 0 }
    expect(NewPatchInput.safeParse(group).error!.issues.map((i) => inEnglish(i.message))).toEqual([
      'Choose a plant from the list.',
      'Enter at least one plant.',
    ])
  })
})

describe('the plants’ year', () => {
  const window = (job: string) => ({ job, earliest: '2001-04-01', best: '2001-04-10', latest: '2001-05-01' })
  it('takes this year’s windows, and none where the pond has none', () => {
    const year = careYear('2027-03-01', [], { anyYear: [window('dividing')], live: null }, 1)
    expect(year.dividing).toMatchObject({ earliest: '2027-04-01', latest: '2027-05-01' })
    expect(year.frost).toBeNull()
  })
  it('runs from July to June where December is high summer', () => {
    const spring = { job: 'dividing', earliest: '2001-09-01', best: '2001-09-20', latest: '2001-10-05' }
    const frost = { job: 'cut-back', earliest: '2002-05-10', best: '2002-05-20', latest: '2002-06-10' }
    const year = careYear('2027-03-01', [], { anyYear: [spring, frost], live: null }, 7)
    expect([year.dividing?.best, year.frost?.best]).toEqual(['2026-09-20', '2027-05-20'])
  })
})

describe('a day without an hour', () => {
  const clock = new Date('2026-06-10T22:15:30Z')
  it('is now for today, as the firm has it', () => {
    expect(instantOn('2026-06-10', 'Etc/UTC', clock)).toBe('2026-06-10T22:15:30.000Z')
    expect(instantOn('2026-06-10', 'Etc/GMT+3', clock)).toBe('2026-06-10T22:15:30.000Z')
  })
  it('is about noon there for other days, later lines after earlier ones', () => {
    const [first, second] = [clock, new Date(clock.getTime() + 5)].map((at) => instantOn('2026-06-01', 'Etc/GMT+3', at))
    expect(dayIn(first!, 'Etc/GMT+3')).toBe('2026-06-01')
    expect(second! > first!).toBe(true)
  })
})

it('writes the list of tender plants for a spreadsheet', () => {
  const row = {
    pondId: 'x' as PondId,
    patchId: 'patch',
    site: 'Tarn',
    pond: 'Pool',
    species: 'canna-hybrids',
    count: 4,
    from: '2026-11-24',
    by: '2026-12-07',
    thisYear: true,
  }
  expect(
    plantsCsv([{ ...row, stored: false, place: '' }], (key) => ({ 'canna-hybrids': 'Water canna' })[key]!, {
      stored: 'set out',
      outside: 'lift and store',
    }).split('\r\n')[1],
  ).toBe('Tarn,Pool,Water canna,Canna × generalis,4,outside,,lift and store,2026-11-24,2026-12-07\n')
})
