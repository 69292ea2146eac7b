import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { AsPerson } from '../../tests/fixtures/person'
import { send } from './send'
import { useRemoval } from './use-removal'

const refresh = jest.fn()
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }))
jest.mock('./send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

const gone = jest.fn()
function List() {
  const { problem, remove, removeForGood } = useRemoval()
  const forGood = { path: '/api/v1/keys/k', words: 'Programs lose access.', goOn: 'Revoke' }
  return (
    <>
      <button onClick={() => void remove('/api/v1/days/d', 'Midsummer', () => send('POST', '/api/v1/days', { d: 1 }))}>
        remove
      </button>
      <button onClick={() => void removeForGood(forGood).then(gone)}>for good</button>
      <p>{problem ? 'refused' : ''}</p>
    </>
  )
}
const show = () =>
  render(
    <AsPerson>
      <List />
    </AsPerson>,
  )

describe('taking something away', () => {
  it('is done at once where it can be put back, and is put back', async () => {
    show()
    await userEvent.click(screen.getByText('remove'))
    expect(sent).toHaveBeenLastCalledWith('DELETE', '/api/v1/days/d', undefined)
    expect(await screen.findByText('Removed: Midsummer')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(sent).toHaveBeenLastCalledWith('POST', '/api/v1/days', { d: 1 })
    expect(await screen.findByText('Undone.')).toBeInTheDocument()
  })
  it('says nothing of undoing what was refused', async () => {
    sent.mockResolvedValue({ ok: false, problem: { kind: 'not-found', title: 'Gone' } } as never)
    show()
    await userEvent.click(screen.getByText('remove'))
    expect(await screen.findByText('refused')).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: 'Undo' })).not.toBeInTheDocument()
  })
  it('for good is asked about, and says what is lost; a no changes nothing', async () => {
    show()
    await userEvent.click(screen.getByText('for good'))
    expect(screen.getByRole('dialog')).toHaveTextContent('Programs lose access.')
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }))
    expect(sent).not.toHaveBeenCalled()
    expect(gone).toHaveBeenLastCalledWith(false)
    await userEvent.click(screen.getByText('for good'))
    await userEvent.click(screen.getByRole('button', { name: 'Revoke' }))
    expect(sent).toHaveBeenLastCalledWith('DELETE', '/api/v1/keys/k', undefined)
    expect(gone).toHaveBeenLastCalledWith(true)
  })
})
