import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { TodayPageData } from '@/server/today/today'
import type { Role } from '@/domain/people/roles'
import { AsPerson } from '../../../tests/fixtures/person'
import { TodayView } from './today-view'

const visit = (id: string, over: object = {}) => ({
  id,
  state: 'planned',
  day: '2027-03-20',
  startTime: '08:00',
  plannedMinutes: 150,
  crewName: 'Otter',
  jobName: 'Spring cleanout',
  siteName: 'Tarn',
  pondName: 'Pool',
  town: 'Ferrygate',
  ...over,
})
const today = (over: object = {}): TodayPageData =>
  ({
    today: '2027-03-20',
    todays: [
      visit('v1'),
      visit('v2', { state: 'done', startTime: '13:00', plannedMinutes: 30, jobName: 'Routine visit' }),
    ],
    coming: [visit('v3', { day: '2027-03-23' })],
    toPlan: [
      {
        pondId: 'p1',
        siteName: 'Mill',
        pondName: 'Pond',
        earliest: '2027-03-22',
        best: '2027-04-02',
        latest: '2027-04-20',
      },
    ],
    toPlanCount: 1,
    pondCount: 9,
    risks: [],
    concerns: [
      {
        pondId: 'p2',
        siteName: 'Yard',
        pondName: 'Basin',
        kind: 'nitrite',
        value: 0.6,
        band: 'act',
        nh3MgL: null,
        missing: [],
        takenAt: '2027-03-19T09:00:00Z',
      },
    ],
    concernCount: 1,
    followUpCount: 2,
    answers: [],
    requests: { count: 0, lines: [] },
    unlogged: { count: 0, lines: [] },
    followUps: [
      {
        id: 'f1',
        pondId: 'p2',
        siteName: 'Yard',
        pondName: 'Basin',
        title: 'Test again',
        dueFrom: '2027-03-10',
        dueTo: '2027-03-15',
      },
      {
        id: 'f2',
        pondId: 'p3',
        siteName: 'Inn',
        pondName: 'Pond',
        title: 'Lamp',
        dueFrom: '2027-03-18',
        dueTo: '2027-03-28',
      },
    ],
    water: { coldest: 3.1, middle: 6.2, warmest: 9 },
    weather: { reachable: true, fetchedAt: '2027-03-20T05:00:00Z', now: [] },
    ...over,
  }) as unknown as TodayPageData
const show = (over: object = {}, role: Role = 'office') =>
  render(
    <AsPerson role={role}>
      <TodayView data={today(over)} />
    </AsPerson>,
  )

