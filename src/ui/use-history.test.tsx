import { act, renderHook } from '@testing-library/react'
import { useHistory } from './use-history'

const START = 1_000_000
let now = START
beforeEach(() => {
  now = START
  jest.spyOn(Date, 'now').mockImplementation(() => now)
})

const history = (first = 0) => {
  const { result } = renderHook(() => useHistory(first))
  return {
    get: () => result.current,
    change: (next: number, what?: string) => act(() => result.current.change(next, what)),
    undo: () => act(() => result.current.undo()),
    redo: () => act(() => result.current.redo()),
    reset: (value: number) => act(() => result.current.reset(value)),
  }
}

describe('a value with undo and redo', () => {
  it('goes back step by step and on again', () => {
    const h = history()
    h.change(1)
    h.change(2)
    h.undo()
    expect(h.get().value).toBe(1)
    h.undo()
    expect(h.get()).toMatchObject({ value: 0, canUndo: false, canRedo: true })
    h.undo()
    expect(h.get().value).toBe(0)
    h.redo()
    h.redo()
    h.redo()
    expect(h.get()).toMatchObject({ value: 2, canUndo: true, canRedo: false })
  })
  it('takes a drag back in one step, and what came before it in another', () => {
    const h = history()
    h.change(1, 'length')
    for (const value of [2, 3, 4]) {
      now += 100
      h.change(value, 'length')
    }
    h.change(5, 'width')
    h.undo()
    expect(h.get().value).toBe(4)
    h.undo()
    expect(h.get().value).toBe(0)
  })
  it('tells two changes of one thing apart when they lie apart', () => {
    const h = history()
    h.change(1, 'length')
    now += 701
    h.change(2, 'length')
    h.undo()
    expect(h.get().value).toBe(1)
  })
  it('forgets what was undone once something else is changed', () => {
    const h = history()
    h.change(1)
    h.undo()
    h.change(7)
    expect(h.get()).toMatchObject({ value: 7, canRedo: false })
  })
  it('counts no change that changes nothing, and keeps two hundred steps', () => {
    const h = history()
    h.change(0)
    expect(h.get().canUndo).toBe(false)
    for (let i = 1; i <= 205; i++) h.change(i)
    for (let i = 0; i < 300; i++) h.undo()
    expect(h.get().value).toBe(5)
  })
  it('begins anew from a value with nothing to undo', () => {
    const h = history()
    h.change(1)
    h.reset(9)
    expect(h.get()).toMatchObject({ value: 9, canUndo: false, canRedo: false })
  })
})
