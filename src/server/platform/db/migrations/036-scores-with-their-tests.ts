import type { Knex } from 'knex'

/**
 * Scores keep what their test said (a range where its card shows colours), by how much the band had been made wider
 * than the model's own, and where the test fell in it. Older scores keep that it fell inside or outside.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('forecast_scores', (t) => {
    t.double('test_low')
    t.double('test_high')
    t.double('test_scatter')
    t.double('stretch').notNullable().defaultTo(1)
    t.double('placed_low')
    t.double('placed_high')
  })
  await knex.raw(`update forecast_scores set
    placed_low = case when read < low then 0.05 when read > high then 0.95 else 0.5 end,
    placed_high = case when read < low then 0.05 when read > high then 0.95 else 0.5 end`)
  await knex.schema.alterTable('forecast_scores', (t) => {
    t.double('placed_low').notNullable().alter()
    t.double('placed_high').notNullable().alter()
  })
  // another kind of ensemble: it begins anew over the tests on file. What is shown until then knows no pH ahead
  const noPh = `'{"p10":[],"p50":[],"p90":[]}'::jsonb`
  await knex('pond_forecasts').update({
    pond_hash: '',
    outlook: knex.raw(`jsonb_set(outlook, '{bands,ph}', ${noPh})`),
  })
  await knex('issued_forecasts').update({ forecast: knex.raw(`jsonb_set(forecast, '{bands,ph}', ${noPh})`) })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('forecast_scores', (t) => {
    t.dropColumns('test_low', 'test_high', 'test_scatter', 'stretch', 'placed_low', 'placed_high')
  })
}
