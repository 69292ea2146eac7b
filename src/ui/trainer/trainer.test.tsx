import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { minutesOf, NOTHING, Play, refusalsOf, type WeekChoice } from '@/core/trainer/play'
import { trainerScenario } from '@/core/trainer/scenarios'
import type { WeekView } from '@/core/trainer/view'
import { TRAINING_DEPTH_M, worldOf } from '@/core/trainer/world'
import type { TrainerGameData, TrainerPageData } from '@/server/trainer/trainer-games'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '@/ui/send'
import { Notebook } from './notebook'
import { TrainerView } from './trainer-view'
import { TaskChoices } from './task-choices'
import type { Season } from './use-season'
import { WeekSheet } from './week-sheet'

const push = jest.fn()
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: jest.fn() }) }))
jest.mock('@/ui/send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)

const SCENARIO = trainerScenario('spring-rush')
const morning = new Play(worldOf(SCENARIO, 2)).view()
const frozen: WeekView = { ...morning, scene: { ...morning.scene, iceM: 0.05 } }

const calls = { test: jest.fn(), choose: jest.fn(), ask: jest.fn(), follow: jest.fn(), goHome: jest.fn() }
const season = (over: Partial<Season> = {}, view = morning): Season => {
  const visit = over.visit ?? NOTHING
  return {
    scenario: SCENARIO,
    choices: [],
    mornings: [view],
    view,
    over: false,
    visit,
    advice: null,
    refusals: refusalsOf(visit, view, SCENARIO.minutesPerWeek),
    problem: null,
    busy: false,
    minutesLeft: SCENARIO.minutesPerWeek - minutesOf(visit),
    ...calls,
    ...over,
  } as unknown as Season
}
const data = {
  game: { id: 'g1', scenario: 'spring-rush', seed: 2, choices: [] },
  bestBefore: null,
  currency: 'EUR',
} as unknown as TrainerGameData
const showWeek = (over: Partial<Season> = {}, view = morning) =>
  render(
    <AsPerson>
      <WeekSheet data={data} season={season(over, view)} view={view} />
    </AsPerson>,
  )
const inside = (name: string) => within(screen.getByRole('region', { name }))
const doing = (...tasks: WeekChoice['tasks']): WeekChoice => ({ ...NOTHING, tasks })

beforeEach(() => {
  push.mockReset()
  sent.mockReset().mockResolvedValue({ ok: true, value: { id: 'g9' } } as never)
  for (const call of Object.values(calls)) call.mockReset()
})

describe('a week on the training pond', () => {
  it('shows what an eye sees and nothing that only a test would tell', () => {
    showWeek()
    expect(inside('Pond').getByRole('img')).toHaveAccessibleName(/^Training pond: /)
    expect(inside('Pond').getAllByRole('listitem').length).toBeGreaterThan(0)
    expect(document.body.textContent).not.toMatch(/mg\/L/)
  })
  it('hands out a test’s result once it is made, and takes its time', async () => {
    showWeek()
    await userEvent.click(inside('Tests').getByRole('button', { name: /Nitrite 5 min/ }))
    expect(calls.test).toHaveBeenCalledWith('nitrite')
    const tested = { ...NOTHING, tests: ['nitrite' as const] }
    showWeek({ visit: tested })
    expect(screen.getAllByText(/mg\/L/).length).toBe(1)
    expect(screen.getByText(`${SCENARIO.minutesPerWeek - 5} min left`)).toBeInTheDocument()
  })
  it('calls water clear to the floor when a hand is seen as deep as the pond', () => {
    showWeek(
      { visit: { ...NOTHING, tests: ['clarityDepth'] } },
      { ...morning, kit: { ...morning.kit, clarityDepth: TRAINING_DEPTH_M } },
    )
    expect(inside('Tests').getByText('to the bottom')).toBeInTheDocument()
  })
  it('does not begin a test that the time no longer reaches for', () => {
    showWeek({ minutesLeft: 2 })
    expect(inside('Tests').getByRole('button', { name: /Nitrite/ })).toBeDisabled()
    expect(inside('Tests').getByRole('button', { name: /Water temperature/ })).toBeEnabled()
  })
  it('refuses a visit that takes longer than there is, before it is done', () => {
    showWeek({ visit: doing({ task: 'vacuum', option: 'all' }) })
    expect(screen.getByRole('alert')).toHaveTextContent(
      `That takes 90 minutes; you have ${SCENARIO.minutesPerWeek}. Leave something for next week.`,
    )
    expect(screen.getByText('30 min too long')).toBeInTheDocument()
    expect(screen.getByRole('button', { name: /Finish visit/ })).toBeDisabled()
  })
  it('adds up what is bought', () => {
    showWeek({ visit: doing({ task: 'kh', option: 'three' }, { task: 'bacteria', option: 'media' }) })
    expect(inside('This visit').getByText(/^€29 of materials/)).toBeInTheDocument()
  })
  it('goes home once, not twice, and says when it could not be kept', async () => {
    const { unmount } = showWeek()
    await userEvent.click(screen.getByRole('button', { name: /Finish visit/ }))
    expect(calls.goHome).toHaveBeenCalledTimes(1)
    unmount()
    showWeek({
      busy: true,
      problem: { title: 'No connection. Nothing was saved; your entries are still here.', status: 0, kind: 'offline' },
    })
    expect(screen.getByRole('button', { name: /Finish visit/ })).toBeDisabled()
    expect(screen.getByText(/No connection/)).toBeInTheDocument()
  })
  it('has a foreman who is asked at a price, told again for nothing, and followed', async () => {
    const { unmount } = showWeek()
    await userEvent.click(screen.getByRole('button', { name: 'Ask the foreman' }))
    expect(calls.ask).toHaveBeenCalled()
    expect(screen.getByText(/Each question costs two points/)).toBeInTheDocument()
    unmount()
    const again = showWeek({ visit: { ...NOTHING, asked: true } })
    expect(screen.getByText(/Hearing it again costs nothing/)).toBeInTheDocument()
    again.unmount()
    showWeek({ advice: { choice: NOTHING, why: 'firstPumpBacteriaNeed' } })
    expect(inside('The foreman').getByText(/First the pump/)).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Plan the visit like that' }))
    expect(calls.follow).toHaveBeenCalled()
  })
})

describe('what can be done', () => {
  const show = (over: Partial<Season> = {}, view = morning) =>
    render(<TaskChoices season={season(over, view)} view={view} currency="EUR" />)
  const tab = (name: string) => userEvent.click(screen.getByRole('tab', { name: new RegExp(`^${name}`) }))
  const group = (name: string) => within(screen.getByRole('group', { name }))

  it('is chosen by where it is done, and chosen once more is left out', async () => {
    show()
    await tab('The floor')
    await userEvent.click(group('Lift sludge off the floor').getByRole('button', { name: /a third of the floor/ }))
    expect(calls.choose).toHaveBeenCalledWith('vacuum', 'third')
  })
  it('is listed with its caution once it is chosen, and counted on its tab', async () => {
    show({ visit: doing({ task: 'water-change', option: 'third' }) })
    expect(screen.getByText(/Tap water carries chlorine/)).toBeInTheDocument()
    expect(screen.getByRole('tab', { name: /^The water 1/ })).toBeInTheDocument()
    await userEvent.click(
      group('Change water').getByRole('button', { name: /a third, chlorine neutralised/, pressed: true }),
    )
    expect(calls.choose).toHaveBeenLastCalledWith('water-change', null)
    await userEvent.click(screen.getByRole('button', { name: 'Remove: Change water' }))
    expect(calls.choose).toHaveBeenLastCalledWith('water-change', null)
  })
  it('leaves out what would change nothing: a pump that stands cannot be stopped', async () => {
    expect(morning.fittings.pump).toBe(false)
    show()
    await tab('Equipment')
    expect(
      group('Pump')
        .getAllByRole('button')
        .map((b) => b.textContent),
    ).toEqual([expect.stringMatching(/^started/)])
    expect(screen.getByText(/pump off/)).toBeInTheDocument()
  })
  it('does not go through ice where it needs open water', async () => {
    show({}, frozen)
    await tab('The floor')
    expect(group('Lift sludge off the floor').getByText('not through ice')).toBeInTheDocument()
    await tab('The bed')
    expect(group('Flush the bed').getByRole('button')).toBeEnabled()
  })
})

describe('the notebook', () => {
  it('holds what was tested and done, week by week, the newest first, and nothing else', () => {
    const first: WeekChoice = { tests: ['ph'], tasks: [{ task: 'pump', option: 'on' }], asked: false }
    render(
      <AsPerson>
        <Notebook season={season({ choices: [first, NOTHING], mornings: [morning, morning, morning] })} />
      </AsPerson>,
    )
    const rows = screen.getAllByRole('row').map((row) => row.textContent!)
    expect(rows[0]).toBe('WeekpHDone')
    expect(rows[1]).toMatch(/^2, .*visual check$/)
    expect(rows[2]).toMatch(/^1, .*\d\.\d.*Pump: started$/)
  })
  it('is not there before there is anything in it', () => {
    const { container } = render(
      <AsPerson>
        <Notebook season={season()} />
      </AsPerson>,
    )
    expect(container).toHaveTextContent(/^$/)
  })
})

describe('the seasons to play', () => {
  const game = (over: object) => ({
    id: 'g1',
    scenario: 'winter',
    seed: 1,
    week: 0,
    points: null,
    stars: null,
    finishedAt: null,
    startedAt: '',
    ...over,
  })
  const show = (over: object = {}) =>
    render(
      <AsPerson>
        <TrainerView data={{ me: 'Tolly Brand', games: [], team: [], ...over } as unknown as TrainerPageData} />
      </AsPerson>,
    )
  const winter = () => inside('Through the winter')

  it('are begun in a year that nobody knows', async () => {
    show()
    expect(screen.getByText(/Be the first/)).toBeInTheDocument()
    await userEvent.click(winter().getByRole('button', { name: 'Start' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/trainer-games', { scenario: 'winter', seed: null })
    expect(push).toHaveBeenCalledWith('/trainer/g9')
  })
  it('go on where they were left, and say how the best went', () => {
    show({
      games: [
        game({ week: 4 }),
        game({ id: 'g2', points: 71, stars: 2, finishedAt: 'x' }),
        game({ id: 'g3', points: 83, stars: 3, finishedAt: 'x' }),
      ],
    })
    expect(winter().getByRole('link', { name: /^Continue: week 5 of/ })).toHaveAttribute('href', '/trainer/g1')
    expect(winter().getByRole('button', { name: 'Start again' })).toBeInTheDocument()
    expect(winter().getByText(/best of 2 seasons/)).toBeInTheDocument()
    expect(winter().getByRole('link', { name: '83 points' })).toHaveAttribute('href', '/trainer/g3')
  })
  it('say what the others reached, and which of them is oneself', () => {
    const best = (name: string, scenario: string, points: number) => ({ name, scenario, best: points, stars: 2 })
    show({ team: [best('Tamsy', 'winter', 88), best('Tolly Brand', 'winter', 70), best('Tamsy', 'neglected', 64)] })
    const people = inside('Team scores').getAllByRole('listitem')
    expect(people.map((p) => p.querySelector('strong')!.textContent)).toEqual(['Tamsy', 'You'])
    expect(people[0]).toHaveTextContent(/88.*64/)
  })
  it('stay where they are when a new one could not be begun', async () => {
    sent.mockResolvedValue({ ok: false, problem: { title: 'No connection.', status: 0, kind: 'offline' } } as never)
    show()
    await userEvent.click(winter().getByRole('button', { name: 'Start' }))
    expect(await screen.findByText('No connection.')).toBeInTheDocument()
    expect(push).not.toHaveBeenCalled()
  })
})
