import { act, renderHook, waitFor } from '@testing-library/react'
import { fetchJson, send } from '../send'
import { ServerData } from './server-data'
import { useRun } from './use-run'

jest.mock('../send', () => ({ send: jest.fn(), fetchJson: jest.fn() }))
const sent = jest.mocked(send)
const asked = jest.mocked(fetchJson)
beforeEach(() => {
  sent.mockReset().mockResolvedValue({ ok: true, value: {} })
  asked.mockReset()
})

interface Work {
  readonly id: string
  readonly state: 'queued' | 'running' | 'done'
  readonly share: number
}
const follow = (latest: Work | null) =>
  renderHook(
    (props: { latest: Work | null }) => useRun<Work>({ ...props, pathOf: (run) => `/runs/${run.id}`, everyMs: 5 }),
    {
      wrapper: ServerData,
      initialProps: { latest },
    },
  )
const begin = (result: { current: ReturnType<typeof useRun<Work>> }) =>
  act(() => result.current.begin(send('POST', '/runs'), { state: 'queued', share: 0 }))

describe('work that the server does by the way', () => {
  it('is asked for, followed to its end, and asked after no more', async () => {
    sent.mockResolvedValueOnce({ ok: true, value: { id: 'r1' } })
    asked
      .mockResolvedValueOnce({ ok: true, value: { id: 'r1', state: 'running', share: 0.5 } })
      .mockResolvedValue({ ok: true, value: { id: 'r1', state: 'done', share: 1 } })
    const { result } = follow(null)
    expect(result.current).toMatchObject({ run: null, underWay: false, ended: false })
    await begin(result)
    await waitFor(() => expect(result.current).toMatchObject({ run: { share: 1 }, underWay: false, ended: true }))
    const times = asked.mock.calls.length
    await act(() => new Promise((resolve) => setTimeout(resolve, 40)))
    expect(asked.mock.calls).toHaveLength(times)
    expect(asked).toHaveBeenCalledWith('/runs/r1')
  })
  it('says why it was not begun, and follows nothing', async () => {
    sent.mockResolvedValueOnce({ ok: false, problem: { title: 'No crew', status: 422, kind: 'bad-input' } })
    const { result } = follow(null)
    await begin(result)
    expect(result.current).toMatchObject({ run: null, problem: { title: 'No crew' } })
    expect(asked).not.toHaveBeenCalled()
  })
  it('that was over before is no news, a newer one is shown, and what is done with is gone', () => {
    const { result, rerender } = follow({ id: 'r1', state: 'done', share: 1 })
    expect(result.current).toMatchObject({ run: { id: 'r1' }, underWay: false, ended: false })
    rerender({ latest: { id: 'r2', state: 'done', share: 1 } })
    expect(result.current.run?.id).toBe('r2')
    act(() => result.current.drop())
    expect(result.current.run).toBeNull()
  })
  it('that cannot be asked after says so and stands as it was last known', async () => {
    asked.mockResolvedValue({ ok: false, problem: { title: '', status: 0, kind: 'offline' } })
    const { result } = follow({ id: 'r1', state: 'running', share: 0.3 })
    await waitFor(() => expect(result.current.problem?.kind).toBe('offline'))
    expect(result.current).toMatchObject({ run: { share: 0.3 }, underWay: true })
  })
})
