import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { ALWAYS_OPEN } from '@/domain/customers/customer'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '../send'
import { NuqsTestingAdapter } from 'nuqs/adapters/testing'
import type { CustomerId, PondId, SiteId } from '@/domain/shared/ids'
import type { CustomerLine } from '@/server/customers/customer-line-repository'
import type { CustomerOnFile } from '@/server/customers/customers'
import { CustomerList } from './customer-list'
import { CustomerView } from './customer-view'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

const site = (): CustomerOnFile['sites'][number] => ({
  id: 's1' as SiteId,
  customerId: 'c1' as CustomerId,
  version: 2,
  name: 'Tarn House',
  address: '4 Gull Stair',
  town: 'Ferrygate',
  accessNotes: '',
  stationId: 'ferrygate',
  lat: null,
  lon: null,
  ...ALWAYS_OPEN,
  ponds: [
    {
      id: 'p1' as PondId,
      name: 'Pool',
      jobs: ['routine', 'routine', 'netting'],
      state: {
        water: 'act',
        risk: null,
        lastVisit: null,
        nextVisit: null,
        filter: null,
        agreed: 2,
        followUpsDue: 0,
      },
    },
  ],
})
const line = (over: Partial<CustomerLine> = {}): CustomerLine => ({
  id: 'c1' as CustomerId,
  name: 'The Reeves',
  email: '',
  phone: '',
  sites: ['Tarn House'],
  towns: ['Ferrygate'],
  ponds: 1,
  lastVisit: '2026-05-02',
  nextVisit: null,
  agreed: 3,
  done: 1,
  planned: 1,
  openProposals: 0,
  ...over,
})
const list = (search = '') =>
  render(
    <NuqsTestingAdapter searchParams={search} hasMemory>
      <CustomerList
        customers={[
          line(),
          line({ id: 'c2' as CustomerId, name: 'Inn', sites: ['Inn terrace'], towns: ['Marrow Quay'], agreed: 0 }),
          line({ id: 'c3' as CustomerId, name: 'School', sites: [], towns: [], nextVisit: '2026-12-08', planned: 2 }),
        ]}
      />
    </NuqsTestingAdapter>,
  )
const names = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getByRole('link').textContent)

const show = (over: Partial<CustomerOnFile['customer']> = {}) =>
  render(
    <AsPerson role="office">
      <CustomerView
        data={{
          today: '2026-11-30',
          customer: {
            id: 'c1' as CustomerId,
            version: 5,
            name: 'The Reeves',
            email: '',
            phone: '',
            link: null,
            ...over,
          },
          stations: [{ id: 'ferrygate', name: 'Ferrygate' }],
          sites: [site()],
          visits: [],
          proposals: [],
        }}
      />
    </AsPerson>,
  )

describe('the list of customers', () => {
  it('is narrowed down by name, site and town', async () => {
    list()
    await userEvent.type(screen.getByLabelText('Search customers'), 'ferrygate tarn')
    await waitFor(() => expect(names()).toEqual(['The Reeves']))
  })
  it('says what was agreed this year and what came of it', () => {
    list()
    expect(screen.getByRole('row', { name: /The Reeves/ })).toHaveTextContent('1 of 3 done, 1 planned')
    expect(screen.getByRole('row', { name: /Inn terrace/ })).toHaveTextContent('no service plan')
  })
  it('shows by one press for whom something agreed is not planned yet, and keeps that in the address', async () => {
    list()
    await userEvent.click(screen.getByRole('button', { name: 'Agreed but not planned (1)' }))
    await waitFor(() => expect(names()).toEqual(['The Reeves']))
    expect(screen.queryByRole('button', { name: /^Open proposals \(/ })).not.toBeInTheDocument()
  })
  it('opens as its address says', () => {
    list('?show=unplanned&sort=name&order=down')
    expect(names()).toEqual(['The Reeves', 'Inn'])
  })
  it('says where customers come from while there is none', () => {
    render(
      <NuqsTestingAdapter>
        <CustomerList customers={[]} />
      </NuqsTestingAdapter>,
    )
    expect(screen.getByText('No customers yet. A customer is added with their first pond.')).toBeInTheDocument()
  })
})

describe('a customer', () => {
  it('shows how each pond stands, what is agreed once each, and a site that is not on the map', () => {
    show()
    expect(screen.getByText('not on the map')).toBeInTheDocument()
    expect(screen.getByRole('link', { name: 'Pool' }).closest('li')).toHaveTextContent(
      /Water: Act.*No filter designed.*Routine visit, Autumn netting.*Service plan/,
    )
  })
  it('is changed; a refusal names its field', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'Nobody is reached there.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'customer.email', message: 'Nobody is reached there.' }],
      },
    })
    show()
    await userEvent.click(screen.getByText('Edit The Reeves'))
    await userEvent.type(screen.getByLabelText('E-mail'), 'reeves')
    await userEvent.click(screen.getByRole('button', { name: 'Save customer' }))
    expect(await screen.findByText('The e-mail address is not complete.')).toBeInTheDocument()
    expect(sent).not.toHaveBeenCalled()
    await userEvent.type(screen.getByLabelText('E-mail'), '@x.example')
    await userEvent.click(screen.getByRole('button', { name: 'Save customer' }))
    expect((await screen.findAllByText('Nobody is reached there.')).length).toBeGreaterThan(0)
    await userEvent.click(screen.getByRole('button', { name: 'Save customer' }))
    expect(sent).toHaveBeenLastCalledWith('PUT', '/api/v1/customers/c1', {
      version: 5,
      customer: { name: 'The Reeves', email: 'reeves@x.example', phone: '' },
    })
    expect(await screen.findByText('Saved.')).toBeInTheDocument()
  })
  it('gets a page of their own, whose link can be ended', async () => {
    const { unmount } = show()
    await userEvent.click(screen.getByRole('button', { name: 'Share customer page: The Reeves' }))
    expect(sent).toHaveBeenLastCalledWith('POST', '/api/v1/customers/c1/link', {})
    unmount()
    show({ link: 'secret' })
    expect(screen.getByLabelText('Link to customer page: The Reeves')).toHaveValue(
      'http://localhost/customer-page/secret',
    )
    sent.mockClear()
    await userEvent.click(screen.getByRole('button', { name: 'End link: The Reeves' }))
    expect(sent).not.toHaveBeenCalled()
    await userEvent.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'End link' }))
    expect(sent).toHaveBeenLastCalledWith('DELETE', '/api/v1/customers/c1/link', undefined)
  })
})

describe('a site', () => {
  it('keeps its hours and days off', async () => {
    show()
    await userEvent.click(screen.getByText('Site details: Tarn House'))
    const form = screen.getByText('Site details: Tarn House').closest('details, div')!
    await userEvent.click(within(form as HTMLElement).getByLabelText('Sunday'))
    await userEvent.click(within(form as HTMLElement).getByRole('button', { name: /^Save/ }))
    const [method, path, body] = sent.mock.lastCall!
    expect([method, path]).toEqual(['PUT', '/api/v1/sites/s1'])
    expect(body).toMatchObject({ version: 2, site: { closedDays: ['sun'], name: 'Tarn House' } })
    // only what a form may send
    expect(Object.keys((body as { site: object }).site)).not.toContain('ponds')
  })
})
