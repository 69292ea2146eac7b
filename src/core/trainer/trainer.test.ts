import fc from 'fast-check'
import { seededRandom } from '../numeric/random'
import { DEBRIEF_OPTIONS, expectedFish, planBy, playBy, playChoices, seasonScore, waysThrough } from './debrief'
import { middle } from '../ecosystem/measures'
import { KIT, KIT_TESTS, readKit } from './kit'
import { minutesOf, NOTHING, Play, refusalsOf, type WeekChoice } from './play'
import { scoreOf } from './score'
import { TRAINER_SCENARIOS, trainerScenario, SCENARIO_KEYS } from './scenarios'
import { TRAINER_TASK_KEYS, trainerTask, type TaskChoice } from './tasks'
import type { WeekView } from './view'
import { TRAINING_DEPTH_M, worldOf } from './world'

const SEEDS = [11, 33]

describe.each(SCENARIO_KEYS)('the scenario %s', (key) => {
  const scenario = trainerScenario(key)
  const seasons = SEEDS.map((seed) => waysThrough(worldOf(scenario, seed), []))
  const points = (way: (typeof DEBRIEF_OPTIONS)[number]) => middle(seasons.map((season) => season[way].score.points))

  it('weighs its parts to a hundred, and its surprises fall into its weeks', () => {
    expect(Object.values(scenario.weights).reduce((a, b) => a + b, 0)).toBe(100)
    for (const surprise of scenario.surprises) expect(surprise.weeks[1]).toBeLessThan(scenario.weeks)
    for (const { week } of worldOf(scenario, 5).surprises) expect(week).toBeLessThan(scenario.weeks)
  })

  it('is won by judgement: the house’s way earns two reeds, and beats what tempts and doing nothing', () => {
    expect(points('house')).toBeGreaterThanOrEqual(78)
    expect(points('house')).toBeGreaterThan(points('temptation') + 3)
    expect(points('house')).toBeGreaterThan(points('nothing') + 30)
  })

  it('keeps the house’s fish alive in most years', () => {
    const kept = seasons.map(({ house }) => house.result.alive.at(-1)! / house.result.fishAtStart)
    expect(middle(kept)).toBeGreaterThan(0.9)
  })

  it('lets the foreman’s advice be followed to the letter every week', () => {
    const world = worldOf(scenario, 77)
    const play = new Play(world)
    const past: WeekChoice[] = []
    while (!play.over) {
      const view = play.view()
      const { choice, why } = planBy(scenario.house.policy, view, past)
      expect(why).not.toBeNull()
      expect(refusalsOf(choice, view, scenario.minutesPerWeek)).toEqual([])
      past.push(choice)
      play.advance(choice)
    }
    // the same choices, played again, are the same season
    expect(playChoices(world, past).result()).toEqual(playBy(worldOf(scenario, 77), scenario.house.policy))
  })
})

describe.each(SCENARIO_KEYS)('over ten years of %s', (key) => {
  const scenario = trainerScenario(key)
  // what the house does and what it warns against by what they risk; doing nothing by its own year
  const years = Array.from({ length: 10 }, (_, i) => {
    const world = worldOf(scenario, 7919 * (i + 1))
    const { house, temptation, nothing } = waysThrough(world, [], true)
    const risked = ({ result }: typeof house) => ({
      score: scoreOf(scenario, result, house.result, expectedFish(scenario, result)),
    })
    return { house: risked(house), temptation: risked(temptation), nothing }
  })
  const share = (holds: (year: (typeof years)[number]) => boolean) => years.filter(holds).length / years.length

  it('the house’s way is best in eight of ten, and what it warns against clearly worse in as many', () => {
    const best = share(
      ({ house, nothing, temptation }) => house.score.points >= Math.max(nothing.score.points, temptation.score.points),
    )
    expect(best).toBeGreaterThanOrEqual(0.8)
    // seven points: half of what a reed is away
    expect(share(({ house, temptation }) => house.score.points >= temptation.score.points + 7)).toBeGreaterThanOrEqual(
      0.8,
    )
  })
})

/** What comes nearest to a season's whole care if it is done in the first week, and nothing after it. */
const ONE_TASK: readonly TaskChoice[] = [
  { task: 'feed', option: 'none' },
  { task: 'feed', option: 'half' },
  { task: 'bacteria', option: 'media' },
  { task: 'bacteria', option: 'bottle' },
  { task: 'aerator', option: 'on' },
  { task: 'pump', option: 'on' },
  { task: 'uv', option: 'on' },
  { task: 'ice-hole', option: 'open' },
  { task: 'overhaul', option: 'day' },
]

