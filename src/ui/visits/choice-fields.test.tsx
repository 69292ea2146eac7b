import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import type { StepChoice } from '@/core/visits/step'
import { ChoiceFields } from './choice-fields'

const CALM: StepChoice[] = [
  { code: 'calm', label: 'No smell, fish calm' },
  { code: 'gasping', label: 'Fish gasp' },
]
const changed = jest.fn()
function Editor({ fixed }: { fixed: boolean }) {
  const [choices, setChoices] = useState<readonly StepChoice[]>(CALM)
  return (
    <ChoiceFields
      choices={choices}
      locked={false}
      fixed={fixed}
      onChange={(next) => {
        changed(next)
        setChoices(next)
      }}
    />
  )
}
beforeEach(() => changed.mockReset())

describe('answers of a step', () => {
  it('keep their codes, whatever they are worded as', async () => {
    render(<Editor fixed />)
    await userEvent.clear(screen.getByLabelText('Answer 1'))
    await userEvent.type(screen.getByLabelText('Answer 1'), 'All well')
    expect(changed).toHaveBeenLastCalledWith([{ code: 'calm', label: 'All well' }, CALM[1]])
  })
  it('of a stop are neither added to nor taken absent', () => {
    render(<Editor fixed />)
    expect(screen.queryByRole('button')).not.toBeInTheDocument()
  })
  it('of the firm’s own question are, each with a code of its own', async () => {
    render(<Editor fixed={false} />)
    await userEvent.click(screen.getByRole('button', { name: 'Add answer' }))
    await userEvent.click(screen.getByRole('button', { name: 'Add answer' }))
    const codes = (changed.mock.lastCall[0] as StepChoice[]).map((c) => c.code)
    expect(new Set(codes).size).toBe(4)
    await userEvent.click(screen.getByRole('button', { name: 'Remove answer 1' }))
    expect((changed.mock.lastCall[0] as StepChoice[])[0]!.code).toBe('gasping')
  })
})
