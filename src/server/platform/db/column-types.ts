import type { Knex } from 'knex'
import type { Tables } from 'knex/types/tables'

/** A stored document of which nothing more is said below. */
export type JsonDocument = object

/**
 * What stands in columns beyond what the database knows of them: documents, and texts that are one of a few codes.
 * Each noun's repository says it of its own tables.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled by the repositories' own declarations
export interface ColumnTypes {}

/** A row as it is read. */
export type RowOf<Table extends keyof Tables> = Knex.ResolveTableType<Tables[Table]>

/** A table's row with what is known of its columns here. */
export type Refined<Table extends string, Row> = Table extends keyof ColumnTypes
  ? {
      [Column in keyof Row]: Column extends keyof ColumnTypes[Table]
        ? ColumnTypes[Table][Column] | Extract<Row[Column], null>
        : Row[Column]
    }
  : Row

/** What may be written into a column: its value, or an expression of the database's own. */
type Written<Value, IsDocument> =
  (IsDocument extends true ? string | Extract<Value, null> : Value extends Date ? Date | string : Value) | Knex.Raw

type Writable<Row, Documents extends keyof Row> = {
  [Column in keyof Row]: Written<Row[Column], Column extends Documents ? true : false>
}

/**
 * A table for Knex: what is read, what must be given for a new row, what may be changed.
 * Documents are written as JSON text.
 */
export type Stored<
  Row extends object,
  Documents extends keyof Row,
  Optional extends keyof Row,
> = Knex.CompositeTableType<
  Row,
  Omit<Writable<Row, Documents>, Optional> & Partial<Pick<Writable<Row, Documents>, Optional>>,
  Partial<Writable<Row, Documents>>
>
