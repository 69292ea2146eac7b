import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { ALWAYS_OPEN } from '@/domain/customers/customer'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '../send'
import { CustomersView } from './customers-view'
import type { CustomersData } from '@/server/customers/customers'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

const site = (over: object = {}) => ({
  id: 's1',
  version: 2,
  name: 'Tarn House',
  address: '4 Gull Stair',
  town: 'Ferrygate',
  accessNotes: '',
  stationId: 'ferrygate',
  lat: null,
  lon: null,
  ...ALWAYS_OPEN,
  ponds: [{ id: 'p1', name: 'Pool', jobs: ['routine', 'routine', 'netting'] }],
  ...over,
})
const customer = (over: object = {}) => ({
  id: 'c1',
  version: 5,
  name: 'The Reeves',
  email: '',
  phone: '',
  link: null,
  sites: [site()],
  ...over,
})
const show = (
  customers: readonly object[] = [
    customer(),
    customer({ id: 'c2', name: 'Inn', email: 'inn@x.example', link: 'secret', sites: [] }),
  ],
) =>
  render(
    <AsPerson role="office">
      <CustomersView
        data={{ customers, stations: [{ id: 'ferrygate', name: 'Ferrygate' }] } as unknown as CustomersData}
      />
    </AsPerson>,
  )

describe('customers', () => {
  it('are found by name, site and town', async () => {
    show()
    await userEvent.type(screen.getByLabelText('Search customers'), 'gull')
    expect(screen.getByRole('heading', { name: 'The Reeves' })).toBeInTheDocument()
    expect(screen.queryByRole('heading', { name: 'Inn' })).not.toBeInTheDocument()
  })
  it('show what is agreed once each, and a site that is not on the map', () => {
    show()
    expect(screen.getByText('not on the map')).toBeInTheDocument()
    expect(screen.getByRole('link', { name: 'Pool' }).closest('li')).toHaveTextContent(
      /^Pool Routine visit, Autumn netting Service plan$/,
    )
  })
  it('are changed; a refusal names its field', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'Nobody is reached there.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'customer.email', message: 'Nobody is reached there.' }],
      },
    })
    show([customer()])
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
  it('get a page of their own, whose link can be ended', async () => {
    show()
    await userEvent.click(screen.getByRole('button', { name: 'Share customer page: The Reeves' }))
    expect(sent).toHaveBeenLastCalledWith('POST', '/api/v1/customers/c1/link', {})
    expect(screen.getByLabelText('Link to customer page: Inn')).toHaveValue('http://localhost/customer-page/secret')
    await userEvent.click(screen.getByRole('button', { name: 'End link: Inn' }))
    expect(sent).toHaveBeenLastCalledWith('DELETE', '/api/v1/customers/c2/link', undefined)
  })
  it('come with their first pond', () => {
    show([])
    expect(screen.getByText('No customers yet. A customer is added with their first pond.')).toBeInTheDocument()
  })
})

describe('a site', () => {
  it('keeps its hours and days off', async () => {
    show([customer()])
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
