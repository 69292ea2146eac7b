import { act, renderHook } from '@testing-library/react'
import type { FoundOption } from '@/core/filter/options/option-problem'
import { send } from '@/ui/send'
import type { DesignPart } from '../use-design'
import { useSavedOptions } from './use-saved-options'

const refresh = jest.fn()
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }))
jest.mock('@/ui/send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)

const option = (name: string) => ({
  name,
  option: { design: { name }, objectives: {} } as unknown as FoundOption,
})
const [a, b, c] = [option('a'), option('b'), option('c')]
const part = { data: { pond: { id: 'p1' } }, opened: undefined } as unknown as DesignPart
const hook = () => renderHook(() => useSavedOptions(part)).result
const refused = { ok: false, problem: { message: 'No' } } as unknown as Awaited<ReturnType<typeof send>>
const kept = { ok: true, value: { number: 2 } } as Awaited<ReturnType<typeof send>>

beforeEach(() => jest.clearAllMocks())

describe('options saved as versions', () => {
  it('are saved one after the other under their names, and the page is read anew once', async () => {
    sent.mockResolvedValue(kept)
    const result = hook()
    await act(() => result.current.save([a, b]))
    expect(sent.mock.calls.map(([method, path, body]) => [method, path, (body as { name: string }).name])).toEqual([
      ['POST', '/api/v1/ponds/p1/designs', 'a'],
      ['POST', '/api/v1/ponds/p1/designs', 'b'],
    ])
    expect(result.current.unsaved([a, b, c])).toEqual([c])
    expect(refresh).toHaveBeenCalledTimes(1)
  })
  it('after a refusal are not saved twice: the next press goes on with what is left', async () => {
    sent.mockResolvedValueOnce(kept).mockResolvedValueOnce(refused)
    const result = hook()
    await act(() => result.current.save([a, b, c]))
    expect(sent).toHaveBeenCalledTimes(2)
    expect(result.current.problem).toEqual({ message: 'No' })
    expect(result.current.unsaved([a, b, c])).toEqual([b, c])
    sent.mockResolvedValue(kept)
    await act(() => result.current.save(result.current.unsaved([a, b, c])))
    expect(result.current.unsaved([a, b, c])).toEqual([])
    expect(result.current.problem).toBeNull()
  })
})
