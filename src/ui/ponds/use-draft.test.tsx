import { act, render } from '@testing-library/react'
import { useState } from 'react'
import { useDraft } from './use-draft'

const restored: unknown[] = []
let change: (value: string) => void
let clear: () => void

function Form() {
  const [value, setValue] = useState('')
  change = setValue
  ;({ clear } = useDraft('form', { value }, (kept) => {
    restored.push(kept)
    setValue(kept.value)
  }))
  return <p>{value}</p>
}

describe('a draft', () => {
  beforeEach(() => {
    jest.useFakeTimers()
    window.localStorage.clear()
    restored.splice(0)
  })
  afterEach(() => jest.useRealTimers())

  it('is kept shortly after typing stops and restored when the form opens again', () => {
    const first = render(<Form />)
    act(() => change('12 ft'))
    act(() => void jest.advanceTimersByTime(400))
    first.unmount()
    const again = render(<Form />)
    expect(restored).toEqual([{ value: '12 ft' }])
    expect(again.container).toHaveTextContent('12 ft')
  })
  it('is gone once it was saved, even when the page lingers', () => {
    render(<Form />)
    act(() => change('12 ft'))
    act(() => void jest.advanceTimersByTime(400))
    act(() => clear())
    act(() => change('13 ft'))
    act(() => void jest.advanceTimersByTime(400))
    expect(window.localStorage.getItem('form')).toBeNull()
  })
  it('that was cut short is thrown away instead of breaking the form', () => {
    window.localStorage.setItem('form', '{"value": "12')
    render(<Form />)
    expect(restored).toEqual([])
  })
})
