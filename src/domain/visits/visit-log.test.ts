import { judgeWater } from '../water/water-meaning'
import {
  fishBackReadings,
  missingFrom,
  nextStep,
  stepStates,
  tapChlorine,
  timerStart,
  unseenAnswers,
} from './visit-progress'
import { writeReport } from './visit-report'
import { StepAnswer, type Entry, type VisitInContext } from './visit'
import { pondFacts } from '../ponds/pond-facts'
import { PondInput } from '../ponds/pond'
import { pondInput } from '../../../tests/fixtures/pond-input'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'
const SPRING_CLEANOUT = jobInWords('spring-cleanout')

const steps = SPRING_CLEANOUT.steps
let minute = 0
const by = { byId: 'u', byName: 'Tamsy', receivedAt: '2027-03-20T18:00:00Z' }
const at = () => new Date(Date.UTC(2027, 2, 20, 8, minute++)).toISOString()
const done = (stepKey: string, answer: object = {}, more: object = {}): Entry =>
  ({
    kind: 'done',
    id: `${minute}`,
    stepKey,
    at: at(),
    answer: StepAnswer.parse(answer),
    confirmedUnlikely: false,
    ...more,
    ...by,
  }) as unknown as Entry
const readings = (values: Record<string, number>, belowStep = false) => ({
  readings: Object.fromEntries(Object.entries(values).map(([k, value]) => [k, { value, belowStep }])),
  method: 'drops',
})
const step = (key: string) => steps.find((s) => s.key === key)!

describe('where a visit stands', () => {
  it('goes on with the first open step, and lets a later answer correct an earlier one', () => {
    const log = [
      done('kit'),
      done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.9 })),
      done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.4 })),
    ]
    const states = stepStates(steps, log)
    expect(nextStep(steps, states)?.key).toBe('arrive-photos')
    expect(tapChlorine(states)).toBe(0.4)
  })
  it('orders by the time things were done, not by when they arrived', () => {
    const first = done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.9 }))
    const second = done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.4 }))
    expect(tapChlorine(stepStates(steps, [second, first]))).toBe(0.4)
  })
  it('a correction wins over what it replaces, whatever the clocks say', () => {
    // a phone a day ahead wrote first; the correction carries the right, earlier time
    const ahead = done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.9 }), {
      id: 'ahead',
      at: '2027-03-21T09:00:00Z',
    })
    const right = done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.4 }), {
      id: 'right',
      at: '2027-03-20T09:00:00Z',
      replaces: 'ahead',
    })
    const again = done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.3 }), {
      id: 'again',
      at: '2027-03-20T08:00:00Z',
      replaces: 'right',
    })
    for (const log of [
      [ahead, right, again],
      [again, right, ahead],
      [right, again, ahead],
    ])
      expect(tapChlorine(stepStates(steps, log))).toBe(0.3)
    expect(tapChlorine(stepStates(steps, [ahead, right]))).toBe(0.4)
  })
  it('of two corrections that knew nothing of each other the later one stands, and both are told', () => {
    const first = done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.9 }), { id: 'a', at: '2027-03-20T09:00:00Z' })
    const mine = done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.4 }), {
      id: 'b',
      at: '2027-03-20T10:00:00Z',
      replaces: 'a',
    })
    const theirs = {
      ...done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.2 }), {
        id: 'c',
        at: '2027-03-20T09:30:00Z',
        replaces: 'a',
      }),
      byId: 'v',
    } as Entry
    expect(tapChlorine(stepStates(steps, [first, theirs, mine]))).toBe(0.4)
    expect(unseenAnswers([first, theirs, mine], 'test-tap').map((e) => e.id)).toEqual(['c'])
  })
  it('counts only the test of the refilled pond for the fish', () => {
    const before = done('test-before', readings({ waterTemp: 9, ph: 7, tan: 0.1 }))
    expect(fishBackReadings(stepStates(steps, [before]))).toEqual({})
    const after = done('test-refilled', readings({ waterTemp: 10, freeChlorine: 0 }, true))
    expect(fishBackReadings(stepStates(steps, [before, after]))).toEqual({ waterTemp: 0, freeChlorine: 0 })
  })
  it('remembers the last start of a timer', () => {
    const start = (time: string) =>
      ({ kind: 'timer-started', id: time, stepKey: 'acclimate', at: time, ...by }) as unknown as Entry
    expect(timerStart([start('2027-03-20T10:00:00Z'), start('2027-03-20T10:30:00Z')], 'acclimate')).toBe(
      '2027-03-20T10:30:00Z',
    )
    expect(timerStart([], 'acclimate')).toBeNull()
  })
  it.each([
    ['test-before', {}, 0, ['waterTemp', 'ph', 'tan', 'dissolvedOxygen']],
    ['saved-water', {}, 0, ['choice']],
    ['fish-out', {}, 0, ['fish']],
    ['arrive-photos', {}, 0, ['photo']],
    ['arrive-photos', {}, 1, []],
    ['sign', { signedBy: 'Ede' }, 0, []],
    ['kit', {}, 0, []],
  ])('%s with %j and %d photos lacks %j', (key, answer, photos, missing) =>
    expect(missingFrom(step(key), StepAnswer.parse(answer), photos)).toEqual(missing),
  )
})

