import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { OwnConstants } from '@/domain/house-rules/house-constants'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '../send'
import { ConstantsForm } from './constants-form'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

const saved = jest.fn()
const show = (
  { own = {}, house = null, locked = false, units = 'metric' as 'metric' | 'us' } = {} as {
    own?: OwnConstants
    house?: OwnConstants | null
    locked?: boolean
    units?: 'metric' | 'us'
  },
) =>
  render(
    <AsPerson units={units}>
      <ConstantsForm own={own} house={house} version={3} onSaved={saved} url="/here" locked={locked} />
    </AsPerson>,
  )
const open = (group: string) => userEvent.click(screen.getByText(group))
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }))
/** A field of one constant. */
const field = (name: string, label: string | RegExp) =>
  within(screen.getByRole('group', { name })).getByLabelText(label)
const fill = async (name: string, label: string | RegExp, text: string) => {
  await userEvent.clear(field(name, label))
  await userEvent.type(field(name, label), text)
  await userEvent.tab()
}
const USABLE = 'Usable share of the stone surface'
const OURS = { value: 0.4, reason: 'Our stone silts up.', source: 'Three beds dug up.' }

describe('the figures that filters are worked out by', () => {
  it('are each told with what is usual and where that comes from', async () => {
    show()
    await open('Nitrification')
    const row = within(screen.getByText(USABLE).closest('li')!)
    expect(row.getByText(/^Usual: 50/)).toBeVisible()
    expect(row.getByText('Reviews of trickling and gravel filter data')).toBeVisible()
  })
  it('are set with reason and source, and sent on the version that was read', async () => {
    show()
    await open('Nitrification')
    await press(`Change ${USABLE}`)
    await fill(USABLE, 'Own figure', '40 %')
    await fill(USABLE, 'Reason', OURS.reason)
    await fill(USABLE, 'Source of the figure', OURS.source)
    await press('Save design constants')
    await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent(/Saved/))
    expect(sent).toHaveBeenCalledWith('PUT', '/here', { version: 3, own: { 'nitrification.usableShare': OURS } })
    expect(saved).toHaveBeenCalledTimes(1)
  })
  it('are not taken without a reason and a source, nor out of range, and nothing entered is lost', async () => {
    show()
    await open('Nitrification')
    await press(`Change ${USABLE}`)
    await fill(USABLE, 'Own figure', '140 %')
    await press('Save design constants')
    await waitFor(() => expect(field(USABLE, 'Reason')).toBeInvalid())
    expect(field(USABLE, 'Source of the figure')).toBeInvalid()
    expect(field(USABLE, 'Own figure')).toBeInvalid()
    expect(field(USABLE, 'Own figure')).toHaveValue('140 %')
    expect(sent).not.toHaveBeenCalled()
  })
  it('are said to contradict each other at the field where they do', async () => {
    show()
    await open('Solids and flushing')
    const chamber = 'Solids caught in the sediment chamber'
    const gravel = 'Solids caught in the gravel'
    for (const [name, text] of [
      [chamber, '70 %'],
      [gravel, '60 %'],
    ] as const) {
      await press(`Change ${name}`)
      await fill(name, 'Own figure', text)
      await fill(name, 'Reason', 'Measured.')
      await fill(name, 'Source of the figure', 'Own beds.')
    }
    await press('Save design constants')
    await waitFor(() => expect(field(gravel, 'Own figure')).toBeInvalid())
    expect(sent).not.toHaveBeenCalled()
  })
  it('go back to the usual ones', async () => {
    show({ own: { 'nitrification.usableShare': OURS } })
    await press(`Remove the change of ${USABLE}`)
    await press('Save design constants')
    await waitFor(() => expect(sent).toHaveBeenCalledWith('PUT', '/here', { version: 3, own: {} }))
  })
  it('begin at a pond from what the house has', async () => {
    show({ house: { 'nitrification.usableShare': OURS } })
    await open('Nitrification')
    expect(within(screen.getByText(USABLE).closest('li')!).getByText(/^House: 40/)).toBeVisible()
    await press(`Change ${USABLE}`)
    expect((field(USABLE, 'Own figure') as HTMLInputElement).value).toMatch(/^40/)
  })
  it('of a pond are weighed against the house’s, not against the usual ones', async () => {
    const chamber = 'Solids caught in the sediment chamber'
    show({ house: { 'clogging.gravelShare': { ...OURS, value: 0.1 } } })
    await open('Solids and flushing')
    await press(`Change ${chamber}`)
    await fill(chamber, /^Own figure/, '85 %')
    await fill(chamber, 'Reason', 'Measured.')
    await fill(chamber, 'Source of the figure', 'Own beds.')
    await press('Save design constants')
    await waitFor(() => expect(sent).toHaveBeenCalledTimes(1))
  })
  it('are read in the reader’s own units, stone by its name', async () => {
    show({ units: 'us' })
    await open('Stone')
    const row = within(screen.getByText(/^Gravel 19.*mean size$/).closest('li')!)
    expect(row.getByText(/^Usual: .*in$/)).toBeVisible()
  })
  it('can be looked at by those who may not set them', async () => {
    show({ locked: true })
    await open('Flow')
    expect(screen.getByText('Hydraulic loading')).toBeVisible()
    expect(screen.queryByRole('button')).toBeNull()
  })
})