describe('the day at a glance', () => {
  it('leads to the field sheet of what is to be done, and to the report of what is done', () => {
    show()
    expect(screen.getByText('08:00–10:30')).toBeInTheDocument()
    expect(screen.getAllByRole('link', { name: 'Spring cleanout: Tarn, Pool' })[0]).toHaveAttribute(
      'href',
      '/field?visit=v1',
    )
    expect(screen.getByRole('link', { name: 'Routine visit: Tarn, Pool' })).toHaveAttribute('href', '/visits/v2/report')
    expect(screen.getByText(/Tue 23 Mar/)).toBeInTheDocument()
  })
  it('shows a day of many visits crew by crew, what is done folded away, and the days to come as sums', () => {
    const many = Array.from({ length: 10 }, (_, i) =>
      visit(`m${i}`, {
        crewName: i < 6 ? 'Otter' : 'Newt',
        state: i < 4 ? 'done' : 'planned',
        startTime: `${String(8 + i).padStart(2, '0')}:00`,
        siteName: `Site ${i}`,
        plannedMinutes: 30,
      }),
    )
    const coming = many.map((v, i) => ({
      ...v,
      id: `c${i}`,
      state: 'planned',
      day: i < 7 ? '2027-03-22' : '2027-03-23',
    }))
    show({ todays: many, coming })
    const rounds = screen.getByRole('heading', { name: 'Today’s visits' }).closest('section')!
    expect(within(rounds).getByRole('progressbar', { name: 'Visits of Otter that are done' })).toHaveAttribute(
      'aria-valuenow',
      '4',
    )
    expect(rounds).toHaveTextContent('4 of 6 done')
    expect(rounds).toHaveTextContent('0 of 4 done')
    expect(within(rounds).queryByRole('link', { name: /Site 0/ })).not.toBeInTheDocument()
    expect(within(rounds).getByRole('link', { name: /Site 5/ })).toHaveAttribute('href', '/field?visit=m5')
    const days = screen.getByRole('heading', { name: 'The next two weeks' }).closest('section')!
    expect(days).toHaveTextContent('7 visits, 2 crews, 4 h on site')
    expect(within(days).getByRole('link', { name: 'Tue 23 Mar' })).toHaveAttribute('href', '/rounds?day=2027-03-23')
  })
  it('shows the first of many follow-ups, and the rest on request', async () => {
    const followUps = Array.from({ length: 9 }, (_, i) => ({
      id: `f${i}`,
      pondId: 'p1',
      siteName: 'Yard',
      pondName: 'Basin',
      title: `Look ${i}`,
      dueFrom: '2027-03-10',
      dueTo: '2027-03-25',
    }))
    show({ followUps, followUpCount: 9 })
    const list = screen.getByRole('heading', { name: 'Follow-ups (9)' }).closest('section')!
    expect(within(list).getAllByRole('listitem')).toHaveLength(6)
    await userEvent.click(within(list).getByRole('button', { name: 'Show 3 more' }))
    expect(within(list).getAllByRole('listitem')).toHaveLength(9)
  })
  it('leads from a risk to the planning of a visit', () => {
    show({ followUps: [] })
    expect(screen.getByRole('link', { name: 'Schedule a visit at Yard' })).toHaveAttribute(
      'href',
      '/ponds/p2/plan?job=routine',
    )
  })
  it('names ponds at risk with the test that says so', () => {
    show()
    const risk = screen.getByRole('heading', { name: 'Ponds at risk (1)' }).closest('section')!
    expect(risk).toHaveTextContent(/Act\s*Yard: Basin\s*Schedule visit\s*Nitrite 0\.6\smg\/L, 19 Mar 2027/)
  })
  it('counts all that waits, customers’ urgent requests before all else', () => {
    const request = (id: string, urgent: boolean) => ({
      id,
      pondId: 'p1',
      siteName: 'Mill',
      pondName: 'Pond',
      title: `Wish ${id}`,
      urgent,
      dueTo: '2027-03-24',
    })
    const late = {
      id: 'v9',
      day: '2027-03-18',
      state: 'planned',
      jobName: 'Routine visit',
      crewName: 'Newt',
      siteName: 'Inn',
      pondName: 'Pool',
    }
    const answer = {
      id: 'a1',
      pondId: 'p1',
      number: 4,
      title: 'A bed',
      siteName: 'Mill',
      state: 'accepted',
      answerName: 'Nessa',
      option: 'Better',
      answeredAt: '2027-03-19T10:00:00Z',
      madeByName: 'Sunnet',
    }
    show({
      requests: { count: 12, lines: [request('1', true), request('2', false)] },
      unlogged: { count: 3, lines: [late] },
      answers: [answer],
    })
    expect(screen.getByRole('heading', { name: 'Customer requests (12)' }).closest('section')).toHaveTextContent(
      /Urgent.*Wish 1.*Wish 2/,
    )
    expect(screen.getByRole('heading', { name: 'Visits without a log (3)' }).closest('section')).toHaveTextContent(
      /18 Mar.*Newt.*Routine visit: Inn, Pool/,
    )
    expect(screen.getByRole('heading', { name: 'Proposal answers (1)' }).closest('section')).toHaveTextContent(
      'Option Better, by Nessa',
    )
  })
  it('says what is late, and only that', () => {
    show()
    const list = within(screen.getByRole('heading', { name: 'Follow-ups (2)' }).closest('section')!).getAllByRole(
      'listitem',
    )
    expect(list.map((item) => item.textContent!.startsWith('Late'))).toEqual([true, false])
  })
  it('asks the office, not the crew, to plan what has no day yet', () => {
    show()
    expect(screen.getByText('1 pond has no cleanout in the coming window; the earliest first.')).toBeInTheDocument()
    expect(screen.getByRole('link', { name: 'Schedule cleanout' })).toHaveAttribute('href', '/ponds/p1/plan')
  })
  it('shows a crew the same without what is not theirs', () => {
    show({}, 'technician')
    expect(screen.queryByRole('link', { name: /Schedule/ })).not.toBeInTheDocument()
  })
  it('begins with what must be decided for the office, and with the rounds for a crew', () => {
    const headings = () => screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent)
    const { unmount } = show()
    expect(headings()[0]).toBe('Ponds at risk (1)')
    unmount()
    show({}, 'technician')
    expect(headings()[0]).toBe('Today’s visits')
  })
  it('tells a newcomer what is still missing', () => {
    show({ todays: [], coming: [], toPlan: [], toPlanCount: 0, pondCount: 0, concerns: [], followUps: [], water: null })
    for (const words of [
      'No visits today.',
      'No visits in the next 14 days.',
      'Add your first pond to see its season windows here.',
      'All recent water tests are within their limits.',
      'None due.',
      'Water temperatures appear once you have added ponds and the weather service has answered.',
    ])
      expect(screen.getByText(words)).toBeInTheDocument()
  })
  it('says how old its weather is when the desk is silent', () => {
    show({ weather: { reachable: false, fetchedAt: '2027-03-18T05:00:00Z', now: [] } })
    expect(
      screen.getByText('The weather service is not answering. Figures are from 18 Mar 2027, 05:00.'),
    ).toBeInTheDocument()
  })
})
