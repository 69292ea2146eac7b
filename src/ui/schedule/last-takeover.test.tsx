import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { Takeover } from '@/domain/schedule/takeover'
import { send } from '@/ui/send'
import { AsPerson } from '../../../tests/fixtures/person'
import { LastTakeover, type LastTakeoverProps } from './last-takeover'

jest.mock('@/ui/send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)

const TAKEOVER = {
  id: 't1',
  at: '2027-02-10T09:30:00Z',
  byName: 'Ivo Quillane',
  visits: 348,
  barred: null,
} as unknown as Takeover
const show = (over: Partial<Takeover> = {}) => {
  const undone = jest.fn()
  const asked = jest.fn(async (asking: ReturnType<typeof send>) => {
    const outcome = await asking
    return outcome.ok ? outcome.value : null
  })
  render(
    <AsPerson>
      <LastTakeover takeover={{ ...TAKEOVER, ...over }} onUndone={undone} ask={asked as LastTakeoverProps['ask']} />
    </AsPerson>,
  )
  return { undone, asked }
}

describe('the plan that was taken over last', () => {
  it('is undone at a press, and says what is as it was', async () => {
    sent.mockResolvedValue({ ok: true, value: { undone: 348 } } as never)
    const { undone } = show()
    expect(screen.getByText(/348 visits, 10 Feb 2027.*by Ivo Quillane/)).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(sent).toHaveBeenCalledWith('DELETE', '/api/v1/plans/takeovers/t1')
    expect(undone).toHaveBeenCalledWith('Undone: 348 visits restored.')
  })
  it('tells why it cannot be undone any more', () => {
    show({ barred: { code: 'notified', siteName: 'Lanternhouse' } })
    expect(screen.getByText(/the visit at Lanternhouse has been notified/)).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: 'Undo' })).not.toBeInTheDocument()
  })
  it('is not said to be undone where that was refused', async () => {
    sent.mockResolvedValue({ ok: false, problem: { title: 'No', status: 409, kind: 'refused' } })
    const { undone, asked } = show()
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(asked).toHaveBeenCalledTimes(1)
    expect(undone).not.toHaveBeenCalled()
    expect(screen.getByRole('button', { name: 'Undo' })).toBeEnabled()
  })
})
