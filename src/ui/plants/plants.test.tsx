import { act, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { CareTask } from '@/core/plants/care-rules'
import type { PondId } from '@/domain/shared/ids'
import { patchesNow, type Patch, type PlantEvent } from '@/domain/plants/plants'
import type { PondInContext } from '@/domain/ponds/pond'
import { AsPerson } from '../../../tests/fixtures/person'
import { pondInput } from '../../../tests/fixtures/pond-input'
import { send } from '../send'
import { AllPlantsView } from './all-plants-view'
import { CareList } from './care-list'
import { PondPlantsView } from './pond-plants-view'
import type { PondPlantsData } from '@/server/plants/pond-plants'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

const pondId = 'p1' as PondId
const patch = (id: string, species: string, over: Partial<Patch> = {}): Patch => ({
  id,
  pondId,
  place: 'pond',
  species,
  xM: 2,
  yM: 0,
  plantedOn: '2025-05-01',
  version: 3,
  ...over,
})
const event = (patchId: string, at: string, over: Partial<PlantEvent> = {}): PlantEvent => ({
  id: `${patchId}${at}`,
  patchId,
  at: `${at}T12:00:00Z`,
  byName: 'Tamsy',
  action: 'planted',
  condition: null,
  count: 5,
  kept: 0,
  note: '',
  visitId: null,
  ...over,
})
const patches = patchesNow(
  [
    patch('lily', 'nymphaea-alba'),
    patch('flag', 'iris-versicolor', { xM: null, yM: null }),
    patch('canna', 'canna-hybrids', { xM: 1 }),
  ],
  [
    event('lily', '2025-05-01'),
    event('lily', '2026-09-01', { action: 'look', condition: 'thin', count: 3, note: 'Eaten?' }),
    event('flag', '2025-05-01'),
    event('canna', '2025-05-01'),
    event('canna', '2026-10-01', { action: 'lift', count: null, note: 'Cellar' }),
  ],
  'Etc/UTC',
)
const task = (patchId: string, action: CareTask['action'], due: string, latest: string): CareTask => ({
  patchId,
  action,
  due,
  latest,
  why: 'warmth',
})
const pond = {
  ...pondInput(),
  id: pondId,
  siteName: 'Tarn',
  town: 'Ferrygate',
  customerName: 'C',
  version: 1,
} as unknown as PondInContext
const data = (over: Partial<PondPlantsData> = {}): PondPlantsData => ({
  today: '2026-11-28',
  pond,
  bed: null,
  bedVersion: null as never,
  patches,
  tasks: [task('flag', 'cut-back', '2026-11-20', '2026-12-18')],
  gaps: [{ patchId: 'lily', species: 'nymphaea-alba', missing: 2, areaM2: 3 }],
  replanting: [{ patchId: 'lily', species: 'nymphaea-alba', count: 2, sameKind: true, regulated: false }],
  cuttings: [{ species: 'nymphaea-alba', onHand: 6 }],
  photos: [],
  cuttingBuckets: 0,
  mayWrite: true,
  mayLog: true,
  ...over,
})
const show = (over: Partial<PondPlantsData> = {}) =>
  render(
    <AsPerson>
      <PondPlantsView data={data(over)} />
    </AsPerson>,
  )

describe('plants of a pond', () => {
  it('stand on the plan with how they look in words, and in a list with what is not on it yet', () => {
    show()
    expect(screen.getByRole('button', { name: /^3 White water lily, thin/ })).toBeInTheDocument()
    expect(screen.getByRole('button', { name: /^5 Water canna, stored/ })).toBeInTheDocument()
    const row = screen.getByRole('row', { name: /Northern blue flag/ })
    expect(row).toHaveTextContent('not on the plan yet')
    expect(screen.getByRole('region', { name: 'Gaps' })).toHaveTextContent(
      'White water lily: 2 missing2 White water lily from the holding bed',
    )
  })
  it('show one group with its history, and take its next line', async () => {
    show()
    await userEvent.click(screen.getAllByRole('button', { name: 'Northern blue flag' })[0]!)
    const sheet = screen.getByRole('region', { name: 'Northern blue flag' })
    expect(sheet).toHaveTextContent('Toxic to people and pets: wear gloves.')
    // what it asks for is proposed
    expect(within(sheet).getByLabelText('Care given')).toHaveValue('cut-back')
    await userEvent.type(within(sheet).getByLabelText(/^Rooted pieces kept/), '4')
    await userEvent.selectOptions(within(sheet).getByLabelText('Condition'), 'crowded')
    await userEvent.click(within(sheet).getByRole('button', { name: 'Save' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/plants/flag/log', {
      line: { action: 'cut-back', condition: 'crowded', count: null, kept: 4, note: '' },
      on: '2026-11-28',
    })
    expect(within(sheet).getByRole('status')).toHaveTextContent('Saved.')
  })
  it('say where a stored one is, and what was seen', async () => {
    show()
    await userEvent.click(screen.getByRole('button', { name: 'Water canna' }))
    expect(screen.getByRole('region', { name: 'Water canna' })).toHaveTextContent('Lifted and stored (Cellar)')
    await userEvent.click(screen.getAllByRole('button', { name: 'White water lily' })[0]!)
    expect(screen.getByRole('region', { name: 'White water lily' })).toHaveTextContent(
      'Inspected: thin, 3 plants (Eaten?)',
    )
  })
  it('lead from pale plants of the bed to its root zone', async () => {
    const pale = patchesNow(
      [patch('flag', 'iris-versicolor', { place: 'bed' })],
      [event('flag', '2026-06-01', { condition: 'pale' })],
      'Etc/UTC',
    )
    show({ patches: pale, tasks: [], gaps: [], replanting: [] })
    await userEvent.click(screen.getAllByRole('button', { name: 'Northern blue flag' })[0]!)
    expect(screen.getByRole('link', { name: 'filter design' })).toHaveAttribute('href', '/ponds/p1/design')
  })
  it('are moved with the arrow keys and kept where they come to lie', async () => {
    show()
    act(() => screen.getByRole('button', { name: /^3 White water lily/ }).focus())
    await userEvent.keyboard('{ArrowRight}')
    await userEvent.keyboard('{ArrowRight}')
    // several presses are one change
    await waitFor(() => expect(sent).toHaveBeenCalledTimes(1))
    expect(sent).toHaveBeenLastCalledWith('PUT', '/api/v1/plants/lily', {
      version: 3,
      patch: { place: 'pond', species: 'nymphaea-alba', xM: 2.2, yM: 0, plantedOn: '2025-05-01' },
    })
  })
  it('are set down in the middle of the plan, with a clear word when something is missing', async () => {
    show({ patches: [], tasks: [], gaps: [], replanting: [] })
    expect(screen.getByText(/No plants recorded yet/)).toBeInTheDocument()
    await userEvent.click(screen.getByText('Add plant group'))
    await userEvent.click(screen.getByRole('button', { name: 'Add to plan' }))
    expect(await screen.findByText('Enter a whole number of plants.')).toBeInTheDocument()
    await userEvent.type(screen.getByLabelText('Plants'), '0')
    expect(await screen.findByText('Enter at least one plant.')).toBeInTheDocument()
    expect(sent).not.toHaveBeenCalled()
    await userEvent.clear(screen.getByLabelText('Plants'))
    await userEvent.type(screen.getByLabelText('Plants'), '7')
    await userEvent.click(screen.getByRole('button', { name: 'Add to plan' }))
    await waitFor(() => expect(sent).toHaveBeenCalled())
    expect(sent).toHaveBeenLastCalledWith('POST', '/api/v1/ponds/p1/plants', expect.objectContaining({ count: 7 }))
    expect(await screen.findByText(/Added in the middle of the plan/)).toBeInTheDocument()
  })
  it('are only looked at by who may not change them', () => {
    show({ mayWrite: false, mayLog: false })
    expect(screen.queryByText('Add plant group')).not.toBeInTheDocument()
    expect(screen.queryByRole('button', { name: /done today/ })).not.toBeInTheDocument()
  })
})

describe('what plants ask for', () => {
  const list = (tasks: readonly CareTask[], mayLog = true) =>
    render(<CareList tasks={tasks} patches={patches} today="2026-06-15" mayLog={mayLog} />)
  it('is due, late or still to come, and done with one press', async () => {
    list([
      task('flag', 'deadhead', '2026-06-01', '2026-06-08'),
      task('lily', 'feed', '2026-06-14', '2026-06-28'),
      task('flag', 'cut-back', '2026-11-05', '2026-12-03'),
    ])
    const [first, second] = screen.getAllByRole('listitem')
    expect(first).toHaveTextContent('late')
    expect(second).toHaveTextContent('until Sun 28 Jun')
    expect(screen.getByText('Later this year (1)')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Deadhead at the base: Northern blue flag, done today' }))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/plants/flag/log', {
      line: { action: 'deadhead' },
      on: '2026-06-15',
    })
  })
  it('is nothing at the end of the year', () => {
    list([])
    expect(screen.getByText('No more plant care this year.')).toBeInTheDocument()
  })
})

describe('plants of all ponds', () => {
  const all = (over: Partial<Parameters<typeof AllPlantsView>[0]['data']> = {}) =>
    render(
      <AllPlantsView
        data={{
          today: '2026-11-28',
          groups: 4,
          due: [
            {
              pondId,
              name: 'Tarn, Pool',
              tasks: [
                { ...task('a', 'cut-back', '2026-11-20', '2026-12-18'), species: 'iris-versicolor' },
                { ...task('b', 'cut-back', '2026-11-20', '2026-11-24'), species: 'acorus-calamus' },
              ],
            },
          ],
          seasonal: [
            {
              patchId: 'tender-0',
              pondId,
              site: 'Tarn',
              pond: 'Pool',
              species: 'canna-hybrids',
              count: 4,
              stored: false,
              place: '',
              from: '2026-11-24',
              by: '2026-12-07',
              thisYear: true,
            },
            {
              patchId: 'tender-1',
              pondId,
              site: 'Tarn',
              pond: 'Pool',
              species: 'cyperus-papyrus',
              count: 1,
              stored: true,
              place: 'Cellar',
              from: '2027-06-01',
              by: '2027-07-01',
              thisYear: false,
            },
          ],
          replanting: [],
          cuttings: [],
          ...over,
        }}
      />,
    )
  it('names groups that ask for the same together, with the day that comes first', () => {
    all()
    expect(screen.getByRole('region', { name: 'Plant care due' })).toHaveTextContent(
      'Cut back and remove: Northern blue flag, Sweet flag from Fri 20 Nov to Tue 24 Nov',
    )
    expect(screen.getByText('late')).toBeInTheDocument()
  })
  it('lists what comes in, what is in, and where', () => {
    all()
    const rows = within(screen.getByRole('region', { name: 'Tender plants' })).getAllByRole('row')
    expect(rows[1]).toHaveTextContent(/Mon 7 Dec\s*now.*Lift: Water canna/)
    expect(rows[2]).toHaveTextContent('Replant: Papyrus')
    expect(rows[2]).toHaveTextContent('stored: Cellar')
  })
  it('tells where kept cuttings may go', () => {
    all({
      replanting: [
        {
          pondId,
          name: 'Tarn, Pool',
          replanting: [{ patchId: null, species: 'carex-elata', count: 3, sameKind: false, regulated: false }],
        },
      ],
    })
    expect(screen.getByRole('region', { name: 'Possible places' })).toHaveTextContent(
      '3 Tufted sedge between the groups',
    )
  })
})
