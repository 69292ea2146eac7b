import { randomInt, randomUUID } from 'node:crypto'
import type { WeekChoice } from '@/core/trainer/play'
import { trainerScenario } from '@/core/trainer/scenarios'
import type { TrainerGameId } from '@/domain/shared/ids'
import { goesOnFrom, type NewGameInput } from '@/domain/trainer/trainer-game'
import { notFound, ProblemError, refused } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { heavy } from '@/server/platform/threads/heavy'
import {
  deleteOpenGame,
  findTrainerGame,
  insertTrainerGame,
  listTrainerGames,
  listTeamBests,
  storeWeeks,
} from '@/server/trainer/trainer-game-repository'
import { findPriceBook } from '@/server/prices/price-repository'
import { said } from '@/domain/shared/said'

/** The scenarios with this person's progress, and how the others do. */
export async function trainerPage(actor: Actor) {
  assertMay(actor, 'account.own')
  return inFirm(actor.firmId, async (trx) => ({
    me: actor.name,
    games: (await listTrainerGames(trx, actor.userId)).map(({ choices, ...game }) => ({
      ...game,
      week: choices.length,
    })),
    team: await listTeamBests(trx),
  }))
}
export type TrainerPageData = Awaited<ReturnType<typeof trainerPage>>

/** One season of the person's own, at play or at its debrief. */
export async function trainerGame(actor: Actor, id: TrainerGameId) {
  assertMay(actor, 'account.own')
  return inFirm(actor.firmId, async (trx) => {
    const game = await findTrainerGame(trx, id, actor.userId)
    if (!game) throw notFound('season')
    const before = (await listTrainerGames(trx, actor.userId)).filter(
      (g) => g.scenario === game.scenario && g.id !== id && g.points !== null,
    )
    return {
      game,
      bestBefore: before.length > 0 ? Math.max(...before.map((g) => g.points!)) : null,
      currency: (await findPriceBook(trx)).book.currency,
    }
  })
}
export type TrainerGameData = Awaited<ReturnType<typeof trainerGame>>

export async function startTrainerGame(actor: Actor, { scenario, seed }: NewGameInput): Promise<{ id: TrainerGameId }> {
  assertMay(actor, 'account.own')
  const id = randomUUID() as TrainerGameId
  await inFirm(actor.firmId, (trx) =>
    insertTrainerGame(trx, actor.firmId, { id, userId: actor.userId, scenario, seed: seed ?? randomInt(2 ** 31 - 1) }),
  )
  return { id }
}

/** Keeps the weeks played so far; after the last one the season is scored here, from the choices alone. */
export async function keepWeeks(
  actor: Actor,
  id: TrainerGameId,
  choices: readonly WeekChoice[],
): Promise<{ points: number | null }> {
  assertMay(actor, 'account.own')
  return inFirm(actor.firmId, async (trx) => {
    const game = await findTrainerGame(trx, id, actor.userId, true)
    if (!game) throw notFound('season')
    if (game.finishedAt !== null || !goesOnFrom(game.choices, choices))
      throw new ProblemError({
        kind: 'conflict',
        message: said('trainer.problems.seasonGoneElsewhereLoadPage'),
        current: game.choices,
      })
    const scenario = trainerScenario(game.scenario)
    if (choices.length > scenario.weeks) throw refused(said('trainer.problems.seasonWeeks', { weeks: scenario.weeks }))
    const { playable, score } = await heavy('trainer-season', { scenario: game.scenario, seed: game.seed, choices })
    if (!playable) throw refused(said('trainer.problems.oneWeeksCannotDoneLike'))
    await storeWeeks(trx, id, choices, score && { points: score.points, stars: score.stars })
    return { points: score?.points ?? null }
  })
}

export async function dropTrainerGame(actor: Actor, id: TrainerGameId): Promise<void> {
  assertMay(actor, 'account.own')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await deleteOpenGame(trx, id, actor.userId))) throw notFound('season')
  })
}
