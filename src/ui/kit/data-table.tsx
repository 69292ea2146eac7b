'use client'
import {
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
  type RowData,
  type SortingState,
} from '@tanstack/react-table'
import { useMemo, useState, type ReactNode } from 'react'

const FEATURES = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() })

/** A column of a table. */
export interface TableColumn<Row> {
  readonly key: string
  readonly label: ReactNode
  /** What it is sorted by; a column without it stands as it comes. Nothing sorts last either way. */
  readonly value?: (row: Row) => string | number | null
  /** What stands in it; the value where this is left out. */
  readonly cell?: (row: Row) => ReactNode
  /** Figures stand to the right, under each other. */
  readonly figure?: boolean
}

/** Which column a table is sorted by, and which way. */
export interface TableSort {
  readonly key: string
  readonly up: boolean
}

interface DataTableProps<Row extends RowData> {
  /** What it is a table of, spoken. */
  readonly name: string
  readonly columns: readonly TableColumn<Row>[]
  readonly rows: readonly Row[]
  readonly keyOf: (row: Row) => string
  /** Kept outside, in the address say; left out, the table keeps it, and rows stand as they come at first. */
  readonly sort?: TableSort
  readonly onSort?: (sort: TableSort) => void
  readonly className?: string
}

const ARIA = { up: 'ascending', down: 'descending' } as const
const ARROW = { up: ' ↑', down: ' ↓' } as const

/** A table whose columns sort by a press on their heads; it scrolls sideways by itself on a narrow screen. */
export function DataTable<Row extends RowData>({
  name,
  columns,
  rows,
  keyOf,
  sort,
  onSort,
  className = '',
}: DataTableProps<Row>) {
  const [own, setOwn] = useState<TableSort | null>(null)
  const sorted = sort ?? own
  const data = useMemo(() => [...rows], [rows])
  const defs = useMemo(() => columns.map(definition), [columns])
  const table = useTable({
    features: FEATURES,
    columns: defs,
    data,
    getRowId: keyOf,
    state: { sorting: sorted ? ([{ id: sorted.key, desc: !sorted.up }] satisfies SortingState) : [] },
    enableSortingRemoval: false,
  })
  const press = (key: string) => (onSort ?? setOwn)({ key, up: !(sorted?.key === key && sorted.up) })
  const way = sorted?.up ? 'up' : 'down'
  return (
    <div className="table-responsive" tabIndex={0} role="region" aria-label={name}>
      <table className={`table table-sm align-middle mb-0 ${className}`}>
        <thead>
          <tr>
            {columns.map((column) => {
              const isSorted = sorted?.key === column.key
              return (
                <th
                  key={column.key}
                  scope="col"
                  aria-sort={isSorted ? ARIA[way] : undefined}
                  className={column.figure ? 'text-end' : ''}
                >
                  {column.value ? (
                    <button
                      type="button"
                      className="btn btn-sm btn-link p-0 fw-semibold"
                      onClick={() => press(column.key)}
                    >
                      {column.label}
                      {isSorted ? ARROW[way] : ''}
                    </button>
                  ) : (
                    column.label
                  )}
                </th>
              )
            })}
          </tr>
        </thead>
        <tbody>
          {table.getRowModel().rows.map(({ id, original }) => (
            <tr key={id}>
              {columns.map((column) => (
                <td key={column.key} className={column.figure ? 'text-end' : ''}>
                  {column.cell ? column.cell(original) : column.value?.(original)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

const definition = <Row extends RowData>({ key, value }: TableColumn<Row>): ColumnDef<typeof FEATURES, Row> => ({
  id: key,
  // what is not known is undefined to the library, which keeps it last
  accessorFn: (row) => value?.(row) ?? undefined,
  sortUndefined: 'last',
  sortFn: (a, b) => inOrder(a.getValue(key), b.getValue(key)),
})

const inOrder = (a: unknown, b: unknown): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b))
