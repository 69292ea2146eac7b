import { act, render, screen } from '@testing-library/react'
import { StepTimer } from './step-timer'

describe('a step’s timer', () => {
  beforeEach(() => jest.useFakeTimers({ now: new Date('2027-03-20T10:05:00Z') }))
  afterEach(() => jest.useRealTimers())
  it('counts from the logged start, however long the phone was closed', () => {
    render(<StepTimer minutes={15} startedAt="2027-03-20T10:00:00Z" onStart={() => {}} />)
    act(() => void jest.advanceTimersByTime(1000))
    expect(screen.getByRole('timer')).toHaveTextContent('09:59')
    act(() => void jest.advanceTimersByTime(10 * 60_000))
    expect(screen.getByRole('timer')).toHaveTextContent('Time is up')
  })
  it('asks to be started', () => {
    render(<StepTimer minutes={20} startedAt={null} onStart={() => {}} />)
    expect(screen.getByRole('button')).toHaveTextContent('Start 20-minute timer')
  })
})
