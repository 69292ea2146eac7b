import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { DEFAULT_KIT } from '@/core/visits/cleanout-quantities'
import { visitAmounts } from '@/core/visits/visit-amounts'
import type { Entry } from '@/domain/visits/visit'
import { stepStates } from '@/domain/visits/visit-progress'
import { AsPerson, FIELD_PERSON } from '../../../tests/fixtures/person'
import { pondInput } from '../../../tests/fixtures/pond-input'
import { GateNote } from './steps/gate-note'
import { draftOf, toAnswer, unreadable } from './steps/step-answer'
import { StepAmount } from './steps/step-amount'
import { StepCard } from './steps/step-card'
import { StepList } from './steps/step-list'
import type { VisitView } from './device/device-view'
import type { NewEntry } from './device/field-device'
import { FieldProvider, type Field } from './field-context'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'
const SPRING_CLEANOUT = jobInWords('spring-cleanout')

const steps = SPRING_CLEANOUT.steps
const step = (key: string) => steps.find((s) => s.key === key)!
const TODAY = { tapChlorineMgL: null, khDH: 3, systemM3: 15, planted: true }
const CLEANOUT = {
  waterM3: 12,
  maxDepthM: 1.1,
  fish: [{ species: 'koi' as const, count: 5, lengthM: 0.5 }],
  sourceChlorinated: true,
}
const quantities = visitAmounts(CLEANOUT, DEFAULT_KIT, TODAY)
const view = {
  visit: { id: 'v1', job: SPRING_CLEANOUT, state: 'under-way' },
  pond: pondInput(),
  log: [],
  lastReadings: [],
  recentDoses: [],
  photos: [],
  cleanout: CLEANOUT,
  gateFacts: { systemM3: 15, planted: true, lastChangeAt: null },
} as unknown as VisitView

const logged = jest.fn<Promise<void>, [string, NewEntry]>()
const field = (mayOverride: boolean): Field => ({
  person: { ...FIELD_PERSON, mayOverride },
  today: '2027-03-20',
  products: USUAL_PRODUCTS_IN_WORDS,
  log: logged,
  sync: async () => 'synced',
})
const show = (key: string, { mayOverride = false, log = [] as readonly Entry[] } = {}, onAnswered = () => {}) =>
  render(
    <AsPerson>
      <FieldProvider value={field(mayOverride)}>
        <StepCard
          step={step(key)}
          others={[]}
          view={{ ...view, log }}
          states={stepStates(steps, log)}
          onAnswered={onAnswered}
        />
      </FieldProvider>
    </AsPerson>,
  )

beforeEach(() => {
  window.localStorage.clear()
  logged.mockReset().mockResolvedValue()
})

