import { act, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { PondInContext } from '@/domain/ponds/pond'
import { AsPerson } from '../../../tests/fixtures/person'
import { pondInput } from '../../../tests/fixtures/pond-input'
import { send } from '../send'
import { EditPondForm } from './edit-pond-form'
import { NewPondForm } from './new-pond-form'

jest.mock('../send', () => ({ send: jest.fn() }))
const push = jest.fn()
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: jest.fn() }), usePathname: () => '/' }))
const sent = jest.mocked(send)

beforeEach(() => {
  push.mockReset()
  sent.mockReset().mockResolvedValue({ ok: true, value: { id: 'p9' } })
  window.localStorage.clear()
})

const fill = async (label: string | RegExp, text: string) => {
  const field = screen.getByLabelText(label)
  await userEvent.clear(field)
  await userEvent.type(field, text)
  await userEvent.tab()
}
const bodyOf = () => sent.mock.calls.at(-1)![2] as { pond: ReturnType<typeof pondInput> }

describe('a new pond', () => {
  const show = () =>
    render(
      <AsPerson>
        <NewPondForm
          places={{ customers: [], sites: [], stations: [{ id: 'st1', name: 'Ferrygate', altitudeM: 12 }] }}
        />
      </AsPerson>,
    )
  const measure = async () => {
    await fill('Customer name', 'Wren Abbot')
    await fill('Site name', 'Mill House')
    await fill('Town', 'Ferrygate')
    await fill('Pond name', 'Mill pool')
    await fill('Length', '6 m')
    await fill('Width', '3,5 m')
    await fill('Zone 1 floor depth', '90 cm')
    await fill('Altitude', '40 m')
  }

  it('is drawn and worked out while it is typed, and saved with customer and site', async () => {
    show()
    expect(screen.queryByRole('img', { name: /Plan of the pond/ })).not.toBeInTheDocument()
    await measure()
    expect(screen.getByRole('img', { name: /Plan of the pond, 6\sm by 3.5\sm/ })).toBeInTheDocument()
    expect(screen.getByTestId('adopted-volume')).toHaveTextContent(/1[0-9.]+\sm³/)
    await userEvent.click(screen.getByRole('button', { name: 'Save pond' }))
    await waitFor(() => expect(push).toHaveBeenCalledWith('/ponds/p9'))
    expect(sent).toHaveBeenCalledWith('POST', '/api/v1/ponds', expect.anything())
    expect(bodyOf().pond).toMatchObject({
      name: 'Mill pool',
      outline: { kind: 'rectangle', lengthM: 6, widthM: 3.5 },
      altitudeM: 40,
    })
    expect(bodyOf().pond.zones[0]!.floorDepthM).toBeCloseTo(0.9, 9)
    expect(bodyOf()).toMatchObject({ customer: { customer: { name: 'Wren Abbot' } } })
  })
  it('names each field that is missing or wrong, sends nothing, and keeps what was typed', async () => {
    show()
    await fill('Pond name', 'Mill pool')
    await fill('Length', '6 m')
    await fill('Width', 'wide')
    await userEvent.click(screen.getByRole('button', { name: 'Save pond' }))
    expect(await screen.findByRole('alert')).toHaveTextContent(/missing|wrong/)
    expect(screen.getByLabelText('Width')).toBeInvalid()
    expect(screen.getByLabelText('Customer name')).toBeInvalid()
    expect(screen.getByLabelText('Length')).toBeValid()
    expect(screen.getByLabelText('Length')).toHaveValue('6 m')
    expect(screen.getByLabelText('Pond name')).toHaveValue('Mill pool')
    expect(sent).not.toHaveBeenCalled()
  })
  it('shows at its field what only the server can know, and can be sent again', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'One field is wrong.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'pond.name', message: 'This site has a pond of that name.' }],
      },
    })
    show()
    await measure()
    await userEvent.click(screen.getByRole('button', { name: 'Save pond' }))
    expect(await screen.findAllByText('This site has a pond of that name.')).not.toHaveLength(0)
    expect(push).not.toHaveBeenCalled()
    await fill('Pond name', 'Second pool')
    await userEvent.click(screen.getByRole('button', { name: 'Save pond' }))
    await waitFor(() => expect(push).toHaveBeenCalled())
    expect(bodyOf().pond.name).toBe('Second pool')
  })
  it('is there again after the page was left, and begins anew when asked', async () => {
    const { unmount } = show()
    await fill('Pond name', 'Half measured')
    // kept a moment after the last key
    await act(() => new Promise((resolve) => setTimeout(resolve, 400)))
    unmount()
    show()
    expect(await screen.findByLabelText('Pond name')).toHaveValue('Half measured')
    // the page begins anew, and nothing of it is kept
    await userEvent.click(screen.getByRole('button', { name: 'Start over' }))
    expect(screen.getByLabelText('Pond name')).toHaveValue('')
    await act(() => new Promise((resolve) => setTimeout(resolve, 400)))
    expect(window.localStorage).toHaveLength(0)
  })
})

