import { EVENT_KINDS, USUAL_EVENT, WhatIfEvent } from './what-if-events'
import { assertEvents, type PondEvent } from '../../core/ecosystem/events'
import { SAMPLE_POND, SAMPLE_STATION } from '../../core/ecosystem/trials/sample-pond'
import { mirrored } from '../../../tests/fixtures/random-stations'
import { eventsOfPlants, eventsOfVisits } from './eco-events'
import type { PatchNow, PlantAction } from '../plants/plants'
import { AS_IT_IS, comparisonOf, newOption, nextTime, scenarioOf, WhatIfInput, type PondModel } from './what-if'
import { inEnglish } from '../../../tests/fixtures/in-words'
import { WHAT_IF_TEMPLATES } from './what-if-templates'

const BIG = '3f2f6d0e-0b1c-4a64-8a4e-0c52f1d2a001'
const model: PondModel = {
  eco: SAMPLE_POND,
  filters: [
    { key: AS_IT_IS, name: 'As it is', filter: SAMPLE_POND.filter, fallM: 0.5 },
    { key: BIG, name: 'Version 2', filter: { ...SAMPLE_POND.filter, stoneM3: 6, uvFlowM3PerH: 5 }, fallM: 0.2 },
  ],
  filterAssumed: false,
  station: SAMPLE_STATION,
  known: { today: '2027-06-01', observed: [], forecast: [] },
  water: { tan: 0.4 },
}

describe('a way', () => {
  it('changes nothing when it is as it is', () =>
    expect(scenarioOf(newOption('As it is'), model)).toEqual({ pond: SAMPLE_POND, events: [] }))
  it('takes a saved filter at another size, with its falls', () => {
    const { pond } = scenarioOf(newOption('Half of it', { filter: BIG, filterSize: 0.5, fish: 2, feed: 0.5 }), model)
    expect(pond.filter).toMatchObject({ stoneM3: 3, flowM3PerH: SAMPLE_POND.filter.flowM3PerH / 2, uvFlowM3PerH: 5 })
    expect(pond.fallM).toBe(0.2)
    expect(pond.fish).toMatchObject({ massKg: 24, feedFactor: 0.5 })
  })
  it('falls back on the filter that stands when a design is gone', () =>
    expect(
      scenarioOf(newOption('Gone', { filter: '3f2f6d0e-0b1c-4a64-8a4e-0c52f1d2a009' }), model).pond.filter,
    ).toEqual(SAMPLE_POND.filter))
  it('fits a lamp that is only switched on later, dark until then', () => {
    const { pond, events } = scenarioOf(newOption('Lamp later', { events: [{ kind: 'uv', day: 9, on: true }] }), model)
    expect(pond.filter.uvFlowM3PerH).toBe(SAMPLE_POND.filter.flowM3PerH)
    expect(events[0]).toEqual({ kind: 'uv', day: 0, on: false })
  })
  it('says what the bed does when the pump stops', () => {
    expect(scenarioOf(newOption('Drains', { airBreak: 'drains' }), model).pond.filter.wetShareStopped).toBeLessThan(0.2)
    expect(scenarioOf(newOption('Wet', { airBreak: 'stays-wet' }), model).pond.filter.wetShareStopped).toBe(1)
  })
})

