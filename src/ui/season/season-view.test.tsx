import { act, render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { SeasonPageData } from '@/server/season/season-view'
import { AsPerson } from '../../../tests/fixtures/person'
import { seasonRow, seasonVisit } from '../../../tests/fixtures/season-row'
import { fetchJson, send } from '../send'
import { SeasonView } from './season-view'

jest.mock('../send', () => ({ send: jest.fn(), fetchJson: jest.fn() }))
const sent = jest.mocked(send)
const asked = jest.mocked(fetchJson)

const DAYS_OF_YEAR = 365
const data = (over: Partial<SeasonPageData> = {}): SeasonPageData => ({
  year: 2027,
  seasonFrom: 1,
  job: 'spring-cleanout',
  today: '2027-03-01',
  weather: { fetchedAt: null, reachable: true, forecastIssued: null },
  mayPlan: true,
  crunch: [],
  rows: [
    seasonRow({
      id: 'p1',
      visits: [seasonVisit({ id: 'v1' }), seasonVisit({ id: 'v2', day: '2027-02-02', state: 'done' })],
    }),
    seasonRow({ id: 'p2', siteName: 'Heron House', name: 'Mill pond' }),
  ],
  ...over,
})
const show = (over: Partial<SeasonPageData> = {}) =>
  render(
    <AsPerson>
      <SeasonView data={data(over)} />
    </AsPerson>,
  )

const visit = { id: 'v1', crewId: 'c1', day: '2027-04-06', startTime: '08:00', plannedMinutes: 60, version: 3 }
const move = (day: string) => ({ id: 'v1', version: 3, day, startTime: '08:00', crewId: 'c1' })
const verdict = (day: string, problems: readonly object[] = [], costMin = 0) => ({
  day,
  problems,
  costMin,
  moves: [move(day)],
})
const VERDICTS = {
  visit,
  sites: { v9: 'Heron House' },
  days: [verdict('2027-04-06'), verdict('2027-04-07', [], 12), verdict('2027-04-14', [{ kind: 'day-off' }])],
}

beforeEach(() => {
  sent.mockReset().mockResolvedValue({ ok: true, value: {} })
  asked.mockReset().mockResolvedValue({ ok: true, value: VERDICTS })
  // the list draws what fits its height
  jest.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(600)
  // a ribbon as wide as its year has days
  jest
    .spyOn(HTMLElement.prototype, 'getBoundingClientRect')
    .mockReturnValue({ left: 0, top: 0, width: DAYS_OF_YEAR, height: 28, right: DAYS_OF_YEAR, bottom: 28 } as DOMRect)
})

const visitButton = () => screen.getByRole('button', { name: /^Spring cleanout at Lark House/ })
const note = () => document.querySelector('.drag-note')!
/** Keys reach a lifted visit only once the library has heard of the lifting. */
const lift = async () => {
  act(() => visitButton().focus())
  await userEvent.keyboard(' ')
  await waitFor(() => expect(note()).toHaveTextContent('6 April'))
  await act(() => new Promise((resolve) => setTimeout(resolve, 20)))
}

describe('the season', () => {
  it('carries a visit a day on by a key, says what that costs, and keeps it where it is put down', async () => {
    show()
    await lift()
    await userEvent.keyboard('{ArrowRight}')
    await waitFor(() => expect(note()).toHaveTextContent('Wednesday, 7 April 2027: fits, costs 12 min'))
    await userEvent.keyboard('{Enter}')
    await waitFor(() =>
      expect(sent).toHaveBeenCalledWith('PUT', '/api/v1/visits/arrange', { moves: [move('2027-04-07')] }),
    )
    expect(await screen.findByRole('button', { name: 'Undo' })).toBeInTheDocument()
    expect(note()).toHaveTextContent('')
  })
  it('asks before it breaks something, and leaves the visit where it was on a no', async () => {
    show()
    await lift()
    await userEvent.keyboard('{Shift>}{ArrowRight}{/Shift}{ArrowRight}')
    await waitFor(() => expect(note()).toHaveTextContent('14 April'))
    await userEvent.keyboard(' ')
    await userEvent.click(await screen.findByRole('button', { name: 'Cancel' }))
    await waitFor(() => expect(note()).toHaveTextContent(''))
    expect(sent).not.toHaveBeenCalled()
  })
  it('puts it back with Escape, and on the day it came from nothing is sent', async () => {
    show()
    await lift()
    await userEvent.keyboard('{ArrowRight}{Escape}')
    expect(note()).toHaveTextContent('')
    await lift()
    await userEvent.keyboard('{Enter}')
    await waitFor(() => expect(note()).toHaveTextContent(''))
    expect(sent).not.toHaveBeenCalled()
  })
  it('put down before the answer was there, it is settled as soon as it is', async () => {
    let answer: (value: { ok: true; value: typeof VERDICTS }) => void = () => undefined
    asked.mockReturnValue(new Promise((resolve) => (answer = resolve)))
    show()
    act(() => visitButton().focus())
    await userEvent.keyboard(' ')
    await act(() => new Promise((resolve) => setTimeout(resolve, 20)))
    await userEvent.keyboard('{ArrowRight}')
    await userEvent.keyboard('{Enter}')
    expect(sent).not.toHaveBeenCalled()
    await act(async () => answer({ ok: true, value: VERDICTS }))
    await waitFor(() =>
      expect(sent).toHaveBeenCalledWith('PUT', '/api/v1/visits/arrange', { moves: [move('2027-04-07')] }),
    )
  })
  it('says so where there is no connection, and the visit stays', async () => {
    asked.mockResolvedValue({ ok: false, problem: { title: 'Offline', status: 0, kind: 'offline' } })
    show()
    act(() => visitButton().focus())
    await userEvent.keyboard(' ')
    expect(await screen.findByText(/No connection/)).toBeInTheDocument()
    expect(visitButton()).toHaveAccessibleName(/6 Apr/)
  })
  it('carries nothing for people who may not plan, and nothing that is done', () => {
    show({ mayPlan: false })
    expect(screen.queryByRole('button', { name: /Spring cleanout at/ })).not.toBeInTheDocument()
    expect(screen.getByRole('link', { name: /6 Apr.*planned/ })).toHaveAttribute('href', '/field?visit=v1')
    expect(screen.getByRole('link', { name: /2 Feb.*done/ })).toHaveAttribute('href', '/visits/v2/report')
  })
  it('finds ponds by what is typed, and shows one standing only', async () => {
    show()
    await userEvent.type(screen.getByLabelText('Find'), 'heron')
    expect(screen.queryByText('Lark House')).not.toBeInTheDocument()
    expect(screen.getByText('Heron House')).toBeInTheDocument()
    await userEvent.clear(screen.getByLabelText('Find'))
    await userEvent.selectOptions(screen.getByLabelText('Show'), 'done')
    expect(screen.getByText('Lark House')).toBeInTheDocument()
    expect(screen.queryByText('Heron House')).not.toBeInTheDocument()
  })
})
