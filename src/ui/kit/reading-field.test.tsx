import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import type { ReadingKindName } from '@/core/water/readings'
import { AsPerson } from '../../../tests/fixtures/person'
import { ReadingField } from './reading-field'

const changed = jest.fn()
function Field({ kind }: { kind: ReadingKindName }) {
  const [value, setValue] = useState<number | null>(null)
  return (
    <AsPerson>
      <ReadingField
        kind={kind}
        large
        deepestM={1.4}
        value={value}
        onChange={(v, belowStep) => {
          changed(v, belowStep)
          setValue(v)
        }}
      />
    </AsPerson>
  )
}
const type = async (label: string, text: string) => {
  await userEvent.type(screen.getByLabelText(label), text)
  await userEvent.tab()
}
beforeEach(() => changed.mockReset())

describe('a test written down', () => {
  it('shows its unit before anything is typed, and with what is typed', async () => {
    render(<Field kind="tan" />)
    expect(screen.getByText('in mg/L')).toBeInTheDocument()
    await userEvent.type(screen.getByLabelText('Total ammonia (TAN)'), '0.5')
    expect(screen.getByText(/^= 0\.5\smg\/L$/)).toBeInTheDocument()
  })
  it('takes "<0.25" as none found, and goes on saying it', async () => {
    render(<Field kind="tan" />)
    await type('Total ammonia (TAN)', '<0.25')
    expect(changed).toHaveBeenLastCalledWith(0, true)
    expect(screen.getByLabelText('Total ammonia (TAN)')).toHaveValue('<0.25')
    expect(screen.getByLabelText('Total ammonia (TAN)')).not.toBeInvalid()
  })
  it('counts drops, and knows the bottom', async () => {
    const { unmount } = render(<Field kind="kh" />)
    await type('KH', '4 drops')
    expect(changed).toHaveBeenLastCalledWith(4, false)
    unmount()
    render(<Field kind="clarityDepth" />)
    await type('Clarity (Secchi depth)', 'bottom')
    expect(changed).toHaveBeenLastCalledWith(1.4, false)
  })
  it('does not take what it cannot read', async () => {
    render(<Field kind="tan" />)
    await type('Total ammonia (TAN)', '<lots')
    expect(changed).toHaveBeenLastCalledWith(Number.NaN, false)
    expect(screen.getByText(/cannot be read as a concentration/)).toBeInTheDocument()
  })
})
