import { playBy } from '@/core/trainer/debrief'
import { NOTHING, type WeekChoice } from '@/core/trainer/play'
import { trainerScenario } from '@/core/trainer/scenarios'
import { worldOf } from '@/core/trainer/world'
import type { TrainerGameId } from '@/domain/shared/ids'
import { WeeksInput } from '@/domain/trainer/trainer-game'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { dropTrainerGame, keepWeeks, trainerGame, trainerPage, startTrainerGame } from '@/server/trainer/trainer-games'
import { makeFirm } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'
import { inEnglish } from '../fixtures/in-words'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const SEED = 7
const scenario = trainerScenario('spring-rush')
const house = playBy(worldOf(scenario, SEED), scenario.house.policy).choices

describe('seasons on the training pond', () => {
  it('are kept week by week, scored at their end by the server, and shown to the person and the team', async () => {
    const { actors } = await makeFirm('Sedge')
    const { id } = await startTrainerGame(actors.technician, { scenario: 'spring-rush', seed: SEED })
    expect(await keepWeeks(actors.technician, id, house.slice(0, 2))).toEqual({ points: null })
    expect((await trainerPage(actors.technician)).games).toMatchObject([
      { scenario: 'spring-rush', week: 2, points: null },
    ])
    const { points } = await keepWeeks(actors.technician, id, house)
    expect(points).toBeGreaterThan(60)
    const { game, bestBefore } = await trainerGame(actors.technician, id)
    expect(game).toMatchObject({ points, seed: SEED })
    expect(game.finishedAt).not.toBeNull()
    expect(bestBefore).toBeNull()
    // the others see how far someone has come, not their games
    expect((await trainerPage(actors.owner)).team).toEqual([
      { name: actors.technician.name, scenario: 'spring-rush', seasons: 1, best: points, stars: game.stars },
    ])
    expect((await trainerPage(actors.owner)).games).toEqual([])
    const again = await startTrainerGame(actors.technician, { scenario: 'spring-rush', seed: SEED })
    expect((await trainerGame(actors.technician, again.id)).bestBefore).toBe(points)
  })

  it('cannot be done otherwise afterwards, played past their end, or done in ways there is no time for', async () => {
    const { actors } = await makeFirm('Rush')
    const { id } = await startTrainerGame(actors.office, { scenario: 'spring-rush', seed: SEED })
    await keepWeeks(actors.office, id, house.slice(0, 2))
    const otherwise: WeekChoice[] = [NOTHING, ...house.slice(1, 3)]
    expect(await problemOf(keepWeeks(actors.office, id, otherwise))).toMatchObject({ kind: 'conflict' })
    expect(await problemOf(keepWeeks(actors.office, id, house.slice(0, 1)))).toMatchObject({ kind: 'conflict' })
    const overhaul: WeekChoice = { ...NOTHING, tasks: [{ task: 'overhaul', option: 'day' }] }
    expect(await problemOf(keepWeeks(actors.office, id, [...house.slice(0, 2), overhaul]))).toMatchObject({
      kind: 'refused',
    })
    const madeUp: WeekChoice = { ...NOTHING, tasks: [{ task: 'net', option: 'gold' }] }
    expect(await problemOf(keepWeeks(actors.office, id, [...house.slice(0, 2), madeUp]))).toMatchObject({
      kind: 'refused',
    })
    expect(await problemOf(keepWeeks(actors.office, id, [...house, NOTHING]))).toMatchObject({ kind: 'refused' })
    // what was kept still stands
    expect((await trainerGame(actors.office, id)).game.choices).toHaveLength(2)
    await keepWeeks(actors.office, id, house)
    expect(await problemOf(keepWeeks(actors.office, id, house))).toMatchObject({ kind: 'conflict' })
  })

  it('are one at a time and scenario, and nobody else’s, of the firm or of another', async () => {
    const [{ actors }, other] = [await makeFirm('Iris'), await makeFirm('Flag')]
    const first = await startTrainerGame(actors.designer, { scenario: 'winter', seed: null })
    const { id } = await startTrainerGame(actors.designer, { scenario: 'winter', seed: null })
    expect(await problemOf(trainerGame(actors.designer, first.id))).toMatchObject({ kind: 'not-found' })
    for (const stranger of [actors.owner, other.actors.owner]) {
      expect(await problemOf(trainerGame(stranger, id))).toMatchObject({ kind: 'not-found' })
      expect(await problemOf(keepWeeks(stranger, id, [NOTHING]))).toMatchObject({ kind: 'not-found' })
      expect(await problemOf(dropTrainerGame(stranger, id))).toMatchObject({ kind: 'not-found' })
    }
    await dropTrainerGame(actors.designer, id)
    expect((await trainerPage(actors.designer)).games).toEqual([])
    expect(await problemOf(dropTrainerGame(actors.designer, id as TrainerGameId))).toMatchObject({ kind: 'not-found' })
  })

  it('name what is wrong with weeks that are none', () => {
    const message = (choices: unknown) => {
      const [issue] = WeeksInput.safeParse({ choices }).error?.issues ?? []
      return issue && inEnglish(issue.message)
    }
    expect(message([{ tests: ['ph', 'ph'], tasks: [], asked: false }])).toBe('A test is listed twice in one week.')
    expect(message(Array(61).fill(NOTHING))).toBe('At most 60 weeks.')
    expect(message([{ tests: ['gold'], tasks: [], asked: false }])).toBeDefined()
    expect(message([NOTHING])).toBeUndefined()
  })
})
