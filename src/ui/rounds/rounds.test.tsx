import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { CrewSetup } from '@/domain/people/crew-setup'
import type { DaySheetData } from '@/server/rounds/day-sheet'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '../send'
import { DaySheetView } from './day-sheet'
import { TellArrival } from './tell-arrival'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

describe('telling a customer', () => {
  it('says that the crew is on the way, with the hour', async () => {
    render(<TellArrival visitId="v1" siteName="Tarn" time="09:40" late={false} />)
    await userEvent.click(screen.getByRole('button', { name: 'Notify Tarn that we are on the way' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/visits/v1/tell', { kind: 'on-the-way', time: '09:40' })
    expect(screen.getByRole('status')).toHaveTextContent('Notified: on the way, arriving about 09:40.')
    expect(screen.queryByRole('button', { name: /late/ })).not.toBeInTheDocument()
  })
  it('or late; and says why it could not be told', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: { title: 'No e-mail is kept: call.', status: 409, kind: 'refused' },
    })
    render(<TellArrival visitId="v1" siteName="Tarn" time="10:20" late />)
    await userEvent.click(screen.getByRole('button', { name: 'Notify Tarn that we are late' }))
    expect(screen.getByText('No e-mail is kept: call.')).toBeInTheDocument()
    expect(screen.getByRole('status')).toBeEmptyDOMElement()
  })
})

const visit = {
  id: 'v1',
  state: 'planned',
  day: '2027-03-20',
  startTime: '08:00',
  plannedMinutes: 120,
  job: { name: 'Spring cleanout' },
  siteName: 'Tarn',
  pondName: 'Pool',
  address: '4 Gull Stair',
  town: 'Ferrygate',
  customerName: 'Reeves',
  tasks: [{ id: 't', title: 'Renew the lamp' }],
  accessNotes: 'Side gate',
  note: 'Mind the dog',
}
const sheet = (over: object = {}): DaySheetData =>
  ({
    crew: { id: 'c1', name: 'Otter', setup: CrewSetup.parse({}) },
    day: '2027-03-20',
    today: '2027-03-20',
    visits: [visit],
    ways: { toStops: [25], back: 20 },
    load: {
      kit: [],
      tank: null,
      products: [{ name: 'Salt', amount: 4000, unit: 'g' }],
      tapWaterM3: 8,
      parts: [{ site: 'Tarn', task: 'Renew the lamp' }],
    },
    live: { stops: [{ id: 'v1', state: 'to-come', startMin: 515, endMin: 635, lateMin: 35 }], backMin: 700 },
    mayTell: true,
    ...over,
  }) as unknown as DaySheetData
const show = (over: object = {}) =>
  render(
    <AsPerson>
      <DaySheetView data={sheet(over)} />
    </AsPerson>,
  )

describe('a crew’s day on one sheet', () => {
  it('holds the way, the hours, who and how to get in, and leads to the visit on a device and on paper', () => {
    show()
    expect(screen.getByText('25 min drive')).toBeInTheDocument()
    expect(screen.getByRole('heading', { name: '08:00–10:00 Spring cleanout' })).toBeInTheDocument()
    expect(screen.getByText('Also on this visit: Renew the lamp')).toBeInTheDocument()
    expect(screen.getByText('Access: Side gate')).toBeInTheDocument()
    expect(screen.getByRole('link', { name: 'Field sheet' })).toHaveAttribute('href', '/field?visit=v1')
    expect(screen.getByRole('link', { name: 'Print sheet' })).toHaveAttribute('href', '/visits/v1/sheet')
  })
  it('says when to leave the yard and when the crew is back, with the drive home', () => {
    show()
    expect(screen.getByText(/Leaves yard 07:35, back 10:20/)).toHaveTextContent('2 h on site, 45 min driving')
  })
  it('says what to load before leaving', () => {
    show()
    expect(screen.getByRole('region', { name: 'Truck load' })).toHaveTextContent(/4\skg/)
    expect(screen.getByText('For Tarn: Renew the lamp')).toBeInTheDocument()
  })
  it('warns of running late, and lets the customer be told', () => {
    show()
    expect(screen.getByText('Running late')).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Notify Tarn that we are late' })).toBeInTheDocument()
  })
  it('tells nobody of a day that is not today', () => {
    show({ today: '2027-03-19' })
    expect(screen.queryByRole('button', { name: /^Notify Tarn/ })).not.toBeInTheDocument()
  })
  it('says so when a way is not known, and when there is nothing to do', () => {
    show({ ways: { toStops: [null], back: null } })
    expect(screen.getByText('driving time unknown: the site is not on the map')).toBeInTheDocument()
    show({ visits: [], ways: { toStops: [], back: null }, live: { stops: [], backMin: 0 } })
    expect(screen.getByText('No visits for this crew on this day.')).toBeInTheDocument()
  })
})
