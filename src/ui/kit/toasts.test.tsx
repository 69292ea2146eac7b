import { act, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { ToastProvider, useToast } from './toasts'

type Note = Parameters<ReturnType<typeof useToast>>[0]
function Teller({ note }: { note: Note }) {
  const tell = useToast()
  return <button onClick={() => tell(note)}>do</button>
}
const show = (note: Note) =>
  render(
    <ToastProvider>
      <Teller note={note} />
    </ToastProvider>,
  )

describe('a note in passing', () => {
  it('says what was done, and is undone once', async () => {
    const undo = jest.fn(async () => null)
    show({ words: 'Visit moved.', undo })
    await userEvent.click(screen.getByText('do'))
    expect(screen.getByText('Visit moved.')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(undo).toHaveBeenCalledTimes(1)
    expect(screen.queryByText('Visit moved.')).not.toBeInTheDocument()
    expect(await screen.findByText('Undone.')).toBeInTheDocument()
  })
  it('says as an alert why it could not be undone', async () => {
    show({ words: 'Visit moved.', undo: async () => 'The crew is away that day.' })
    await userEvent.click(screen.getByText('do'))
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(await screen.findByRole('alert')).toHaveTextContent('The crew is away that day.')
  })
  it('goes by itself after ten seconds, not while it has the focus; of many, three stay', async () => {
    jest.useFakeTimers()
    const user = userEvent.setup({ advanceTimers: jest.advanceTimersByTime })
    show({ words: 'Saved.' })
    for (let i = 0; i < 5; i++) await user.click(screen.getByText('do'))
    expect(screen.getAllByText('Saved.')).toHaveLength(3)
    act(() => screen.getAllByRole('button', { name: 'Dismiss' })[0]!.focus())
    act(() => void jest.advanceTimersByTime(30_000))
    expect(screen.getAllByText('Saved.')).toHaveLength(3)
    act(() => (document.activeElement as HTMLElement).blur())
    act(() => void jest.advanceTimersByTime(11_000))
    expect(screen.queryByText('Saved.')).not.toBeInTheDocument()
    jest.useRealTimers()
  })
})