describe('a what-if', () => {
  it.each(WHAT_IF_TEMPLATES.map((t) => [t.key, t] as const))(
    'ready-made: %s can be run as it stands',
    (_name, template) => {
      const whatIf = WhatIfInput.parse({
        name: template.key,
        from: '2027-06-01',
        days: template.days,
        start: template.start ?? 'settled',
        members: 60,
        options: template.options.map(({ option, changes }) => newOption(option, changes)),
      })
      for (const { events } of comparisonOf(whatIf, model).scenarios)
        expect(() => assertEvents(events, whatIf.days)).not.toThrow()
    },
  )
  it('counts readings only near today and in the pond as it is', () => {
    const whatIf = WhatIfInput.parse({
      name: 'x',
      from: '2027-06-03',
      days: 30,
      start: 'settled',
      members: 20,
      options: [newOption('As it is')],
    })
    expect(comparisonOf(whatIf, model).water).toEqual({ tan: 0.4 })
    expect(comparisonOf({ ...whatIf, from: '2027-09-01' }, model).water).toEqual({})
    expect(comparisonOf({ ...whatIf, start: 'green' }, model).water).toEqual({})
  })
  it('begins the next time its season comes', () => {
    expect(nextTime('04-20', '2027-04-20', model)).toBe('2027-04-20')
    expect(nextTime('04-20', '2027-11-28', null)).toBe('2028-04-20')
    // a southern spring is half a year on
    expect(nextTime('04-20', '2027-04-20', { station: mirrored(model.station) })).toBe('2027-10-20')
  })
  it('names what is wrong with it', () => {
    const read = WhatIfInput.safeParse({
      name: 'x',
      from: '2027-06-03',
      days: 30,
      start: 'settled',
      members: 20,
      options: [newOption('', { fish: 9 })],
    })
    expect(read.error!.issues.map((i) => inEnglish(i.message))).toEqual([
      'Option name is missing.',
      'Fish must be between 0 and 5 times.',
    ])
  })
})

describe('events', () => {
  it.each(EVENT_KINDS)('%s is usable as it is offered', (kind) => {
    const event = WhatIfEvent.parse({ ...USUAL_EVENT[kind], day: 3 })
    expect(() => assertEvents([event], 30)).not.toThrow()
  })
  it('of finished visits stand for what their kind does, at noon of their day', () => {
    const events = eventsOfVisits(
      [
        { day: '2027-04-03', jobKey: 'wetland-flush', skipped: [] },
        { day: '2027-04-05', jobKey: 'plant-care', skipped: [] },
      ],
      '2027-04-01',
    )
    expect(events).toEqual([{ kind: 'flush', share: 0.7, day: 2.5 }])
  })
  it('of a winter shutdown leave the pump off and, unless that step was skipped, the ice open, until spring', () => {
    const shutdown = { day: '2026-10-20', jobKey: 'winter-shutdown', skipped: [] as string[] }
    const on = (e: PondEvent) => {
      if (e.kind === 'ice-hole') return e.open
      return e.kind === 'pump' ? e.running : null
    }
    const kinds = (from: string, ...visits: (typeof shutdown)[]) =>
      eventsOfVisits(visits, from).map((e) => [e.kind, e.day, on(e)])
    expect(kinds('2026-10-18', shutdown)).toEqual([
      ['pump', 2.5, false],
      ['cut', 2.5, null],
      ['ice-hole', 2.5, true],
    ])
    // a run that begins in January begins with them; what is only done once is not done again
    expect(kinds('2027-01-05', shutdown)).toEqual([
      ['pump', 0, false],
      ['ice-hole', 0, true],
    ])
    expect(kinds('2027-01-05', { ...shutdown, skipped: ['deicer'] })).toEqual([['pump', 0, false]])
    const startup = { day: '2027-03-20', jobKey: 'spring-startup', skipped: [] }
    expect(kinds('2027-05-01', shutdown, startup)).toEqual([
      ['pump', 0, true],
      ['ice-hole', 0, false],
      ['net', 0, null],
    ])
  })
  it('of plant care cut a group’s share of its stand, on days that count', () => {
    const patch = (
      species: string,
      place: 'bed' | 'pond',
      count: number,
      ...history: [PlantAction, string][]
    ): PatchNow =>
      ({ species, place, count, history: history.map(([action, day]) => ({ action, day })) }) as unknown as PatchNow
    const events = eventsOfPlants(
      [
        patch('carex-elata', 'bed', 30, ['cut-back', '2027-04-11'], ['look', '2027-04-12'], ['cut-back', '2027-01-02']),
        patch('carex-elata', 'bed', 10),
        patch('carex-elata', 'pond', 10, ['cut-back', '2027-04-11']),
      ],
      '2027-04-01',
      '2027-05-01',
    )
    // three quarters of the bed's cover, four fifths of it; what grows at the pond's edge is no stand of the simulator
    expect(events).toEqual([{ kind: 'cut', plants: 'marginals', share: expect.closeTo(0.6, 9), day: 10.5 }])
    expect(() => assertEvents(events, 30)).not.toThrow()
  })
})