describe('a step', () => {
  it('shows its safety note and its amount before the button', () => {
    show('kit')
    expect(screen.getByText(/above 25\skg/)).toBeInTheDocument()
    expect(screen.getByText(/Holding tank of at least/)).toBeInTheDocument()
  })
  it('is kept on the device with what it asked for, and forgets what was typed', async () => {
    const answered = jest.fn()
    show('test-tap', {}, answered)
    await userEvent.type(screen.getByLabelText('Tap temperature'), '9')
    await userEvent.type(screen.getByLabelText('Tap chlorine'), '0.4')
    expect(JSON.parse(window.localStorage.getItem('slow-reed:visit:v1:test-tap')!).readings.tapChlorine).toBe(0.4)
    await userEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect(logged).toHaveBeenCalledWith(
      'v1',
      expect.objectContaining({ kind: 'done', stepKey: 'test-tap', replaces: null }),
    )
    expect(answered).toHaveBeenCalled()
    expect(window.localStorage.getItem('slow-reed:visit:v1:test-tap')).toBeNull()
  })
  it('names what is missing, what cannot be, and what is unusual, without asking anybody', async () => {
    show('test-before')
    await userEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect(await screen.findByText(/This step still needs water temperature/)).toBeInTheDocument()
    await userEvent.type(screen.getByLabelText('Water temperature'), '95')
    await userEvent.type(screen.getByLabelText('pH'), '10.2')
    await userEvent.type(screen.getByLabelText(/Total ammonia/), '0.1')
    await userEvent.type(screen.getByLabelText('Dissolved oxygen'), '9')
    await userEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect((await screen.findAllByText(/Water temperature cannot be 95/))[0]).toBeInTheDocument()
    await userEvent.clear(screen.getByLabelText('Water temperature'))
    await userEvent.type(screen.getByLabelText('Water temperature'), '9')
    await userEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect(logged).not.toHaveBeenCalled()
    await userEvent.click(await screen.findByRole('button', { name: 'Confirm this reading' }))
    expect(logged).toHaveBeenCalledWith('v1', expect.objectContaining({ confirmedUnlikely: true }))
  })
  it('comes back with what this device kept', async () => {
    window.localStorage.setItem('slow-reed:visit:v1:test-tap', JSON.stringify({ readings: { tapTemp: 8.5 } }))
    show('test-tap')
    expect(await screen.findByDisplayValue('8.5 °C')).toBeInTheDocument()
  })
  it('asks for a reason before it is left out', async () => {
    show('lights')
    await userEvent.click(screen.getByRole('button', { name: 'Skip step' }))
    expect(screen.getByRole('button', { name: 'Skip step' })).toBeDisabled()
    await userEvent.type(screen.getByLabelText('Reason for skipping'), 'No lights here')
    await userEvent.click(screen.getByRole('button', { name: 'Skip step' }))
    expect(logged).toHaveBeenCalledWith('v1', {
      kind: 'skipped',
      stepKey: 'lights',
      reason: 'No lights here',
      replaces: null,
    })
  })
  it('locks the fish in for a technician and lets a crew lead pass with a reason', async () => {
    const { unmount } = show('fish-back')
    expect(screen.getByText(/Only a crew lead or the owner/)).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Done' })).toBeDisabled()
    unmount()
    show('fish-back', { mayOverride: true })
    expect(screen.getByRole('button', { name: 'Done' })).toBeDisabled()
    await userEvent.type(screen.getByLabelText(/To override this stop/), 'Aerator failed')
    expect(screen.getByRole('button', { name: 'Done' })).toBeEnabled()
  })
  it('says that someone else answered too, and an answer that has seen it settles that', () => {
    const line = (id: string, byId: string, at: string, replaces: string | null = null) =>
      ({
        kind: 'skipped',
        id,
        stepKey: 'lights',
        at,
        reason: `by ${byId}`,
        replaces,
        byId,
        byName: byId,
        receivedAt: at,
      }) as unknown as Entry
    const both = [line('a', 'Bo', '2027-03-20T10:00:00Z'), line('b', 'Cleo', '2027-03-20T10:01:00Z')]
    const { unmount } = show('lights', { log: both })
    expect(screen.getByText(/Bo also answered this step/)).toBeInTheDocument()
    unmount()
    show('lights', { log: [...both, line('c', 'Bo', '2027-03-20T10:05:00Z', 'b')] })
    expect(screen.queryByText(/Cleo also answered this step/)).not.toBeInTheDocument()
  })
})

