import { act, render, renderHook, screen } from '@testing-library/react'
import { fetchJson } from '@/ui/send'
import { ServerData, useServerData } from './server-data'

jest.mock('@/ui/send', () => ({ fetchJson: jest.fn() }))
const asked = jest.mocked(fetchJson)
const answers = (value: unknown) => asked.mockResolvedValueOnce({ ok: true, value } as never)

beforeEach(() => {
  asked.mockReset()
  jest.useFakeTimers()
})
afterEach(() => jest.useRealTimers())
const pass = (ms: number) => act(async () => void (await jest.advanceTimersByTimeAsync(ms)))

interface Run {
  readonly name: string
  readonly over: boolean
}
const follow = (initial?: Run) => ({ ...(initial && { initial }), everyMs: 500, until: (run: Run) => run.over })
const followed = (path: string | null, initial?: Run) =>
  renderHook(({ path: at, initial: known }) => useServerData<Run>(at, follow(known)), {
    wrapper: ServerData,
    initialProps: { path, initial } as { path: string | null; initial?: Run },
  })

describe('what a page reads', () => {
  it('is asked for once, and shown', async () => {
    answers('a pond')
    const Page = () => <p>{useServerData<string>('/api/v1/x').value ?? 'reading'}</p>
    render(<Page />, { wrapper: ServerData })
    expect(screen.getByText('reading')).toBeInTheDocument()
    await pass(10)
    expect(screen.getByText('a pond')).toBeInTheDocument()
    await pass(10_000)
    expect(asked).toHaveBeenCalledTimes(1)
  })
  it('is followed until it has ended, from what was known', async () => {
    answers({ name: 'A', over: false })
    answers({ name: 'A', over: true })
    const { result } = followed('/api/v1/a', { name: 'queued', over: false })
    expect(result.current.value?.name).toBe('queued')
    await pass(2000)
    expect(result.current.value).toEqual({ name: 'A', over: true })
    const times = asked.mock.calls.length
    await pass(5000)
    expect(asked).toHaveBeenCalledTimes(times)
  })
  it('is nothing while nothing is wanted, whatever was known before', async () => {
    const { result, rerender } = followed(null, { name: 'ended', over: true })
    expect(result.current).toEqual({ value: undefined, problem: null })
    rerender({ path: null })
    expect(result.current.value).toBeUndefined()
    await pass(2000)
    expect(asked).not.toHaveBeenCalled()
  })
  it('shows why it failed until it succeeds', async () => {
    asked.mockResolvedValueOnce({ ok: false, problem: { title: 'No', status: 0, kind: 'offline' } } as never)
    answers({ name: 'A', over: true })
    const { result } = followed('/api/v1/a')
    await pass(10)
    expect(result.current.problem).toMatchObject({ kind: 'offline' })
    await pass(600)
    expect(result.current).toEqual({ value: { name: 'A', over: true }, problem: null })
  })
})
