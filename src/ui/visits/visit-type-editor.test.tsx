import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { visitTypePage } from '@/server/visits/own-visit-types'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '@/ui/send'
import { VisitTypeEditor } from './visit-type-editor'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'

jest.mock('@/ui/send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)

const usual = jobInWords('spring-cleanout')
const show = (over: Partial<Awaited<ReturnType<typeof visitTypePage>>> = {}) =>
  render(
    <AsPerson>
      <VisitTypeEditor
        data={{ key: 'spring-cleanout', usual, now: usual, own: false, version: 0, mayWrite: true, ...over }}
      />
    </AsPerson>,
  )
const titles = () =>
  within(screen.getByRole('region', { name: 'Steps' }))
    .getAllByRole('listitem')
    .map((li) => within(li).getByRole('button').textContent)
const chosen = () => within(screen.getByRole('region', { name: 'Selected step' }))
const preview = () => within(screen.getByRole('region', { name: 'Crew view' }))
const button = (name: string) => screen.getByRole('button', { name })
type Kept = { version: number; job: { steps: { key: string; title: string }[] } | null }
const kept = () => sent.mock.calls.at(-1)![2] as Kept

beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} } as never))

describe('a firm’s own steps', () => {
  it('are reworded, with the look they have at the water’s edge beside', async () => {
    show()
    await userEvent.clear(chosen().getByLabelText('Title'))
    await userEvent.type(chosen().getByLabelText('Title'), 'Load the truck')
    expect(preview().getByRole('heading', { name: 'Load the truck' })).toBeInTheDocument()
    await userEvent.click(button('Save steps'))
    expect(kept().job!.steps[0]).toMatchObject({ key: usual.steps[0]!.key, title: 'Load the truck' })
    expect(await screen.findByText(/Saved\. New visits will have these steps/)).toBeInTheDocument()
  })
  it('are moved, added to and taken from, each where it was chosen', async () => {
    show()
    const before = titles()
    expect(button('Move up')).toBeDisabled()
    await userEvent.click(button('Move down'))
    expect(titles().slice(0, 2)).toEqual([before[1], before[0]])
    await userEvent.click(button('Add step here'))
    expect(titles()[2]).toBe('New step')
    expect(titles()).toHaveLength(before.length + 1)
    await userEvent.click(button('Remove step'))
    expect(titles()).toHaveLength(before.length)
    await userEvent.click(button('Save steps'))
    expect(
      kept()
        .job!.steps.map((s) => s.title)
        .sort(),
    ).toEqual([...usual.steps.map((s) => s.title)].sort())
  })
  it('say of a step with a stop that it stays', async () => {
    show()
    const guarded = usual.steps.find((s) => s.gate)!
    await userEvent.click(screen.getByRole('button', { name: guarded.title }))
    expect(chosen().getByText(/It cannot be removed/)).toBeInTheDocument()
    expect(chosen().getByLabelText('Kind')).toBeDisabled()
  })
  it('show at the field what the office of rules refused, with nothing lost', async () => {
    sent.mockResolvedValue({
      ok: false,
      problem: {
        title: 'Check the steps.',
        status: 422,
        kind: 'bad-input',
        fields: [{ path: 'job.steps.0.title', message: 'Give it a title.' }],
      },
    } as never)
    show()
    await userEvent.clear(chosen().getByLabelText('Title'))
    await userEvent.click(button('Save steps'))
    expect(await chosen().findByText('Title is missing.')).toBeInTheDocument()
    expect(sent).not.toHaveBeenCalled()
    await userEvent.type(chosen().getByLabelText('Title'), 'Load')
    await userEvent.click(button('Save steps'))
    expect(await chosen().findByText('Give it a title.')).toBeInTheDocument()
    expect(screen.queryByText(/^Saved/)).not.toBeInTheDocument()
  })
  it('go back to the usual ones by sending none', async () => {
    show({ own: true, version: 3 })
    expect(screen.getByText('customised, version 3')).toBeInTheDocument()
    await userEvent.click(button('Restore standard steps'))
    expect(kept()).toEqual({ version: 3, job: null })
  })
  it('are only read by those who may not change them', () => {
    show({ mayWrite: false })
    expect(screen.queryByRole('button', { name: 'Save steps' })).not.toBeInTheDocument()
    expect(chosen().getByLabelText('Title')).toBeDisabled()
    expect(screen.getByLabelText('Note for the customer')).toBeDisabled()
  })
})
