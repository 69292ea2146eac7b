import type { Knex } from 'knex'

interface Column {
  readonly table_name: string
  readonly column_name: string
  readonly data_type: string
  readonly is_nullable: 'YES' | 'NO'
  readonly has_default: boolean
  /** The table whose id stands here: its own for a primary key, another's for a reference. */
  readonly id_of: string | null
}

/** Tables whose ids are branded. */
const ID_TYPES: Readonly<Record<string, string>> = {
  firms: 'FirmId',
  users: 'UserId',
  crews: 'CrewId',
  customers: 'CustomerId',
  sites: 'SiteId',
  ponds: 'PondId',
  designs: 'DesignId',
  visits: 'VisitId',
  photos: 'PhotoId',
  follow_ups: 'FollowUpId',
  proposals: 'ProposalId',
  plan_runs: 'PlanRunId',
  plan_takeovers: 'TakeoverId',
  what_ifs: 'WhatIfId',
  forecast_runs: 'ForecastRunId',
  diagnoses: 'DiagnosisId',
  trainer_games: 'TrainerGameId',
}

/** What the driver makes of a type. */
const TYPES: Readonly<Record<string, string>> = {
  uuid: 'string',
  text: 'string',
  'character varying': 'string',
  date: 'IsoDate',
  'time without time zone': 'string',
  integer: 'number',
  smallint: 'number',
  'double precision': 'number',
  real: 'number',
  boolean: 'boolean',
  'timestamp with time zone': 'Date',
  // larger than a number holds exactly
  bigint: 'string',
  numeric: 'string',
  bytea: 'Buffer',
  jsonb: 'JsonDocument',
  ARRAY: 'readonly string[]',
}

const COLUMNS = `
  select c.table_name, c.column_name, c.data_type, c.is_nullable, c.column_default is not null or c.is_identity = 'YES' as has_default,
    (select case when k.contype = 'f' then k.confrelid::regclass::text when k.contype = 'p' and array_length(k.conkey, 1) = 1 then c.table_name::text end
     from pg_constraint k join pg_attribute a on a.attrelid = k.conrelid and a.attnum = k.conkey[1]
     where k.conrelid = format('%I.%I', c.table_schema, c.table_name)::regclass and array_length(k.conkey, 1) = 1 and a.attname = c.column_name
       and k.contype in ('f', 'p')
     order by k.contype = 'f' desc limit 1) as id_of
  from information_schema.columns c join information_schema.tables t using (table_schema, table_name)
  where c.table_schema = 'public' and t.table_type = 'BASE TABLE' and c.table_name not like 'knex_%'
  order by c.table_name, c.ordinal_position`

const typeOf = ({ data_type, id_of, is_nullable }: Column): string => {
  const branded = data_type === 'uuid' && id_of !== null ? ID_TYPES[id_of] : undefined
  return `${branded ?? TYPES[data_type] ?? 'unknown'}${is_nullable === 'YES' ? ' | null' : ''}`
}

const rowName = (table: string): string =>
  `${table.replace(/(?:^|_)(\w)/g, (_, letter: string) => letter.toUpperCase())}Row`

/**
 * The rows of every table as TypeScript, from the database as the migrations make it.
 * @param knex a connection that may read the catalogue
 * @returns source text of `tables.ts`
 */
export async function describeTables(knex: Knex): Promise<string> {
  const { rows } = await knex.raw<{ rows: Column[] }>(COLUMNS)
  const tables = new Map<string, Column[]>()
  for (const column of rows) tables.set(column.table_name, [...(tables.get(column.table_name) ?? []), column])
  const quoted = (columns: readonly Column[]) => columns.map((c) => `'${c.column_name}'`).join(' | ') || 'never'
  const interfaces = [...tables].map(
    ([table, columns]) =>
      `export interface ${rowName(table)} {\n${columns.map((c) => `  ${c.column_name}: ${typeOf(c)}`).join('\n')}\n}\n`,
  )
  const entries = [...tables].map(([table, columns]) => {
    const documents = quoted(columns.filter((c) => c.data_type === 'jsonb'))
    const optional = quoted(columns.filter((c) => c.has_default || c.is_nullable === 'YES'))
    return `    ${table}: Stored<Refined<'${table}', ${rowName(table)}>, ${documents}, ${optional}>`
  })
  const ids = [...new Set(Object.values(ID_TYPES))].sort().join(', ')
  return `// Made from the migrated database by \`npm run tables\`: not to be edited by hand.
import type { IsoDate } from '@/core/numeric/calendar'
import type { ${ids} } from '@/domain/shared/ids'
import type { JsonDocument, Refined, Stored } from './column-types'

${interfaces.join('\n')}
declare module 'knex/types/tables' {
  interface Tables {
${entries.join('\n')}
  }
}
`
}
