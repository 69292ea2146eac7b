import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { CareTask } from '@/core/plants/care-rules'
import type { PondId } from '@/domain/shared/ids'
import { patchesNow, type Patch } from '@/domain/plants/plants'
import { stepStates } from '@/domain/visits/visit-progress'
import { AsPerson, FIELD_PERSON } from '../../../../tests/fixtures/person'
import { pondInput } from '../../../../tests/fixtures/pond-input'
import type { VisitView } from '@/ui/field/device/device-view'
import type { NewEntry } from '@/ui/field/device/field-device'
import { FieldProvider } from '@/ui/field/field-context'
import { PlantForm } from './plant-form'
import { StepCard } from '@/ui/field/steps/step-card'
import { StepPlants } from '@/ui/field/steps/step-plants'
import { othersAtStop, StopPonds } from '@/ui/field/stop-ponds'
import { jobInWords } from '../../../../tests/fixtures/jobs-in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../../tests/fixtures/usual-in-words'

jest.mock('@/ui/field/use-field-place', () => ({ goTo: jest.fn() }))
jest.mock('@/ui/field/device/field-device', () => ({}))
const logged = jest.fn<Promise<void>, [string, NewEntry]>()
beforeEach(() => {
  window.localStorage.clear()
  logged.mockReset().mockResolvedValue()
})

const CARE = jobInWords('plant-care')
const pondId = 'p1' as PondId
const patch = (id: string, species: string): Patch => ({
  id,
  pondId,
  place: 'bed',
  species,
  xM: 1,
  yM: 1,
  plantedOn: null,
  version: 1,
})
const planted = (patchId: string, count: number) => ({
  id: `e-${patchId}`,
  patchId,
  at: '2026-05-01T10:00:00Z',
  byName: 'Tamsy',
  action: 'planted' as const,
  condition: null,
  count,
  kept: 0,
  note: '',
  visitId: null,
})
const PLANTS = patchesNow(
  [patch('flag', 'iris-versicolor'), patch('sedge', 'carex-elata')],
  [planted('flag', 8), planted('sedge', 4)],
  'Etc/UTC',
)
const task = (patchId: string, action: CareTask['action'], due: string): CareTask => ({
  patchId,
  action,
  due,
  latest: due,
  why: 'warmth',
})
const view = (over: object = {}): VisitView =>
  ({
    visit: {
      id: 'v1',
      siteId: 's1',
      crewId: 'c1',
      day: '2027-04-10',
      startTime: '08:00',
      pondName: 'Upper',
      pondId,
      job: CARE,
      state: 'under-way',
    },
    pond: pondInput(),
    log: [],
    photos: [],
    lastReadings: [],
    recentDoses: [],
    gateFacts: { systemM3: 15, planted: true, lastChangeAt: null },
    cleanout: { waterM3: 12, maxDepthM: 1.1, fish: [], sourceChlorinated: true },
    plants: PLANTS,
    care: [],
    ...over,
  }) as unknown as VisitView
const inField = (children: React.ReactNode) =>
  render(
    <AsPerson>
      <FieldProvider
        value={{
          person: FIELD_PERSON,
          today: '2027-04-10',
          products: USUAL_PRODUCTS_IN_WORDS,
          log: logged,
          sync: async () => 'synced',
        }}
      >
        {children}
      </FieldProvider>
    </AsPerson>,
  )
const step = (key: string) => CARE.steps.find((s) => s.key === key)!
const logLine = (over: object) => ({
  kind: 'plant',
  id: 'l1',
  at: '2027-04-10T09:00:00Z',
  place: 'bed',
  condition: null,
  count: null,
  kept: 0,
  note: '',
  byId: 'x',
  byName: 'x',
  receivedAt: '',
  ...over,
})

describe('plants at a step', () => {
  it('asks only for what this step does and is due, and is ticked off group by group', async () => {
    inField(
      <StepPlants
        step={step('deadhead')}
        view={view({
          care: [
            task('sedge', 'deadhead', '2027-04-12'),
            task('flag', 'divide', '2027-04-01'),
            task('flag', 'deadhead', '2027-06-01'),
          ],
        })}
      />,
    )
    const items = screen.getAllByRole('listitem')
    expect(items).toHaveLength(1)
    await userEvent.click(within(items[0]!).getByRole('button', { name: 'Deadhead at the base: 4 Tufted sedge: done' }))
    expect(logged).toHaveBeenCalledWith(
      'v1',
      expect.objectContaining({ kind: 'plant', patchId: 'sedge', action: 'deadhead', species: 'carex-elata' }),
    )
  })
  it('shows what this visit has done already, sent or not', () => {
    inField(
      <StepPlants
        step={step('deadhead')}
        view={view({
          care: [task('sedge', 'deadhead', '2027-04-01')],
          log: [logLine({ patchId: 'sedge', species: 'carex-elata', action: 'deadhead' })],
        })}
      />,
    )
    expect(screen.getByText('done')).toBeInTheDocument()
    expect(screen.queryByRole('button')).not.toBeInTheDocument()
  })
  it('names gaps where crowns are divided', () => {
    inField(
      <StepPlants
        step={step('divide')}
        view={view({ log: [logLine({ patchId: 'flag', species: 'iris-versicolor', action: 'look', count: 5 })] })}
      />,
    )
    expect(screen.getByText('Gaps to fill with rooted pieces: 3 Northern blue flag.')).toBeInTheDocument()
  })
  it('takes no room where nothing is asked for', () => {
    inField(<StepPlants step={step('feed')} view={view()} />)
    expect(screen.queryByRole('group')).not.toBeInTheDocument()
  })
})

