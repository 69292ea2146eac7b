import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { PersonProvider } from '@/ui/person-context'
import { QuantityField } from './quantity-field'

const seen: (number | null)[] = []

function Field({ kind, units }: { kind: 'length' | 'volume'; units: 'metric' | 'us' }) {
  const [value, setValue] = useState<number | null>(null)
  return (
    <PersonProvider
      person={{
        name: 'A',
        role: 'owner',
        firmName: 'F',
        timeZone: 'Etc/UTC',
        preferences: { units, theme: 'light', region: 'system' },
      }}
    >
      <QuantityField
        label="Measure"
        kind={kind}
        value={value}
        onChange={(v) => {
          seen.push(v)
          setValue(v)
        }}
      />
      <button>elsewhere</button>
    </PersonProvider>
  )
}

const type = async (text: string) => userEvent.type(screen.getByLabelText('Measure'), text)

describe('a quantity field', () => {
  beforeEach(() => seen.splice(0))
  it('takes feet and inches in a metric form and shows what it understood', async () => {
    render(<Field kind="length" units="metric" />)
    await type('12 ft 6 in')
    expect(screen.getByText('= 3.81 m')).toBeInTheDocument()
    expect(seen.at(-1)).toBeCloseTo(3.81, 9)
    await userEvent.click(screen.getByText('elsewhere'))
    expect(screen.getByLabelText('Measure')).toHaveValue('3.81 m')
  })
  it('takes a bare number in the person’s unit', async () => {
    render(<Field kind="volume" units="us" />)
    await type('900')
    expect(seen.at(-1)).toBeCloseTo(3.4069, 3)
  })
  it('says what is wrong with a length in a volume field and keeps the text to be mended', async () => {
    render(<Field kind="volume" units="metric" />)
    await type("12'")
    await userEvent.click(screen.getByText('elsewhere'))
    expect(screen.getByText(/this field needs a volume/)).toBeInTheDocument()
    expect(screen.getByLabelText('Measure')).toHaveValue("12'")
    expect(screen.getByLabelText('Measure')).toBeInvalid()
    expect(seen.at(-1)).toBeNaN()
  })
})
