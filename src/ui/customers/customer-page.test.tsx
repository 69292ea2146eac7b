import { render, screen, within, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { VisitId } from '@/domain/shared/ids'
import type { CustomerPagePond } from '@/server/customers/customer-page'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '@/ui/send'
import { CustomerPageView } from './customer-page-view'

jest.mock('@/ui/send', () => ({ send: jest.fn() }))
const POND = '5d1f7e52-8f0e-4a3b-9f60-2c8a9e0b7a31'
const sent = jest.mocked(send)

const visit = (n: number, done = true): CustomerPagePond['visits'][number] => ({
  id: `v${n}` as VisitId,
  day: `2027-0${n}-10`,
  jobName: `Visit ${n}`,
  done,
})
const pond = (over: Partial<CustomerPagePond> = {}): CustomerPagePond =>
  ({
    id: POND,
    name: 'Koi pond',
    siteName: 'Highcairn House',
    waterC: 14,
    measured: false,
    advice: [{ code: 'feed-normal' }, { code: 'top-up-mains', mm: 30 }],
    topUpM3: 0.4,
    readings: [
      { kind: 'ph', value: 8, belowStep: false, takenAt: '2027-05-01T08:00:00Z' },
      { kind: 'freeChlorine', value: 0, belowStep: true, takenAt: '2027-05-01T08:00:00Z' },
    ],
    visits: [],
    next: { day: '2027-06-04', startTime: '07:30', jobName: 'Routine visit' },
    coming: [{ jobName: 'Autumn netting', earliest: '2027-09-20', latest: '2027-10-22' }],
    asked: [],
    photo: null,
    ...over,
  }) as unknown as CustomerPagePond
const show = (...ponds: CustomerPagePond[]) =>
  render(
    <AsPerson>
      <CustomerPageView
        customerPage={{
          firmName: 'Rushlight Ponds',
          customerName: 'Ede Marrow',
          timeZone: 'Etc/UTC',
          today: '2027-05-03',
          ponds,
        }}
        token="t0ken"
      />
    </AsPerson>,
  )

beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} } as never))

describe('a customer’s page', () => {
  it('says first what to do this week, then what comes and how the water is, in plain words', () => {
    show(pond())
    const headings = screen.getAllByRole('heading', { level: 3 }).map((h) => h.textContent)
    expect(headings).toEqual(['This week', 'Next visits', 'Latest water tests', 'Past visits'])
    expect(screen.getByText(/Feed as usual/)).toBeInTheDocument()
    expect(screen.getByText(/evaporates each week, that is 400.L/)).toBeInTheDocument()
    expect(screen.getByText(/Friday, 4 June 2027, about 07:30/)).toBeInTheDocument()
    expect(screen.getByText(/likely between/)).toHaveTextContent('2027')
    const rows = screen.getAllByRole('row').map((r) => r.textContent)
    expect(rows[1]).toMatch(/^pH8\.0Fine/)
    expect(rows[2]).toMatch(/none found/)
  })
  it('says so where nothing is planned, nothing was tested and nothing was done', () => {
    show(pond({ next: null, coming: [], readings: [], advice: [], waterC: null }))
    expect(screen.getByText(/No visit is planned/)).toBeInTheDocument()
    expect(screen.getByText(/Visit reports appear here/)).toBeInTheDocument()
    expect(screen.queryByText('Latest water tests')).not.toBeInTheDocument()
    expect(screen.queryByText(/°C/)).not.toBeInTheDocument()
  })
  it('has its visits’ reports by the link’s own address, the newest first and the rest at a press', async () => {
    show(pond({ visits: [1, 2, 3, 4, 5, 6, 7, 8].map((n) => visit(n)).concat(visit(9, false)) }))
    expect(screen.getAllByRole('link')).toHaveLength(6)
    expect(screen.getAllByRole('link')[0]).toHaveAttribute('href', '/customer-page/t0ken/visits/v1')
    await userEvent.click(screen.getByRole('button', { name: 'Show all 8' }))
    expect(screen.getAllByRole('link')).toHaveLength(8)
    expect(screen.queryByText('Visit 9')).not.toBeInTheDocument()
  })
  it('keeps several ponds apart', () => {
    show(pond(), pond({ id: 'p2' as never, name: 'Rill' }))
    const rill = screen.getByRole('region', { name: 'Highcairn House: Rill' })
    expect(within(rill).getAllByRole('heading', { name: 'This week' })).toHaveLength(1)
  })
  it('sends a wish, shows that it was sent, and keeps the words when it was not', async () => {
    show(pond({ asked: ['Look at the falls'] }))
    expect(screen.getByText(/Look at the falls/)).toBeInTheDocument()
    await userEvent.click(screen.getByText('Request a visit'))
    sent.mockResolvedValueOnce({
      ok: false,
      problem: { title: 'No connection.', status: 0, kind: 'unavailable' },
    } as never)
    await userEvent.type(screen.getByLabelText('What do you need?'), 'Duckweed everywhere')
    await userEvent.click(screen.getByRole('button', { name: /^Send to/ }))
    expect(await screen.findByText(/No connection/)).toBeInTheDocument()
    expect(screen.getByLabelText('What do you need?')).toHaveValue('Duckweed everywhere')
    await userEvent.click(screen.getByRole('button', { name: /^Send to/ }))
    await waitFor(() => expect(sent).toHaveBeenCalledTimes(2))
    expect(sent.mock.calls[1]).toEqual([
      'POST',
      '/api/v1/customer-page/t0ken/requests',
      { pondId: POND, text: 'Duckweed everywhere', from: null, urgent: false },
    ])
    await waitFor(() => expect(screen.getByLabelText('What do you need?')).toHaveValue(''))
    expect(screen.getByText(/Duckweed everywhere/)).toBeInTheDocument()
  })
})
