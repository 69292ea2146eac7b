import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { WeekChoice } from '@/core/trainer/play'
import type { ScenarioKey } from '@/core/trainer/scenarios'
import type { FirmId, TrainerGameId, UserId } from '@/domain/shared/ids'
import type { TrainerGame } from '@/domain/trainer/trainer-game'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    trainer_games: { scenario: TrainerGame['scenario']; choices: TrainerGame['choices'] }
  }
}

/** Begins a season; one of the same scenario that is not finished ends. */
export async function insertTrainerGame(
  trx: Knex.Transaction,
  firmId: FirmId,
  game: Pick<TrainerGame, 'id' | 'userId' | 'scenario' | 'seed'>,
): Promise<void> {
  await trx('trainer_games').where({ user_id: game.userId, scenario: game.scenario, finished_at: null }).delete()
  await trx('trainer_games').insert({
    id: game.id,
    firm_id: firmId,
    user_id: game.userId,
    scenario: game.scenario,
    seed: game.seed,
  })
}

/** Only to the person who plays it. */
export async function findTrainerGame(
  trx: Knex.Transaction,
  id: TrainerGameId,
  userId: UserId,
  lock = false,
): Promise<TrainerGame | undefined> {
  const query = trx('trainer_games').where({ id, user_id: userId }).first()
  const row = await (lock ? query.forUpdate() : query)
  return row && gameOf(row)
}

/** A person's seasons, the newest first. */
export async function listTrainerGames(trx: Knex.Transaction, userId: UserId): Promise<TrainerGame[]> {
  return (await trx('trainer_games').where({ user_id: userId }).orderBy('started_at', 'desc')).map(gameOf)
}

export async function storeWeeks(
  trx: Knex.Transaction,
  id: TrainerGameId,
  choices: readonly WeekChoice[],
  ended: { readonly points: number; readonly stars: number } | null,
): Promise<void> {
  await trx('trainer_games')
    .where({ id })
    .update({ choices: JSON.stringify(choices), ...(ended ? { ...ended, finished_at: trx.fn.now() } : {}) })
}

/** @returns whether there was one that is not finished */
export async function deleteOpenGame(trx: Knex.Transaction, id: TrainerGameId, userId: UserId): Promise<boolean> {
  return (await trx('trainer_games').where({ id, user_id: userId, finished_at: null }).delete()) > 0
}

export interface TeamBest {
  readonly name: string
  readonly scenario: ScenarioKey
  readonly seasons: number
  readonly best: number
  readonly stars: number
}

/** Everybody's best season of each scenario. */
export async function listTeamBests(trx: Knex.Transaction): Promise<TeamBest[]> {
  const rows = await trx('trainer_games as g')
    .join('users as u', 'u.id', 'g.user_id')
    .whereNotNull('g.finished_at')
    .groupBy('u.id', 'u.name', 'g.scenario')
    .orderBy('u.name')
    .select('u.name', 'g.scenario')
    .select(trx.raw('count(*) as seasons, max(g.points) as best, max(g.stars) as stars'))
  return rows.map((r) => ({
    name: r.name,
    scenario: r.scenario,
    seasons: Number(r.seasons),
    best: r.best,
    stars: r.stars,
  }))
}

const gameOf = (r: RowOf<'trainer_games'>): TrainerGame => ({
  id: r.id,
  userId: r.user_id,
  scenario: r.scenario,
  seed: r.seed,
  choices: r.choices,
  points: r.points,
  stars: r.stars,
  startedAt: r.started_at.toISOString(),
  finishedAt: r.finished_at?.toISOString() ?? null,
})