it.each(SCENARIO_KEYS)('no single task of the first week wins %s', (key) => {
  const scenario = trainerScenario(key)
  const world = worldOf(scenario, 3 * 7919)
  const house = playBy(world, scenario.house.policy)
  const points = (result: typeof house) => scoreOf(scenario, result, house, expectedFish(scenario, result)).points
  const best = ONE_TASK.map((task) =>
    points(playBy(world, ({ week }) => ({ tasks: week === 0 ? [task] : [], why: null }))),
  )
  expect(Math.max(...best)).toBeLessThan(points(house) - 3)
})

it('everything in one day wears the fish at the neglected pond in every year, and costs a good part of them in some', () => {
  const scenario = trainerScenario('neglected')
  const years = Array.from({ length: 14 }, (_, i) => {
    const { temptation, house } = waysThrough(worldOf(scenario, 7919 * (i + 1)), [], true)
    const fared = ({ result }: typeof house) => ({
      left: result.alive.at(-1)! / result.fishAtStart,
      worst: Math.min(...result.condition),
    })
    return { house: fared(house), temptation: fared(temptation) }
  })
  const mean = (of: (year: (typeof years)[number]) => number) => years.reduce((sum, y) => sum + of(y), 0) / years.length
  expect(years.every(({ temptation }) => temptation.worst < 0.7)).toBe(true)
  expect(mean((y) => y.temptation.left)).toBeLessThan(0.85)
  expect(mean((y) => y.house.left)).toBeGreaterThan(0.97)
})

it('scores what was risked: the same loss of none counts less for those who were lucky', () => {
  const scenario = trainerScenario('neglected')
  const world = worldOf(scenario, 2 * 7919)
  const { temptation: alone } = waysThrough(world, [], true)
  const { temptation: risked, house } = waysThrough(world, [])
  // in this year all went well
  expect(Math.round(alone.result.alive.at(-1)!)).toBe(alone.result.fishAtStart)
  expect(risked.result).toEqual(alone.result)
  expect(risked.score.parts.fish!).toBeLessThan(alone.score.parts.fish! - 3)
  expect(house.score.parts.fish!).toBeGreaterThan(risked.score.parts.fish! + 3)
})

