import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { RescuePageData } from '@/server/visits/rescue'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '@/ui/send'
import { RescueForm } from './rescue-form'

const push = jest.fn()
const OTTER = '0b7c6c1e-4a57-4d0f-9c1c-7f1a3f0c2d11'
const NEWT = '1c8d7d2f-5b68-4e1f-8d2d-8a2b4a1d3e22'
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: jest.fn() }) }))
jest.mock('@/ui/send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)

const data = (over: object = {}): RescuePageData =>
  ({
    pond: {
      id: 'p1',
      name: 'Lower pond',
      siteName: 'Ropewalk',
      fish: [{ species: 'goldfish', count: 22, lengthM: 0.13 }],
    },
    today: '2027-04-02',
    dosing: { products: USUAL_PRODUCTS_IN_WORDS, systemM3: 12, waterC: 16, recent: [] },
    fishKg: 1,
    fill: { ph: null, khDH: null, chlorineMgL: null },
    readings: [],
    crews: [
      { id: OTTER, name: 'Otter' },
      { id: NEWT, name: 'Newt' },
    ],
    periods: [],
    weeklyC: null,
    ...over,
  }) as unknown as RescuePageData
const show = (over: object = {}) =>
  render(
    <AsPerson>
      <RescueForm data={data(over)} />
    </AsPerson>,
  )
const stages = () =>
  within(screen.getByRole('list', { name: 'Stages' }))
    .getAllByRole('heading', { level: 3 })
    .map((h) => h.textContent)
const type = async (label: string, text: string) => {
  await userEvent.clear(screen.getByLabelText(label))
  await userEvent.type(screen.getByLabelText(label), text)
  await userEvent.tab()
}

beforeEach(() => {
  push.mockReset()
  sent.mockReset().mockResolvedValue({ ok: true, value: { first: '2027-04-05' } } as never)
})

describe('a rescue at the desk', () => {
  it('begins on the next working day, never on a weekend or while the firm is closed', () => {
    // the second of April 2027 is a Friday
    const { unmount } = show()
    expect(screen.getByLabelText('First visit')).toHaveValue('2027-04-05')
    expect(stages()[0]).toBe('1. Monday, 5 April 2027')
    unmount()
    show({ periods: [{ id: 'x', name: 'Closed', from: '2027-04-05', to: '2027-04-06', effect: 'closed' }] })
    expect(screen.getByLabelText('First visit')).toHaveValue('2027-04-07')
  })
  it('asks for the tests it lacks, and takes those of the last visit over', () => {
    const { unmount } = show()
    expect(
      screen.getByText(
        /Not tested: total ammonia, nitrite, pH, KH, GH, dissolved oxygen, pH of the fill water, KH of the fill water/,
      ),
    ).toBeInTheDocument()
    unmount()
    show({
      fill: { ph: 7.6, khDH: 8, chlorineMgL: null },
      readings: Object.entries({ tan: 0.1, nitrite: 0.05, ph: 7.4, kh: 6, gh: 9, dissolvedOxygen: 9 }).map(
        ([kind, value]) => ({ kind, value }),
      ),
    })
    expect(screen.queryByText(/Not tested/)).not.toBeInTheDocument()
    expect(screen.queryByText(/Air in first/)).not.toBeInTheDocument()
    expect(screen.getByLabelText('KH')).toHaveValue('6 °dH')
    expect(screen.getByLabelText('pH of the fill water')).toHaveValue('7.6')
  })
  it('works the stages out again with every figure', async () => {
    show()
    expect(stages()).toHaveLength(5)
    await type('Total ammonia (TAN)', '1.5')
    expect(screen.getAllByText(/binder: .*, as its label says/).length).toBeGreaterThan(0)
    expect(screen.getByText(/expected after it: ammonia 1\.4 mg\/L/)).toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('Has biological media'))
    expect(screen.queryByText('Rescue: half of the biological media')).not.toBeInTheDocument()
    expect(stages()).toHaveLength(3)
  })
  it('shows what becomes a follow-up beside the visits', async () => {
    show()
    await type('Total ammonia (TAN)', '1.5')
    const beside = screen.getByRole('region', { name: 'Follow-ups between the visits' })
    expect(beside).toHaveTextContent('Mon 5 Apr: Tell the customer: no feed until two tests are clean')
    expect(within(beside).getAllByText(/binder: .*, as its label says/)).toHaveLength(3)
    expect(within(beside).getAllByText(/Test after the last stage/)).toHaveLength(2)
  })
  it('becomes visits with what was entered, and shows their week', async () => {
    show()
    await type('KH', '3')
    await userEvent.selectOptions(screen.getByLabelText('Crew'), 'Newt')
    await userEvent.click(screen.getByRole('button', { name: 'Schedule these visits' }))
    expect(sent).toHaveBeenCalledWith(
      'POST',
      '/api/v1/ponds/p1/rescue',
      expect.objectContaining({ khDH: 3, tan: null, crewId: NEWT, first: '2027-04-05' }),
    )
    expect(push).toHaveBeenCalledWith('/rounds?day=2027-04-05')
  })
  it('keeps everything where it is refused, and shows what is wrong at its field', async () => {
    sent.mockResolvedValue({
      ok: false,
      problem: {
        title: 'Check the day.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'first', message: 'This date is past.' }],
      },
    } as never)
    show()
    await type('KH', '3')
    await userEvent.click(screen.getByRole('button', { name: 'Schedule these visits' }))
    expect((await screen.findAllByText('This date is past.')).length).toBeGreaterThan(0)
    expect(screen.getByLabelText('First visit')).toBeInvalid()
    expect(screen.getByLabelText('KH')).toHaveValue('3 °dH')
    expect(push).not.toHaveBeenCalled()
  })
  it('needs somebody to send', () => {
    show({ crews: [] })
    expect(screen.getByRole('button', { name: 'Schedule these visits' })).toBeDisabled()
  })
})
