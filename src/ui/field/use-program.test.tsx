import { act, render, screen } from '@testing-library/react'
import { ToastProvider } from '@/ui/kit/toasts'
import { useProgram } from './use-program'

/** A phone's keeper of programs, as far as the field sheet asks it. */
class Workers extends EventTarget {
  readonly register = jest.fn(async () => undefined)
  readonly update = jest.fn(async () => undefined)
  readonly getRegistration = jest.fn(async () => ({ update: this.update }))
  constructor(readonly controller: object | null) {
    super()
  }
}
function Sheet() {
  useProgram()
  return null
}
function open(controller: object | null): Workers {
  const workers = new Workers(controller)
  Object.defineProperty(navigator, 'serviceWorker', { configurable: true, value: workers })
  render(
    <ToastProvider>
      <Sheet />
    </ToastProvider>,
  )
  return workers
}
const change = (workers: Workers) => act(async () => workers.dispatchEvent(new Event('controllerchange')))
const told = () => screen.queryByText('A new version of the field sheet is ready.')
afterEach(() => Reflect.deleteProperty(navigator, 'serviceWorker'))

describe('the program on the device', () => {
  it('that is its first is nothing to speak of; the next one is said, with a way to load it', async () => {
    const workers = open(null)
    expect(workers.register).toHaveBeenCalledWith('/sw.js', { scope: '/field' })
    await change(workers)
    expect(told()).not.toBeInTheDocument()
    await change(workers)
    expect(told()).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Load it now' })).toBeInTheDocument()
  })
  it('that takes over from one that ran is said at once', async () => {
    await change(open({}))
    expect(told()).toBeInTheDocument()
  })
  it('is looked for anew whenever the phone is taken up', async () => {
    const workers = open({})
    await act(async () => document.dispatchEvent(new Event('visibilitychange')))
    expect(workers.update).toHaveBeenCalledTimes(1)
  })
  it('is done without where the browser keeps none', () => {
    expect(() =>
      render(
        <ToastProvider>
          <Sheet />
        </ToastProvider>,
      ),
    ).not.toThrow()
  })
})
