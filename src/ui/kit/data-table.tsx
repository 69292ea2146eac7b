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
import { useVirtualizer } from '@tanstack/react-virtual'
import { useMemo, useRef, useState, type ReactNode } from 'react'
import { ColumnChoice, useShownColumns } from './column-choice'
import { usePrinting } from './use-printing'

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
  /** Shown only to those who choose it. */
  readonly extra?: boolean
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
  /** Given: people choose which columns they see, and this device remembers it under this name. */
  readonly rememberAs?: string
  /** Stands above it, before the choice of columns. */
  readonly tools?: ReactNode
  readonly className?: string
}

const ARIA = { up: 'ascending', down: 'descending' } as const
const ARROW = { up: ' ↑', down: ' ↓' } as const
/** From so many rows on only those in sight are drawn. */
const MANY_ROWS = 150
const ROW_PX = 34
/** Drawn above and below what is seen, so that no gap shows while scrolling. */
const OVERSCAN = 20

/**
 * A table whose columns sort by a press on their heads, which stay in sight; it scrolls by itself on a narrow screen,
 * and draws of a long list only what is looked at. On paper it is whole.
 */
export function DataTable<Row extends RowData>(props: DataTableProps<Row>) {
  const { name, rows, keyOf, sort, onSort, rememberAs, tools, className = '' } = props
  const [own, setOwn] = useState<TableSort | null>(null)
  const sorted = sort ?? own
  const choice = useShownColumns(rememberAs ?? null, props.columns)
  const columns = props.columns.filter(({ key }) => choice.isShown(key))
  const data = useMemo(() => [...rows], [rows])
  const defs = useMemo(() => props.columns.map(definition), [props.columns])
  const table = useTable({
    features: FEATURES,
    columns: defs,
    data,
    getRowId: keyOf,
    state: { sorting: sorted ? ([{ id: sorted.key, desc: !sorted.up }] satisfies SortingState) : [] },
    enableSortingRemoval: false,
  })
  const inOrderNow = table.getRowModel().rows
  const { scroller, from, to, above, below } = useInSight(inOrderNow.length)
  const press = (key: string) => (onSort ?? setOwn)({ key, up: !(sorted?.key === key && sorted.up) })
  return (
    <>
      {tools || rememberAs ? (
        <div className="list-tools no-print">
          {tools}
          {rememberAs ? <ColumnChoice columns={props.columns} choice={choice} /> : null}
        </div>
      ) : null}
      <div
        ref={scroller}
        className={`table-responsive ${above + below > 0 ? 'long-table' : ''}`}
        tabIndex={0}
        role="region"
        aria-label={name}
      >
        <table className={`table table-sm align-middle mb-0 ${className}`} aria-rowcount={rows.length + 1}>
          <caption className="visually-hidden">{name}</caption>
          <thead>
            <tr>
              {columns.map((column) => (
                <Head key={column.key} column={column} sorted={sorted} onPress={() => press(column.key)} />
              ))}
            </tr>
          </thead>
          <tbody>
            <Gap px={above} columns={columns.length} />
            {inOrderNow.slice(from, to).map(({ id, original }) => (
              <tr key={id}>
                {columns.map((column) => (
                  <td key={column.key} className={column.figure ? 'text-end' : ''}>
                    {column.cell ? column.cell(original) : column.value?.(original)}
                  </td>
                ))}
              </tr>
            ))}
            <Gap px={below} columns={columns.length} />
          </tbody>
        </table>
      </div>
    </>
  )
}

/** Which rows of a long table are drawn, and how much room the others take. */
function useInSight(count: number) {
  const scroller = useRef<HTMLDivElement>(null)
  const printing = usePrinting()
  const isLong = count > MANY_ROWS && !printing
  // what it returns is read anew at each render
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtualizer = useVirtualizer({
    count: isLong ? count : 0,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: OVERSCAN,
    // before the browser has measured anything, a screenful
    initialRect: { width: 1000, height: 800 },
  })
  if (!isLong) return { scroller, from: 0, to: count, above: 0, below: 0 }
  const items = virtualizer.getVirtualItems()
  const [first, last] = [items[0], items.at(-1)]
  return {
    scroller,
    from: first?.index ?? 0,
    to: (last?.index ?? -1) + 1,
    above: first?.start ?? 0,
    below: virtualizer.getTotalSize() - (last?.end ?? 0),
  }
}

/** The room of rows that are not drawn. */
function Gap({ px, columns }: { px: number; columns: number }) {
  if (px <= 0) return null
  return (
    <tr aria-hidden="true">
      <td colSpan={columns} style={{ height: px, padding: 0, border: 0 }} />
    </tr>
  )
}

interface HeadProps<Row> {
  readonly column: TableColumn<Row>
  readonly sorted: TableSort | null
  readonly onPress: () => void
}

function Head<Row>({ column, sorted, onPress }: HeadProps<Row>) {
  const isSorted = sorted?.key === column.key
  const way = sorted?.up ? 'up' : 'down'
  return (
    <th scope="col" aria-sort={isSorted ? ARIA[way] : undefined} className={column.figure ? 'text-end' : ''}>
      {column.value ? (
        <button type="button" className="btn btn-sm btn-link p-0 fw-semibold" onClick={onPress}>
          {column.label}
          {isSorted ? ARROW[way] : ''}
        </button>
      ) : (
        column.label
      )}
    </th>
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
