import { act, render, renderHook, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { Hazard } from '@/core/assimilation/hazards'
import type { Measures } from '@/core/ecosystem/measures'
import { checkDiagnosis, type DayTest } from '@/domain/diagnosis/diagnosis-check'
import type { ForecastRun, Risk } from '@/domain/forecasts/forecast'
import type { DiagnosisData } from '@/server/diagnosis/diagnosis'
import type { ForecastsPageData } from '@/server/forecasts/forecasts'
import { AsPerson } from '../../../tests/fixtures/person'
import { ServerData } from '@/ui/kit/server-data'
import { fetchJson, send } from '@/ui/send'
import { SavedDiagnoses } from '@/ui/diagnosis/saved-diagnoses'
import { useForecastRun } from './use-forecast-run'
import { Verdict } from './verdict'
import { ForecastsView } from './forecasts-view'
import { RiskText } from './risk-text'

const refresh = jest.fn()
const router = { refresh }
jest.mock('next/navigation', () => ({ useRouter: () => router }))
jest.mock('@/ui/send', () => ({ send: jest.fn(), fetchJson: jest.fn() }))
const [sent, asked] = [jest.mocked(send), jest.mocked(fetchJson)]
beforeEach(() => {
  refresh.mockReset()
  asked.mockReset()
  sent.mockReset().mockResolvedValue({ ok: true, value: {} } as never)
})

const risk = (hazard: Hazard, over: Partial<Risk> = {}): Risk => ({
  hazard,
  week: 0.6,
  whole: 0.8,
  day: '2027-07-05',
  weight: 0.5,
  jobKey: 'routine',
  ...over,
})

describe('a risk', () => {
  const says = (hazard: Hazard, units: 'metric' | 'us' = 'metric', over: Partial<Risk> = {}) => {
    const { container, unmount } = render(
      <AsPerson units={units}>
        <RiskText risk={risk(hazard, over)} />
      </AsPerson>,
    )
    const text = container.textContent!.replaceAll('\u00a0', ' ')
    unmount()
    return text
  }
  it.each([
    ['oxygen', 'likely Low oxygen: below 5 mg/L at night in 80 % of runs, about Mon 5 Jul'],
    ['nitrite', 'likely Nitrite: above 0.5 mg/L in 80 % of runs, about Mon 5 Jul'],
    ['heat', 'likely Too warm for fish: above 30.0 °C in 80 % of runs, about Mon 5 Jul'],
    ['level', 'likely Falling level: 35 mm down in 80 % of runs, about Mon 5 Jul'],
    ['murk', 'likely Murky water: clarity below 0.45 m in 80 % of runs, about Mon 5 Jul'],
  ] as const)('of %s names its line, how likely it is, and when', (hazard, text) => expect(says(hazard)).toBe(text))
  it('is told in the person’s units', () => {
    expect(says('heat', 'us')).toContain('above 86.0 °F')
    expect(says('level', 'us')).toMatch(/1\.38 in down|1⅜ in down/)
  })
  it('its word is of the figure beside it, whenever it comes', () => {
    expect(says('ammonia', 'metric', { week: 0.2, whole: 0.31 })).toMatch(/^maybe NH₃: above .* in 31 % of runs/)
    expect(says('oxygen', 'metric', { week: 0.1, whole: 0.94 })).toMatch(/^likely Low oxygen: .* in 94 % of runs/)
  })
})

const RUN: ForecastRun = {
  id: 'r1' as ForecastRun['id'],
  state: 'done',
  done: 44,
  ponds: 44,
  problem: '',
  askedAt: '2027-07-01T03:00:00Z',
  finishedAt: '2027-07-01T03:01:00Z',
}
const model = (over: Partial<ForecastsPageData> = {}): ForecastsPageData => ({
  today: '2027-07-01',
  run: RUN,
  lines: [],
  accuracy: { invented: false, counts: { tests: 0, lookedBack: 0, earlier: 0 }, kinds: [], said: [] },
  ponds: 44,
  mayPlan: true,
  mayRun: true,
  ...over,
})
const showLab = (over: Partial<ForecastsPageData> = {}) =>
  render(
    <AsPerson>
      <ForecastsView data={model(over)} />
    </AsPerson>,
  )
const region = (name: string) => screen.getByRole('region', { name })

describe('the forecasts page', () => {
  it('ranks the ponds at risk, with their reasons and the visit that would help', () => {
    showLab({
      lines: [
        {
          pondId: 'p1',
          pondName: 'Canteen pond',
          siteName: 'Works',
          risk: 0.9,
          risks: [risk('nitrite'), risk('oxygen'), risk('murk')],
        },
        {
          pondId: 'p2',
          pondName: 'Basin',
          siteName: 'Hall',
          risk: 0.1,
          risks: [risk('murk', { jobKey: 'wetland-flush' })],
        },
      ] as never,
    })
    const lines = within(region('Ponds at risk')).getAllByRole('listitem')
    expect(lines).toHaveLength(2)
    expect(within(lines[0]!).getByRole('link', { name: 'Works: Canteen pond' })).toHaveAttribute(
      'href',
      '/ponds/p1/forecast',
    )
    // the two that weigh most, no more
    expect(lines[0]).toHaveTextContent(/Nitrite.*Low oxygen/)
    expect(lines[0]).not.toHaveTextContent('Murky water')
    expect(within(lines[1]!).getByRole('link', { name: 'Schedule: wetland flush' })).toHaveAttribute(
      'href',
      '/ponds/p2/plan?job=wetland-flush',
    )
  })
  it('offers no plan and no run to those who may not', () => {
    showLab({
      mayPlan: false,
      mayRun: false,
      lines: [{ pondId: 'p1', pondName: 'Pool', siteName: 'Hall', risk: 1, risks: [risk('heat')] }] as never,
    })
    expect(screen.queryByRole('link', { name: /^Schedule:/ })).not.toBeInTheDocument()
    expect(screen.queryByRole('button', { name: 'Forecast all ponds now' })).not.toBeInTheDocument()
  })
  it('tells ponds at ease from ponds that were never forecast', () => {
    const { unmount } = showLab()
    expect(screen.getByText('No pond comes near a limit.')).toBeInTheDocument()
    unmount()
    showLab({ ponds: 0, run: null })
    expect(screen.getByText(/No forecasts yet/)).toBeInTheDocument()
    expect(screen.getByText(/None yet\. Forecasts are calculated every night/)).toBeInTheDocument()
  })
  it('says nothing of ponds that are still being worked out', () => {
    showLab({ run: { ...RUN, state: 'running', done: 3, finishedAt: null } })
    expect(screen.getByText('The forecasts are being calculated.')).toBeInTheDocument()
    expect(screen.queryByText('No pond comes near a limit.')).not.toBeInTheDocument()
  })
  it('says when a forecast broke off or was stopped', () => {
    const { unmount } = showLab({ run: { ...RUN, state: 'failed', problem: 'The forecast broke off.' } })
    expect(region('Latest forecast')).toHaveTextContent('The forecast broke off.')
    unmount()
    showLab({ run: { ...RUN, state: 'stopped', done: 12 } })
    expect(region('Latest forecast')).toHaveTextContent(/Stopped 1 Jul 2027.*12 of 44 ponds/)
  })
})

describe('a forecast under way', () => {
  beforeEach(() => jest.useFakeTimers())
  afterEach(() => jest.useRealTimers())
  // the answer is there a moment after it was asked for
  const second = () => act(async () => void (await jest.advanceTimersByTimeAsync(1010)))

  it('is followed from the asking to its end, and then the page is read anew', async () => {
    sent.mockResolvedValue({ ok: true, value: { id: 'r2' } } as never)
    const { result } = renderHook(() => useForecastRun(RUN), { wrapper: ServerData })
    expect(result.current.underWay).toBe(false)
    await act(() => result.current.ask())
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/forecasts')
    expect(result.current).toMatchObject({ underWay: true, run: { state: 'queued' } })
    asked.mockResolvedValueOnce({ ok: true, value: { ...RUN, id: 'r2', state: 'running', done: 7 } } as never)
    await second()
    expect(result.current.run).toMatchObject({ state: 'running', done: 7 })
    expect(refresh).not.toHaveBeenCalled()
    asked.mockResolvedValueOnce({ ok: true, value: { ...RUN, id: 'r2' } } as never)
    await second()
    expect(result.current.underWay).toBe(false)
    expect(refresh).toHaveBeenCalledTimes(1)
    // nothing is asked any more
    await second()
    expect(asked).toHaveBeenCalledTimes(2)
  })
  it('goes on being followed through a moment without connection', async () => {
    const { result } = renderHook(() => useForecastRun({ ...RUN, state: 'running', done: 3, finishedAt: null }), {
      wrapper: ServerData,
    })
    asked.mockResolvedValueOnce({
      ok: false,
      problem: { title: 'No connection.', status: 0, kind: 'offline' },
    } as never)
    await second()
    expect(result.current).toMatchObject({ underWay: true, problem: { kind: 'offline' } })
    asked.mockResolvedValueOnce({ ok: true, value: RUN } as never)
    await second()
    expect(result.current).toMatchObject({ underWay: false, problem: null })
  })
  it('is stopped by its own address, and a refusal is shown', async () => {
    const { result } = renderHook(() => useForecastRun({ ...RUN, state: 'running', finishedAt: null }), {
      wrapper: ServerData,
    })
    sent.mockResolvedValueOnce({ ok: false, problem: { title: 'Not yours', status: 403, kind: 'forbidden' } } as never)
    await act(() => result.current.stop())
    expect(sent).toHaveBeenCalledWith('DELETE', '/api/v1/forecasts/r1')
    expect(result.current.problem).toMatchObject({ title: 'Not yours' })
  })
})

describe('an earlier diagnosis', () => {
  const on = (day: string, kind: string, value: number): DayTest => ({ day, kind, value })
  const kept = (tests: readonly DayTest[], over: object = {}) => {
    const made = { findings: { 'nitrite-high': true, 'water-green': true } as const, madeOn: '2027-06-10' }
    return {
      id: 'd1',
      cause: 'green-filter-small',
      ...made,
      madeByName: 'Maren',
      betterFrom: '2027-06-20',
      betterTo: '2027-07-01',
      outcome: null,
      check: checkDiagnosis(made, tests, 1.2),
      photos: { before: null, since: null },
      ...over,
    }
  }
  const show = (diagnosis: object, over: Partial<DiagnosisData> = {}) =>
    render(
      <AsPerson>
        <SavedDiagnoses
          data={{ today: '2027-07-10', kept: [diagnosis], mayLog: true, ...over } as unknown as DiagnosisData}
        />
      </AsPerson>,
    )
  const before = [on('2027-06-09', 'nitrite', 1.2), on('2027-06-09', 'clarityDepth', 0.2)]

  it('is held against the tests since: what mended, and what did not', () => {
    show(kept([...before, on('2027-06-25', 'nitrite', 0.1), on('2027-06-25', 'clarityDepth', 0.25)]))
    const lines = within(region('Earlier diagnoses')).getAllByRole('listitem')[0]
    expect(lines).toHaveTextContent('partly according to tests since')
    expect(lines).toHaveTextContent(/Gone, nitrite 1\.2 mg\/L then, 0\.1\d* mg\/L on Fri 25 Jun/)
    expect(lines).toHaveTextContent(
      /Is the water still murky\? Still present, clarity \(secchi depth\) .* then, .* on Fri 25 Jun/,
    )
  })
  it('says what would tell, and that it is time, when nobody has tested', () => {
    show(kept(before))
    expect(region('Earlier diagnoses')).toHaveTextContent('It should have improved by now, but nobody has tested.')
    expect(region('Earlier diagnoses')).toHaveTextContent('Not tested since: nitrite would show.')
  })
  it('waits in silence until its day has come', () => {
    show(kept(before), { today: '2027-06-15' })
    expect(region('Earlier diagnoses')).not.toHaveTextContent('nobody has tested')
  })
  it('shows the pond before and since', () => {
    const photo = (id: string, day: string) => ({ id, takenAt: `${day}T10:00:00Z` })
    show(kept(before, { photos: { before: photo('a', '2027-06-09'), since: photo('b', '2027-06-25') } }))
    expect(screen.getByRole('img', { name: 'Pond before' })).toHaveAttribute('src', '/api/v1/photos/a?size=thumbnail')
    expect(screen.getByRole('img', { name: 'Pond since' }).closest('figure')).toHaveTextContent('since, Fri 25 Jun')
  })
  it('takes what people say came of it; those who only read see it', async () => {
    const { unmount } = show(kept(before))
    await userEvent.click(screen.getByRole('button', { name: 'Partly improved' }))
    expect(sent).toHaveBeenCalledWith('PUT', '/api/v1/diagnoses/d1', { outcome: 'partly' })
    await waitFor(() => expect(refresh).toHaveBeenCalled())
    unmount()
    show(kept(before, { outcome: 'partly' }), { mayLog: false })
    expect(screen.queryByRole('button', { name: 'Partly improved' })).not.toBeInTheDocument()
    expect(screen.getByText('Partly improved')).toBeInTheDocument()
  })
})

describe('the verdict of a comparison', () => {
  const measures = (over: Partial<Measures>): Measures => ({
    fishLost: 0,
    peakTan: 0.5,
    peakTanDay: 10,
    peakNh3: 0.01,
    peakNitrite: 0.3,
    peakNitriteDay: 12,
    leastOxygen: 6,
    harmDays: 2,
    murkyDays: 5,
    clearDay: 8,
    meanClarityM: 0.9,
    mostStringAlgae: 0.1,
    leastBacteria: 0.4,
    ...over,
  })
  const runs = (over: Partial<Measures>) =>
    Array.from({ length: 20 }, (_, i) => measures({ ...over, peakTan: (over.peakTan ?? 0.5) + i * 0.001 }))
  const show = (options: readonly (readonly Measures[])[], names: readonly string[]) =>
    render(
      <AsPerson>
        <Verdict days={60} measures={options} names={names} />
      </AsPerson>,
    )

  it('says in words what is better and what is worse, and how surely', () => {
    show([runs({}), runs({ peakTan: 2, murkyDays: 0 })], ['In stages', 'All at once'])
    const lines = screen.getAllByRole('listitem').map((line) => line.textContent!.replaceAll('\u00a0', ' '))
    expect(lines).toEqual([
      expect.stringMatching(
        /^worse ammonia peaks higher: 2 mg\/L instead of 0\.51 mg\/L \(in \d+ of \d+ runs; \d+ to 100 % of such years\)$/,
      ),
      expect.stringMatching(/^better fewer murky days: none instead of 5 days/),
    ])
    expect(screen.getByText(/20 runs of each option/)).toBeInTheDocument()
  })
  it('claims no difference that chance could have made', () => {
    show([runs({}), runs({})], ['One', 'The same'])
    expect(screen.getByText('No difference beyond chance in these runs.')).toBeInTheDocument()
  })
  it('asks for another way where there is only one', () => {
    show([runs({})], ['Alone'])
    expect(screen.getByText(/Only one option/)).toBeInTheDocument()
  })
})