describe('amounts', () => {
  const amount = (
    quantity: Parameters<typeof StepAmount>[0]['quantity'],
    units: 'metric' | 'us' = 'metric',
    amounts = quantities,
  ) =>
    render(
      <AsPerson units={units}>
        <StepAmount quantity={quantity} amounts={amounts} sourceName="Mains" />
      </AsPerson>,
    ).container.textContent!.replaceAll('\u00a0', ' ')
  const portionsIn = (text: string) => {
    const [, count, total] = /(\d+) portions, ([\d.]+) g/.exec(text)!
    const list = text.slice(text.indexOf('about every'), text.indexOf('×'))
    const sum = [...list.matchAll(/(\d+(?:\.\d+)?) g (?:before|after)/g)].reduce(
      (all, [, grams]) => all + Number(grams),
      0,
    )
    return { count: Number(count), total: Number(total), sum }
  }
  it('give portions that together reach the whole dose, and say that chlorine is assumed', () => {
    const text = amount('dechlorinator')
    const { count, total, sum } = portionsIn(text)
    expect(count).toBeGreaterThanOrEqual(2)
    expect(count).toBeLessThanOrEqual(8)
    expect(total).toBeGreaterThanOrEqual(quantities.dechlorinator.totalG - 1e-6)
    expect(sum).toBeCloseTo(total, 6)
    expect(text).toContain('chlorine is assumed')
  })
  it('speak the person’s units', () => expect(amount('refill', 'us')).toMatch(/2,916 gal of tap water/))
  it('of a part change are at most a third of the whole system, with portions of its own', () => {
    const text = amount('partial-change')
    expect(text).toContain('At most 5 m³ of 15 m³')
    // 5 m³ at 0.6 mg/L × 7 g per g
    expect(portionsIn(text)).toMatchObject({ total: 21, sum: 21 })
  })
  it('of bicarbonate go as far as one day allows, and none where KH is well', () => {
    // 15 m³ × 2 °dH × 29.96 g
    expect(amount('kh-rise')).toMatch(/^899 g of sodium bicarbonate raise KH by 2 °dH today/)
    expect(
      amount(
        'kh-rise',
        'metric',
        visitAmounts({ waterM3: 12, maxDepthM: 1, fish: [], sourceChlorinated: true }, DEFAULT_KIT, {
          ...TODAY,
          khDH: 6,
        }),
      ),
    ).toContain('none needed')
    expect(amount('winter-salt')).toContain('At most 15 kg of salt')
  })
  it('need nothing for water without chlorine', () => {
    const well = visitAmounts({ waterM3: 12, maxDepthM: 1, fish: [], sourceChlorinated: false }, DEFAULT_KIT, TODAY)
    expect(amount('dechlorinator', 'metric', well)).toContain('needs no dechlorinator')
    expect(amount('holding-tank', 'metric', well)).toContain('No fish are recorded')
  })
})

describe('answers', () => {
  it('that cannot be read hold the step, and say which they are', () => {
    const draft = { ...draftOf({ status: 'open' }, []), readings: { tapTemp: 9, tapChlorine: Number.NaN } }
    expect(unreadable(step('test-tap'), draft)).toEqual({ code: 'unreadable', paths: ['answer.readings.tapChlorine'] })
    expect(unreadable(step('test-tap'), { ...draft, readings: { tapTemp: 9, tapChlorine: null } })).toBeNull()
    // what another step left behind is not asked for here
    expect(unreadable(step('lights'), draft)).toBeNull()
  })
  it('keep what a test did not see as that, with every method', () => {
    const draft = {
      ...draftOf({ status: 'open' }, []),
      readings: { tapTemp: 9, tapChlorine: 0 },
      below: { tapChlorine: true },
      method: 'meter' as const,
    }
    expect(toAnswer(step('test-tap'), draft).readings).toEqual({
      tapTemp: { value: 9, belowStep: false },
      tapChlorine: { value: 0, belowStep: true },
    })
  })
  it('hold only what the step asks for', () => {
    const draft = {
      ...draftOf({ status: 'open' }, pondInput().fish),
      readings: { tapTemp: 9, tapChlorine: 0 },
      choice: 'x',
      signedBy: 'y',
      method: 'strip' as const,
    }
    expect(toAnswer(step('test-tap'), draft)).toEqual({
      note: '',
      method: 'strip',
      readings: { tapTemp: { value: 9, belowStep: false }, tapChlorine: { value: 0, belowStep: true } },
    })
    expect(toAnswer(step('lights'), draft)).toEqual({ note: '' })
  })
  it('need fish to be counted, except where there are none', () => {
    expect(toAnswer(step('fish-out'), draftOf({ status: 'open' }, pondInput().fish)).fish).toBeUndefined()
    expect(toAnswer(step('fish-out'), draftOf({ status: 'open' }, [])).fish).toEqual([])
  })
})

describe('the list and the gate', () => {
  it('says of each step whether it is open, for ears too', () => {
    render(<StepList steps={steps} states={stepStates(steps, [])} current="kit" onChoose={() => {}} />)
    expect(screen.getByRole('button', { name: 'Load the kit, open' })).toBeInTheDocument()
  })
  it('shows a safe test as safe', () => {
    render(
      <AsPerson>
        <GateNote
          kind="fish-back-safe"
          gate={{ status: 'safe', nh3MgL: 0.001 }}
          mayOverride={false}
          reason=""
          onReason={() => {}}
        />
      </AsPerson>,
    )
    expect(screen.getByText('Safe')).toBeInTheDocument()
    expect(screen.queryByRole('alert')).not.toBeInTheDocument()
  })
})
