import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { withNeed, type StockItem } from '@/domain/stores/stores'
import type { StoresPageData } from '@/server/stores/stores'
import { AsPerson } from '../../../tests/fixtures/person'
import { send, sendFile } from '../send'
import { StoresView } from './stores-view'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'

jest.mock('../send', () => ({ send: jest.fn(), sendFile: jest.fn() }))
const sent = jest.mocked(send)
const sentFile = jest.mocked(sendFile)

/** Two products are a book; every one more costs each test its time. */
const BOOK = USUAL_PRODUCTS_IN_WORDS.slice(0, 2)

const item = (over: Partial<StockItem>, needed = 0) =>
  withNeed(
    {
      id: 'i1',
      version: 1,
      name: 'Culture',
      kind: 'product',
      unit: 'mL',
      least: 500,
      productKey: 'culture',
      equipmentKind: null,
      speciesKey: null,
      place: 'Cool shelf',
      onHand: 7500,
      ...over,
    },
    needed,
  )
const stores = (over: Partial<StoresPageData> = {}): StoresPageData => ({
  today: '2027-03-20',
  until: '2027-05-01',
  visits: 4,
  items: [
    item({}, 900),
    item({ id: 'i2', name: 'Lamps', kind: 'part', unit: 'pieces', least: 2, productKey: null, onHand: 1 }, 1),
  ],
  unstocked: [],
  moves: [],
  products: BOOK,
  productsVersion: 0,
  mayWrite: true,
  mayMove: true,
  ...over,
})
const show = (over: Partial<StoresPageData> = {}) =>
  render(
    <AsPerson>
      <StoresView data={stores(over)} />
    </AsPerson>,
  )
const cellsOf = (name: RegExp) =>
  within(screen.getByRole('row', { name }))
    .getAllByRole('cell')
    .map((c) => c.textContent!.trim())

beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} } as never))

describe('the stores', () => {
  it('say what is there, what the coming weeks take, and what to order for it', () => {
    show()
    expect(screen.getByText(/4 planned visits until/)).toBeInTheDocument()
    expect(cellsOf(/^Culture/).slice(-4)).toEqual(['7.5 L', '900 mL', '500 mL', ''])
    // one is there, one is needed, two are to stay
    expect(cellsOf(/^Lamps/).slice(-4)).toEqual(['1 piece', '1 piece', '2 pieces', '2 pieces'])
    expect(within(screen.getByRole('region', { name: 'To order' })).getAllByRole('listitem')).toHaveLength(1)
  })
  it('name what is needed and on no shelf', () => {
    show({ items: [], unstocked: [{ amount: 1200, product: BOOK[0]! }] })
    expect(screen.getByText(/No stock yet/)).toBeInTheDocument()
    expect(screen.getByRole('region', { name: 'To order' })).toHaveTextContent('1.2 kg needed, none in stock')
  })
  it('book what came in on the item that was chosen', async () => {
    show()
    await userEvent.click(screen.getByRole('button', { name: /Culture/ }))
    const form = screen.getByRole('region', { name: 'Culture' })
    await userEvent.type(within(form).getByLabelText('Amount, mL'), '2000')
    await userEvent.click(within(form).getByRole('button', { name: 'Save movement' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/stock/i1/move', { move: 'received', amount: 2000, note: '' })
    expect(await within(form).findByText('Saved.')).toBeInTheDocument()
    expect(within(form).getByLabelText('Amount, mL')).toHaveValue('')
  })
  it('are only read by those who may not book', async () => {
    show({ mayWrite: false, mayMove: false })
    expect(screen.queryByRole('button', { name: 'Add item' })).not.toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: /Culture/ }))
    expect(screen.queryByRole('button', { name: 'Save movement' })).not.toBeInTheDocument()
  })
  it('show movements with a true minus, who and why', () => {
    show({
      moves: [
        {
          id: 'm1',
          item: 'Culture',
          unit: 'mL',
          amount: -300,
          move: 'used',
          note: 'spilt',
          by: 'Tamsy',
          at: '2027-03-20T08:00:00Z',
        },
      ] as never,
    })
    expect(screen.getByRole('region', { name: 'Stock movements' })).toHaveTextContent(
      /Culture: −300 mL used, spilt · Tamsy/,
    )
  })
})

describe('the product book', () => {
  const CSV = new File(['key,name'], 'book.csv', { type: 'text/csv' })
  const book = () => within(screen.getByRole('region', { name: 'Product book' }))
  const renamed = BOOK.map((p, i) => (i === 0 ? { ...p, name: 'Renamed in the file' } : p))
  const view = (over: Partial<StoresPageData> = {}) => (
    <AsPerson>
      <StoresView data={stores(over)} />
    </AsPerson>
  )
  const readCsv = () => userEvent.upload(book().getByLabelText('Import products (CSV): file'), CSV)
  beforeEach(() => {
    File.prototype.arrayBuffer = () => Promise.resolve(new TextEncoder().encode('key,name').buffer)
    sentFile.mockReset().mockResolvedValue({ ok: true, value: { read: 1, problems: [] } })
  })

  it('shows what a file changed, and is saved on from there', async () => {
    const { rerender } = render(view({ productsVersion: 4 }))
    await readCsv()
    rerender(view({ productsVersion: 5, products: renamed }))
    expect(await book().findByText('Renamed in the file')).toBeInTheDocument()
    await userEvent.click(book().getByRole('button', { name: 'Save product book' }))
    expect(sent).toHaveBeenCalledWith('PUT', '/api/v1/products', { version: 5, products: renamed })
  })
  it('reads no file over changes that are not saved', async () => {
    render(view())
    await userEvent.click(book().getByRole('button', { name: 'Add product' }))
    await readCsv()
    expect(sentFile).not.toHaveBeenCalled()
    expect(book().getByText(/Save the product book first/)).toBeInTheDocument()
    await userEvent.click(book().getByRole('button', { name: 'Save product book' }))
    await readCsv()
    expect(sentFile).toHaveBeenCalledTimes(1)
  })
  it('keeps what is being changed when somebody else has saved meanwhile', async () => {
    const { rerender } = render(view({ productsVersion: 4 }))
    await userEvent.click(book().getByRole('button', { name: 'Add product' }))
    rerender(view({ productsVersion: 5, products: renamed }))
    expect(book().queryByText('Renamed in the file')).not.toBeInTheDocument()
    expect(book().getByText(`Product ${BOOK.length + 1}`)).toBeInTheDocument()
  })
})

it('a shelf of rooted pieces says of which plant, so that visits and gaps find it', async () => {
  sent.mockReset().mockResolvedValue({ ok: true, value: {} })
  render(
    <AsPerson>
      <StoresView data={stores()} />
    </AsPerson>,
  )
  const form = screen.getByRole('form', { name: 'New item' })
  await userEvent.selectOptions(within(form).getByLabelText('Kind'), 'plant')
  await userEvent.selectOptions(within(form).getByLabelText('Rooted plants of'), 'caltha-palustris')
  await userEvent.click(within(form).getByRole('button', { name: 'Add item' }))
  expect(sent).toHaveBeenCalledWith(
    'POST',
    '/api/v1/stock',
    expect.objectContaining({ kind: 'plant', speciesKey: 'caltha-palustris', unit: 'pieces' }),
  )
})
