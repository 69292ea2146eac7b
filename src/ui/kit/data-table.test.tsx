import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { DataTable, type TableColumn, type TableSort } from './data-table'

interface Pond {
  readonly id: string
  readonly name: string
  readonly volumeM3: number | null
}
const PONDS: readonly Pond[] = [
  { id: 'b', name: 'Brook', volumeM3: 9 },
  { id: 'a', name: 'Ärger', volumeM3: null },
  { id: 'c', name: 'Cress', volumeM3: 20 },
]
const COLUMNS: readonly TableColumn<Pond>[] = [
  { key: 'name', label: 'Pond', value: (p) => p.name, cell: (p) => <a href={`/ponds/${p.id}`}>{p.name}</a> },
  { key: 'volume', label: 'Water', value: (p) => p.volumeM3, figure: true },
  { key: 'open', label: <span className="visually-hidden">Open</span>, cell: () => '›' },
]
const names = () =>
  within(screen.getByRole('table'))
    .getAllByRole('link')
    .map((link) => link.textContent)

describe('a table', () => {
  it('stands as its rows come until a head is pressed, then up, then down, with what is not known last', async () => {
    render(<DataTable name="Ponds" columns={COLUMNS} rows={PONDS} keyOf={(p) => p.id} />)
    expect(names()).toEqual(['Brook', 'Ärger', 'Cress'])
    const water = screen.getByRole('button', { name: 'Water' })
    await userEvent.click(water)
    expect(names()).toEqual(['Brook', 'Cress', 'Ärger'])
    expect(screen.getByRole('columnheader', { name: /Water/ })).toHaveAttribute('aria-sort', 'ascending')
    await userEvent.click(water)
    expect(names()).toEqual(['Cress', 'Brook', 'Ärger'])
    expect(screen.getByRole('columnheader', { name: /Water/ })).toHaveAttribute('aria-sort', 'descending')
    await userEvent.click(screen.getByRole('button', { name: 'Pond' }))
    expect(names()).toEqual(['Ärger', 'Brook', 'Cress'])
    expect(screen.getByRole('columnheader', { name: 'Water' })).not.toHaveAttribute('aria-sort')
  })
  it('follows an order that is kept outside, and tells of a press', async () => {
    const asked: TableSort[] = []
    function Outside() {
      const [sort, setSort] = useState<TableSort>({ key: 'volume', up: false })
      const onSort = (next: TableSort) => {
        asked.push(next)
        setSort(next)
      }
      return <DataTable name="Ponds" columns={COLUMNS} rows={PONDS} keyOf={(p) => p.id} sort={sort} onSort={onSort} />
    }
    render(<Outside />)
    expect(names()).toEqual(['Cress', 'Brook', 'Ärger'])
    await userEvent.click(screen.getByRole('button', { name: /Water/ }))
    expect(asked).toEqual([{ key: 'volume', up: true }])
    expect(names()).toEqual(['Brook', 'Cress', 'Ärger'])
  })
  it('is named, has heads that belong to their columns, and no press where there is nothing to sort by', () => {
    render(<DataTable name="Ponds" columns={COLUMNS} rows={PONDS} keyOf={(p) => p.id} />)
    expect(screen.getByRole('region', { name: 'Ponds' })).toBeInTheDocument()
    for (const head of screen.getAllByRole('columnheader')) expect(head).toHaveAttribute('scope', 'col')
    expect(screen.queryByRole('button', { name: 'Open' })).not.toBeInTheDocument()
    expect(screen.getByRole('cell', { name: '20' })).toHaveClass('text-end')
  })
})
