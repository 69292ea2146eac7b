import { UNTESTED_FILL } from '@/core/water/fill-water'
import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { DosesData } from '@/server/water/doses'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '../send'
import { ChangePlanner } from './change-planner'
import { DosePlanner } from './dose-planner'
import { MixPlanner } from './mix-planner'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)

const doses = (over: Partial<DosesData> = {}, readings: Record<string, number> = {}): DosesData =>
  ({
    pond: { id: 'p1', name: 'Lower pond', siteName: 'Ropewalk', mains: true },
    today: '2027-05-03',
    system: { totalM3: 12, lowM3: 10, highM3: 14 },
    maxDepthM: 1,
    hoseM3PerH: 2,
    products: USUAL_PRODUCTS_IN_WORDS,
    recentDoses: [],
    gateFacts: { systemM3: 12, planted: true, lastChangeAt: null },
    now: '2027-05-02T12:00:00Z',
    readings: Object.entries(readings).map(([kind, value]) => ({
      kind,
      value,
      belowStep: false,
      takenAt: '2027-05-02T08:00:00Z',
    })),
    mayPlan: true,
    ...over,
  }) as unknown as DosesData
const planner = (data = doses()) =>
  render(
    <AsPerson>
      <DosePlanner data={data} />
    </AsPerson>,
  )
const choose = (label: string) =>
  userEvent.selectOptions(screen.getByLabelText('Product'), screen.getByRole('option', { name: label }))
const type = async (label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label)
  await userEvent.clear(field)
  await userEvent.type(field, text)
  await userEvent.tab()
}

beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} } as never))

describe('a dose at the desk', () => {
  it('says how much ammonia chloramine leaves behind, in the new water and in the pond, and whether it is toxic there', async () => {
    const { unmount } = planner(doses({}, { ph: 8.8, waterTemp: 24 }))
    await type('New water', '4 m³')
    await type('Chlorine in the new water', '2 mg/L')
    expect(screen.queryByText(/ammonia \(as N\)/)).not.toBeInTheDocument()
    await type(/^Of it chloramine/, '1.5 mg/L')
    // 1.5 mg/L × 14.007 / 70.906 = 0.296 mg/L, a third of it in 12 m³
    expect(
      screen.getByText(/leaves 0\.296 mg\/L ammonia \(as N\) in the new water, 0\.0988 mg\/L in the whole pond/),
    ).toHaveTextContent(/Toxic by the pond’s pH and temperature: 0\.0247 mg\/L Watch/)
    unmount()
    planner()
    await type(/^Of it chloramine/, '0.5 mg/L')
    expect(screen.getByText(/ammonia \(as N\)/)).toHaveTextContent('Test pH and temperature of the pond')
  })
  it('begins from the chlorine and chloramine of the site’s fill water', () => {
    const fill = { ...UNTESTED_FILL, chlorineMgL: 2, chloramineMgL: 1.5 }
    planner(doses({ gateFacts: { systemM3: 12, planted: true, lastChangeAt: null, fill } } as never))
    expect(screen.getByLabelText('Chlorine in the new water')).toHaveValue('2 mg/L')
    expect(screen.getByText(/leaves 0\.296 mg\/L ammonia \(as N\)/)).toBeInTheDocument()
  })
  it('is worked out in scoops for the new water, with portions that add up to it', async () => {
    planner()
    await type('New water', '4 m³')
    await type('Chlorine in the new water', '0.5 mg/L')
    // 4 m³ × 0.5 mg/L × 7 g = 14 g: one scoop of 15 g
    expect(screen.getByText('1 × scoop')).toBeInTheDocument()
    const portions = within(screen.getByRole('list')).getAllByRole('listitem')
    const grams = portions.map((li) => Number(/([\d.]+) g/.exec(li.textContent!)![1]))
    expect(grams.reduce((a, b) => a + b, 0)).toBeCloseTo(15, 0)
    expect(screen.getByText(/The label governs; never mix products/)).toBeInTheDocument()
  })
  it('of bicarbonate shows the stop while ammonia would turn toxic, and while nothing was tested', async () => {
    const { unmount } = planner()
    await choose('Sodium bicarbonate')
    expect(screen.getByRole('alert')).toBeInTheDocument()
    unmount()
    planner(doses({}, { tan: 0.05, ph: 7.2, kh: 4, waterTemp: 14 }))
    await choose('Sodium bicarbonate')
    await type('Desired rise', '1')
    expect(screen.queryByRole('alert')).not.toBeInTheDocument()
    // 12 m³ by 1 °dH, rounded up on the scale
    expect(screen.getByText('360 g')).toBeInTheDocument()
    // 360 g in 14 and in 10 m³, at 29.96 g a degree and cubic metre
    expect(screen.getByText(/holds 10\sm³ to 14\sm³.*raises it by 0\.858.* to 1\.2/)).toBeInTheDocument()
  })
  it('of salt knows the plants’ limit and what is in the water already', async () => {
    planner(doses({ gateFacts: { systemM3: 12, planted: true, lastChangeAt: null, salinity: 0.0008 } } as never))
    await choose('Pond salt without additives')
    expect(screen.getByRole('alert')).toHaveTextContent('Stop: no salt, or less salt.')
  })
  it('of the same product within its gap is a stop, and its course cannot be put on the list', async () => {
    planner(doses({ recentDoses: [{ productKey: 'culture', at: '2027-05-01T12:00:00Z' }] as never }, { waterTemp: 14 }))
    await choose('Pond bacteria, liquid')
    expect(screen.getByText(/Given 24 h ago; the label requires 168 h between doses/)).toHaveClass('stop')
    expect(screen.getByRole('button', { name: 'Add these doses as follow-ups' })).toBeDisabled()
  })
  it('of flocculant waits for KH', async () => {
    planner(doses({}, { kh: 2 }))
    await choose('Clay flocculant')
    expect(screen.getByRole('alert')).toHaveTextContent('Flocculants use up KH')
  })
  it('says when the water is too cold for it, and when the label would be exceeded', async () => {
    planner(doses({}, { waterTemp: 5 }))
    await choose('Pond bacteria, liquid')
    expect(screen.getByText(/The water is 5\.0.°C; this product needs at least/)).toBeInTheDocument()
    await choose('Pond salt without additives')
    await type('Desired salt level', '0.5 %')
    expect(screen.getByText(/Above the label rate: at most 3000 per m³/)).toBeInTheDocument()
  })
  it('goes on as a course that the office puts on the pond’s list', async () => {
    planner(doses({}, { waterTemp: 14 }))
    await choose('Pond bacteria, liquid')
    await userEvent.click(screen.getByRole('button', { name: 'Add these doses as follow-ups' }))
    expect(await screen.findByText('3 follow-ups have been added to the pond.')).toBeInTheDocument()
    const days = sent.mock.calls.map(([, , body]) => (body as { from: string }).from)
    expect(days).toEqual([...days].sort())
    expect(new Set(days).size).toBe(3)
    expect(days[0]! > '2027-05-03').toBe(true)
  })
  it('offers no list to those who may not plan, and says what to do with an empty book', async () => {
    const { unmount } = planner(doses({ mayPlan: false }))
    await choose('Pond bacteria, liquid')
    expect(screen.queryByRole('button', { name: 'Add these doses as follow-ups' })).not.toBeInTheDocument()
    unmount()
    planner(doses({ products: [] }))
    expect(screen.getByText(/The product book is empty/)).toBeInTheDocument()
  })
})