describe('the report', () => {
  const visit = { job: SPRING_CLEANOUT } as VisitInContext
  const log: Entry[] = [
    done('fish-out', {
      fish: [
        { species: 'koi', count: 5 },
        { species: 'goldfish', count: 3 },
      ],
      losses: 1,
    }),
    done(
      'fish-back',
      {
        fish: [
          { species: 'koi', count: 5 },
          { species: 'goldfish', count: 2 },
        ],
      },
      { override: { reason: 'Aerator failed' } },
    ),
    { kind: 'skipped', id: 's', stepKey: 'flush', at: at(), reason: 'Done in autumn', ...by } as unknown as Entry,
    { kind: 'note', id: 'n', stepKey: null, at: at(), text: 'Lid cracked', ...by } as unknown as Entry,
  ]
  const report = writeReport(visit, stepStates(steps, log), log, [], 'Etc/UTC')
  it('counts fish, losses, what was left out, noted and passed', () => {
    expect(report).toMatchObject({ fishOut: 8, fishBack: 7, losses: 1, notes: ['Lid cracked'], crew: ['Tamsy'] })
    expect(report.leftOut).toEqual([{ title: 'Flush the wetland if due', reason: 'Done in autumn' }])
    expect(report.overrides).toEqual([{ title: 'Fish back, gently', reason: 'Aerator failed', by: 'Tamsy' }])
  })
  it('tells only of sections in which something was done', () =>
    expect(report.sections.map((s) => s.title)).toEqual(['Drain down and fish out', 'Fish back']))
  it('tells the day on which it was done, not the one it was planned for', () => {
    const moved = {
      ...visit,
      day: '2027-03-20',
      startedAt: '2027-03-23T22:30:00Z',
      finishedAt: '2027-03-23T23:30:00Z',
    } as VisitInContext
    expect(writeReport(moved, stepStates(steps, log), log, [], 'Etc/UTC').day).toBe('2027-03-23')
    expect(writeReport(moved, stepStates(steps, log), log, [], 'Europe/Berlin').day).toBe('2027-03-24')
  })
  it('puts remarks in plain words', () =>
    expect(report.sections[0]!.done[0]!.remark).toMatchObject({
      fish: [
        { species: 'koi', count: 5 },
        { species: 'goldfish', count: 3 },
      ],
      losses: 1,
    }))
})

describe('what the tests mean', () => {
  const log = [
    done('test-before', readings({ waterTemp: 20, ph: 8.6, tan: 1 })),
    done('test-tap', readings({ tapTemp: 9, tapChlorine: 0.4 })),
    done('test-refilled', readings({ waterTemp: 18, ph: 7.2, tan: 0.8, tankTemp: 18, freeChlorine: 0 })),
  ]
  const meanings = judgeWater(stepStates(steps, log))
  const of = (kind: string) => meanings.find((m) => m.kind === kind)!
  it('keeps first and last, and leaves tap and tank out', () => {
    expect(of('tan')).toMatchObject({ before: 1, after: 0.8 })
    expect(meanings.map((m) => m.kind)).not.toEqual(expect.arrayContaining(['tapChlorine', 'tankTemp']))
  })
  it('judges ammonia by its toxic share, not by the test’s number', () => {
    expect(of('tan').band).toBe('fine')
    expect(of('tan').nh3MgL).toBeLessThan(0.02)
  })
})

describe('facts from a survey', () => {
  it('trust a straight rectangle twice as far as a free form', () => {
    const sigma = (input: PondInput) => {
      const facts = pondFacts(input)
      return facts.ok ? facts.value.adopted.sigmaM3 / facts.value.adopted.volumeM3 : Number.NaN
    }
    expect(sigma(pondInput())).toBeCloseTo(0.06, 9)
    expect(sigma(pondInput({ outline: { kind: 'ellipse', lengthM: 5, widthM: 3 } }))).toBeCloseTo(0.12, 9)
  })
  it('refuse more than four zones, no zone, half a fish and a pond without a name', () => {
    const zone = (floorDepthM: number) => ({ name: 'Z', floorDepthM, surfaceShare: 1, sideSlope: 0 })
    const bad: Partial<PondInput>[] = [
      { zones: [1, 2, 3, 4, 5].map(zone) },
      { zones: [] },
      { fish: [{ species: 'koi', count: 0.5, lengthM: 0.3 }] },
      { name: '  ' },
    ]
    for (const changes of bad) expect(PondInput.safeParse(pondInput(changes)).success).toBe(false)
    expect(PondInput.safeParse({ ...pondInput(), surprise: 1 }).success).toBe(false)
  })
})