describe('a survey that is changed', () => {
  const pond = {
    ...pondInput({ name: 'Lark pool' }),
    id: 'p1',
    siteId: 's1',
    version: 4,
    ownRules: null,
    ownConstants: {},
    siteName: 'Lark House',
    town: 'Ferrygate',
    customerName: 'Reeves',
  } as unknown as PondInContext
  const show = () =>
    render(
      <AsPerson>
        <EditPondForm pond={pond} />
      </AsPerson>,
    )
  it('opens with what is on file and sends the whole survey on the version that was read', async () => {
    show()
    expect(screen.getByLabelText('Length')).toHaveValue('5 m')
    expect(screen.getByLabelText('Fish 1 count')).toHaveValue('10')
    await fill('Length', '5.5 m')
    await userEvent.click(screen.getByRole('button', { name: 'Save survey' }))
    await waitFor(() => expect(push).toHaveBeenCalledWith('/ponds/p1'))
    const { version, pond: body } = sent.mock.calls[0]![2] as { version: number; pond: object }
    expect(version).toBe(4)
    expect(body).toEqual({
      ...pondInput({ name: 'Lark pool' }),
      outline: { kind: 'rectangle', lengthM: 5.5, widthM: 3 },
    })
  })
  it('adds and removes zones and fish, the drawing following', async () => {
    show()
    await userEvent.click(screen.getByRole('button', { name: 'Add zone' }))
    await fill('Zone 2 floor depth', '1.4 m')
    expect(screen.getByText(/−1.4/)).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Remove fish 1' }))
    await userEvent.click(screen.getByRole('button', { name: 'Save survey' }))
    await waitFor(() => expect(sent).toHaveBeenCalled())
    expect(bodyOf().pond.zones).toHaveLength(2)
    expect(bodyOf().pond.fish).toEqual([])
  })
  it('saved by somebody else meanwhile: both are shown, and either can stand', async () => {
    const theirs = { ...pond, version: 5, name: 'Lark mere' }
    sent.mockResolvedValueOnce({
      ok: false,
      problem: { title: 'Saved meanwhile.', status: 409, kind: 'conflict', current: theirs },
    })
    show()
    await fill('Pond name', 'Lark tarn')
    await userEvent.click(screen.getByRole('button', { name: 'Save survey' }))
    const both = within(await screen.findByRole('alert'))
    expect(both.getByText('Lark tarn')).toBeInTheDocument()
    expect(both.getByText('Lark mere')).toBeInTheDocument()
    await userEvent.click(both.getByRole('button', { name: /mine/ }))
    await waitFor(() => expect(push).toHaveBeenCalled())
    expect(sent.mock.calls[1]![2]).toMatchObject({ version: 5, pond: { name: 'Lark tarn' } })
  })
})