describe('part changes', () => {
  const changes = () =>
    render(
      <AsPerson>
        <ChangePlanner data={doses({}, { nitrate: 80 })} />
      </AsPerson>,
    )
  it('bring a concentration to its target by thirds', async () => {
    changes()
    await type('Desired level', '40 mg/L')
    // 80 → 55 → 38.3 with 5 mg/L in the tap
    expect(screen.getByText('2 changes')).toBeInTheDocument()
    expect(screen.getByText(/then 55.mg\/L/)).toBeInTheDocument()
    expect(screen.getByText(/then 38\.3.mg\/L/)).toBeInTheDocument()
  })
  it('are none where it is reached, and refused where the tap itself is above it', async () => {
    changes()
    await type('Desired level', '80 mg/L')
    expect(screen.getByText('None needed')).toBeInTheDocument()
    await type('Desired level', '4 mg/L')
    expect(screen.getByText('This new water cannot bring the pond to that level.')).toBeInTheDocument()
  })
  it('of more than a third meet the house’s stop', async () => {
    changes()
    await type('Share per change', '60 %')
    expect(screen.getByText(/More than a third at once/)).toBeInTheDocument()
  })
})

describe('two waters mixed', () => {
  it('have the mean of their volumes; a cold inlet is named', async () => {
    render(
      <AsPerson>
        <MixPlanner data={doses({}, { waterTemp: 16 })} />
      </AsPerson>,
    )
    // 8 m³ at 16 °C and 4 m³ at 10 °C
    expect(screen.getByText(/14\.0.°C/)).toBeInTheDocument()
    expect(screen.getByText(/at the inlet fish meet 10\.0.°C/)).toBeInTheDocument()
    await type('Tap', '15')
    expect(screen.queryByText(/at the inlet/)).not.toBeInTheDocument()
    await userEvent.clear(screen.getByLabelText('Pond'))
    expect(screen.getByText('Enter both temperatures.')).toBeInTheDocument()
  })
})