describe('a look at the plants', () => {
  const open = async (over: object = {}) => {
    inField(<PlantForm view={view(over)} />)
    await userEvent.click(screen.getByText('Plants: condition and care'))
  }
  it('keeps what was done, how many stand, and the pieces kept', async () => {
    await open()
    await userEvent.selectOptions(screen.getByLabelText('Plant group'), 'flag')
    await userEvent.selectOptions(screen.getByLabelText('Care given'), 'divide')
    await userEvent.selectOptions(screen.getByLabelText('Condition'), 'good')
    await userEvent.type(screen.getByLabelText(/^Plants here now/), '6')
    await userEvent.type(screen.getByLabelText(/^Rooted pieces kept/), '5')
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    expect(logged).toHaveBeenCalledWith('v1', {
      kind: 'plant',
      patchId: 'flag',
      place: 'bed',
      species: 'iris-versicolor',
      action: 'divide',
      condition: 'good',
      count: 6,
      kept: 5,
      note: '',
    })
  })
  it('writes a new group down, once it is counted in whole plants', async () => {
    await open()
    await userEvent.selectOptions(screen.getByLabelText('Plant group'), '')
    await userEvent.selectOptions(screen.getByLabelText('Plant'), 'caltha-palustris')
    await userEvent.selectOptions(screen.getByLabelText('Care given'), 'planted')
    const keep = screen.getByRole('button', { name: 'Save' })
    expect(keep).toBeDisabled()
    await userEvent.type(screen.getByLabelText('Plants planted'), '2.5')
    expect(screen.getByText('Whole plants, 0 to 2000.')).toBeInTheDocument()
    expect(keep).toBeDisabled()
    await userEvent.clear(screen.getByLabelText('Plants planted'))
    await userEvent.type(screen.getByLabelText('Plants planted'), '3')
    await userEvent.click(keep)
    expect(logged).toHaveBeenCalledWith(
      'v1',
      expect.objectContaining({ patchId: null, species: 'caltha-palustris', action: 'planted', count: 3 }),
    )
  })
  it('asks where a lifted plant is stored', async () => {
    await open()
    await userEvent.selectOptions(screen.getByLabelText('Care given'), 'lift')
    expect(screen.getByLabelText('Storage place')).toBeInTheDocument()
  })
})

describe('a stop with several ponds', () => {
  const lower = view({ visit: { ...view().visit, id: 'v2', pondName: 'Lower', startTime: '09:00' } })
  it('is the same crew at the same site on the same day', () => {
    const elsewhere = ['siteId', 'crewId', 'day'].map((key) =>
      view({ visit: { ...view().visit, id: key, [key]: 'another' } }),
    )
    const off = view({ visit: { ...view().visit, id: 'v9', state: 'cancelled' } })
    expect(othersAtStop(view(), [view(), lower, off, ...elsewhere]).map((v) => v.visit.id)).toEqual(['v2'])
  })
  it('leads from pond to pond in the order of the day', () => {
    inField(<StopPonds view={lower} others={[view()]} />)
    const links = within(screen.getByRole('navigation', { name: 'Ponds at this stop' })).getAllByRole('link')
    expect(links.map((l) => l.textContent)).toEqual(['UpperPlant care, in progress', 'LowerPlant care, in progress'])
    expect(links[1]).toHaveAttribute('aria-current', 'page')
  })
  const card = (key: string, others: readonly VisitView[]) =>
    inField(
      <StepCard
        step={step(key)}
        view={view()}
        others={others}
        states={stepStates(CARE.steps, [])}
        onAnswered={() => {}}
      />,
    )
  it('does once what counts for all, unless the crew says otherwise', async () => {
    card('hazards', [lower])
    await userEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect(logged.mock.calls.map(([id]) => id)).toEqual(['v1', 'v2'])
    logged.mockClear()
  })
  it('leaves the other pond alone when it does not count there', async () => {
    card('hazards', [lower])
    await userEvent.click(screen.getByLabelText('Applies to Lower too'))
    await userEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect(logged.mock.calls.map(([id]) => id)).toEqual(['v1'])
  })
  it('asks at every pond for what is each pond’s own, and not for what is answered there', () => {
    card('divide', [lower])
    expect(screen.queryByText(/^Counts for/)).not.toBeInTheDocument()
    const answered = view({
      visit: lower.visit,
      log: [{ kind: 'skipped', id: 's', stepKey: 'hazards', at: '2027-04-10T08:00:00Z', reason: 'x', replaces: null }],
    })
    card('hazards', [answered])
    expect(screen.queryByText(/^Counts for/)).not.toBeInTheDocument()
  })
})