describe('a play', () => {
  const world = worldOf(TRAINER_SCENARIOS['first-season'], 3)

  it('shows the same morning however often it is looked at, and another in another year', () => {
    const [once, again] = [new Play(world), new Play(world)]
    expect(once.view()).toEqual(again.view())
    expect(once.view()).toEqual(once.view())
    expect(new Play(worldOf(TRAINER_SCENARIOS['first-season'], 4)).view().kit).not.toEqual(once.view().kit)
  })

  it('tells of a surprise at the visit after it, and not before', () => {
    const sure = { ...world, surprises: [{ week: 1, told: 'powerOutFromWednesday' as const, events: [] }] }
    const play = new Play(sure)
    play.advance(NOTHING)
    expect(play.view().told).toEqual([])
    play.advance(NOTHING)
    expect(play.view().told).toEqual(['powerOutFromWednesday'])
    play.advance(NOTHING)
    expect(play.view().told).toEqual([])
  })

  it('harms fish by water straight from the tap', () => {
    const play = (tasks: TaskChoice[]) => {
      const p = new Play(world)
      p.advance({ ...NOTHING, tasks })
      return p.result()
    }
    const [tap, treated] = [
      play([{ task: 'water-change', option: 'third-tap' }]),
      play([{ task: 'water-change', option: 'third' }]),
    ]
    const worst = ({ condition }: typeof tap) => Math.min(...condition)
    expect(worst(tap)).toBeLessThan(worst(treated) - 0.05)
  })

  it('refuses what there is no time for, what does not exist, what is chosen twice, and work in water under ice', () => {
    const view = new Play(world).view()
    const iced = { scene: { ...view.scene, iceM: 0.05 } }
    const vacuum: TaskChoice = { task: 'vacuum', option: 'all' }
    expect(refusalsOf({ ...NOTHING, tasks: [vacuum] }, view, 60)).toEqual([{ code: 'too-long', minutes: 90, have: 60 }])
    expect(refusalsOf({ ...NOTHING, tasks: [{ task: 'vacuum', option: 'half' }] }, view, 60)).toEqual([
      { code: 'unknown', task: 'vacuum' },
    ])
    expect(
      refusalsOf(
        {
          ...NOTHING,
          tasks: [
            { task: 'kh', option: 'one' },
            { task: 'kh', option: 'three' },
          ],
        },
        view,
        60,
      ),
    ).toEqual([{ code: 'twice', task: 'kh' }])
    expect(refusalsOf({ ...NOTHING, tasks: [vacuum] }, iced, 120)).toEqual([{ code: 'ice', task: 'vacuum' }])
    expect(() => new Play(world).advance({ ...NOTHING, tasks: [{ task: 'overhaul', option: 'day' }] })).toThrow(
      /choice/,
    )
  })

  it('takes points for questions to the foreman, and none below nothing', () => {
    const scenario = { ...TRAINER_SCENARIOS['first-season'], weeks: 4 }
    const quiet = seasonScore(scenario, 8, Array<WeekChoice>(4).fill(NOTHING))
    const asking = seasonScore(scenario, 8, Array<WeekChoice>(4).fill({ ...NOTHING, asked: true }))
    expect(asking.askedOff).toBe(8)
    expect(
      waysThrough(worldOf(scenario, 8), Array<WeekChoice>(4).fill({ ...NOTHING, asked: true })).yours.score,
    ).toEqual(asking)
    expect(asking.points).toBe(Math.max(0, quiet.points - 8))
  })

  it('survives whatever anyone does', () => {
    const scenario = { ...TRAINER_SCENARIOS['spring-rush'], weeks: 5, minutesPerWeek: 400 }
    const anyTask = fc
      .constantFrom(...TRAINER_TASK_KEYS)
      .chain((task) => fc.constantFrom(...Object.keys(trainerTask(task).options)).map((option) => ({ task, option })))
    const anyWeek = fc.record({
      tests: fc.subarray(KIT_TESTS),
      tasks: fc.uniqueArray(anyTask, { selector: (t) => t.task, maxLength: 5 }),
      asked: fc.boolean(),
    })
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2 ** 30 }),
        fc.array(anyWeek, { minLength: 5, maxLength: 5 }),
        (seed, weeks) => {
          const world = worldOf(scenario, seed)
          const play = new Play(world)
          const done: WeekChoice[] = []
          for (const week of weeks) {
            const view = play.view()
            const choice = refusalsOf(week, view, scenario.minutesPerWeek).length > 0 ? NOTHING : week
            expect(minutesOf(choice)).toBeLessThanOrEqual(scenario.minutesPerWeek)
            for (const value of Object.values(view.kit)) expect(value).toBeGreaterThanOrEqual(0)
            play.advance(choice)
            done.push(choice)
          }
          const result = play.result()
          expect(result.daily.every(Number.isFinite)).toBe(true)
          for (const condition of result.condition) expect(condition >= 0 && condition <= 1).toBe(true)
          result.alive.forEach((fish, i) =>
            expect(fish).toBeLessThanOrEqual(i === 0 ? result.fishAtStart : result.alive[i - 1]!),
          )
          const { points, stars } = seasonScore(scenario, seed, done)
          expect(points >= 0 && points <= 100 && stars >= 0 && stars <= 3).toBe(true)
        },
      ),
      { numRuns: 12, seed: 20270410 },
    )
  })
})

describe('a test kit', () => {
  it('reads to the nearest step it has, and seldom further off than one', () => {
    const random = seededRandom(5)
    const steps: readonly number[] = KIT.tan.steps
    let near = 0
    for (let i = 0; i < 200; i++) {
      const read = readKit('tan', 0.5, random)
      expect(steps).toContain(read)
      if (Math.abs(steps.indexOf(read) - steps.indexOf(0.5)) === 0) near++
    }
    expect(near).toBeGreaterThan(180)
  })

  it('reads a hand no deeper than the pond, however clear the water', () => {
    const world = worldOf(trainerScenario('winter'), 4)
    const play = new Play(world)
    const seen: WeekView[] = []
    while (!play.over) {
      seen.push(play.view())
      play.advance(NOTHING)
    }
    expect(Math.max(...seen.map((view) => view.scene.clarityM))).toBeGreaterThan(TRAINING_DEPTH_M)
    expect(Math.max(...seen.map((view) => view.kit.clarityDepth))).toBe(TRAINING_DEPTH_M)
  })

  it('never reads below nothing', () => {
    const random = seededRandom(9)
    for (const test of KIT_TESTS)
      for (let i = 0; i < 20; i++) expect(readKit(test, 0, random)).toBeGreaterThanOrEqual(0)
  })
})
