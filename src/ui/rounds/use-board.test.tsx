import { act, renderHook } from '@testing-library/react'
import type { BoardInput } from '@/server/rounds/board'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { send } from '../send'
import { cellId, cellOf, useBoard } from './use-board'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

const visit = {
  id: 'v1',
  version: 3,
  crewId: 'c1',
  day: '2027-04-06',
  startTime: '08:00',
  plannedMinutes: 60,
  state: 'planned',
} as unknown as VisitLine
const moved = { id: 'v1', version: 3, day: '2027-04-08', startTime: '08:00', crewId: 'c2' }
const judged = { problems: [], costMin: 0, moves: [moved] } as unknown as Parameters<
  ReturnType<typeof useBoard>['place']
>[0]

const board = (input: BoardInput | null = null) => renderHook(() => useBoard(input, [visit])).result

describe('the rounds board', () => {
  it('knows a cell by crew and day', () =>
    expect(cellOf(cellId({ crewId: 'c1', day: '2027-04-06' }))).toEqual({ crewId: 'c1', day: '2027-04-06' }))
  it('judges nothing for people who may not plan', () =>
    expect(board().current.judge('v1', { crewId: 'c1', day: '2027-04-06' })).toBeNull())
  it('moves in one go, and knows the moves that take it back to where the visit was', async () => {
    const result = board()
    const back = await act(() => result.current.place(judged))
    expect(sent).toHaveBeenLastCalledWith('PUT', '/api/v1/visits/arrange', { moves: [moved] })
    expect(back).toEqual([expect.objectContaining({ id: 'v1', day: '2027-04-06', startTime: '08:00', crewId: 'c1' })])
  })
  it('takes nothing back of a move that was refused, and says why', async () => {
    sent.mockResolvedValueOnce({ ok: false, problem: { title: 'Changed meanwhile.', status: 409, kind: 'conflict' } })
    const result = board()
    expect(await act(() => result.current.place(judged))).toBeNull()
    expect(result.current.problem?.title).toBe('Changed meanwhile.')
  })
  it('sends nothing for a visit put back where it was', async () => {
    const result = board()
    await act(() => result.current.place({ ...judged, moves: [] }))
    expect(sent).not.toHaveBeenCalled()
  })
})
