import { act, renderHook } from '@testing-library/react'
import { useState } from 'react'
import { useDraft } from './use-draft'

const openForm = () =>
  renderHook(() => {
    const [value, setValue] = useState('')
    return { value, setValue, ...useDraft('form', { value }, (kept) => setValue(kept.value)) }
  })

const settle = () => act(() => void jest.advanceTimersByTime(400))

describe('a draft', () => {
  beforeEach(() => {
    jest.useFakeTimers()
    window.localStorage.clear()
  })
  afterEach(() => jest.useRealTimers())

  it('is kept shortly after typing stops and restored when the form opens again', () => {
    const first = openForm()
    act(() => first.result.current.setValue('12 ft'))
    settle()
    first.unmount()
    expect(openForm().result.current.value).toBe('12 ft')
  })
  it('is gone once it was saved, even when the page lingers', () => {
    const { result } = openForm()
    act(() => result.current.setValue('12 ft'))
    settle()
    expect(window.localStorage.getItem('form')).toContain('12 ft')
    act(() => result.current.clear())
    expect(window.localStorage.getItem('form')).toBeNull()
  })
  it('that was cut short is thrown away instead of breaking the form', () => {
    window.localStorage.setItem('form', '{"value": "12')
    expect(openForm().result.current.value).toBe('')
  })
})
