import { act, fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { ConfirmProvider } from '@/ui/kit/confirm'
import { useUnsaved } from '@/ui/kit/unsaved'
import { PageChange } from './page-change'

const at = { path: '/ponds', search: '' }
const push = jest.fn()
jest.mock('next/navigation', () => ({
  usePathname: () => at.path,
  useSearchParams: () => new URLSearchParams(at.search),
  useRouter: () => ({ push }),
}))
const taken = jest.fn()
function Form() {
  const [text, setText] = useState('')
  useUnsaved(text !== '')
  return <input aria-label="Note" value={text} onChange={(e) => setText(e.target.value)} />
}
function Page() {
  return (
    <ConfirmProvider>
      <PageChange />
      <Form />
      <a
        href="/stores"
        onClick={(e) => {
          e.preventDefault()
          taken()
        }}
      >
        Stores
      </a>
      <a href="/api/v1/price-list" onClick={(e) => e.preventDefault()}>
        File
      </a>
    </ConfirmProvider>
  )
}
beforeEach(() => {
  at.path = '/ponds'
  push.mockReset()
  taken.mockReset()
})
const line = () => screen.queryByRole('progressbar', { name: 'Loading the page' })

describe('going to another page', () => {
  it('shows that it is on its way until it is there, and nothing on coming back', () => {
    const { rerender } = render(<Page />)
    expect(line()).not.toBeInTheDocument()
    fireEvent.click(screen.getByText('Stores'))
    expect(taken).toHaveBeenCalledTimes(1)
    expect(line()).toBeInTheDocument()
    at.path = '/stores'
    rerender(<Page />)
    expect(line()).not.toBeInTheDocument()
    at.path = '/ponds'
    rerender(<Page />)
    expect(line()).not.toBeInTheDocument()
  })
  it('is no waiting for a file, a new window, or for ever', () => {
    jest.useFakeTimers()
    render(<Page />)
    fireEvent.click(screen.getByText('File'))
    fireEvent.click(screen.getByText('Stores'), { ctrlKey: true })
    expect(line()).not.toBeInTheDocument()
    fireEvent.click(screen.getByText('Stores'))
    act(() => jest.advanceTimersByTime(16_000))
    expect(line()).not.toBeInTheDocument()
    jest.useRealTimers()
  })
})

describe('what was entered and not saved', () => {
  it('holds the page until the person agrees to lose it', async () => {
    render(<Page />)
    await userEvent.type(screen.getByLabelText('Note'), 'pump hums')
    fireEvent.click(screen.getByText('Stores'))
    expect(taken).not.toHaveBeenCalled()
    expect(screen.getByText('What you entered on this page is not saved yet.')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }))
    expect(push).not.toHaveBeenCalled()
    expect(screen.getByLabelText('Note')).toHaveValue('pump hums')
    fireEvent.click(screen.getByText('Stores'))
    await userEvent.click(screen.getByRole('button', { name: 'Leave without saving' }))
    expect(push).toHaveBeenCalledWith('/stores')
  })
  it('has the browser ask before the page is closed, and not once it is cleared', async () => {
    render(<Page />)
    const close = () => {
      const event = new Event('beforeunload', { cancelable: true })
      window.dispatchEvent(event)
      return event.defaultPrevented
    }
    expect(close()).toBe(false)
    await userEvent.type(screen.getByLabelText('Note'), 'x')
    expect(close()).toBe(true)
    await userEvent.clear(screen.getByLabelText('Note'))
    expect(close()).toBe(false)
  })
})
