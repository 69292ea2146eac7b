import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { WantedSheet } from '@/server/design/cutting'
import { AsPerson } from '../../../../tests/fixtures/person'
import { CuttingView } from './cutting-view'
import { useCutPlan } from './use-cut-plan'

jest.mock('./use-cut-plan')
const ask = jest.fn()
beforeEach(() => {
  ask.mockReset()
  jest.mocked(useCutPlan).mockReturnValue({ state: { status: 'idle' }, ask, stop: jest.fn() })
})

const net = (id: string, over: Partial<WantedSheet> = {}): WantedSheet => ({
  id,
  name: id,
  kind: 'net',
  lengthM: 6,
  widthM: 4,
  there: '',
  agreed: true,
  ...over,
})
const show = (sheets: readonly WantedSheet[]) =>
  render(
    <AsPerson>
      <CuttingView sheets={sheets} />
    </AsPerson>,
  )
const nets = () => userEvent.selectOptions(screen.getByLabelText('Material'), 'net')

describe('the season’s nets', () => {
  it('are those agreed and not yet there, chosen at once', async () => {
    show([net('Upper'), net('Lower', { there: 'Net A, stored: Loft' }), net('Wild', { agreed: false }), net('Yard')])
    await nets()
    expect(screen.getByText(/2 ponds have netting agreed but no net yet/)).toBeInTheDocument()
    expect(screen.getByLabelText(/^Lower.*there: Net A, stored: Loft/)).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Choose these' }))
    expect(screen.getByLabelText(/^Upper/)).toBeChecked()
    expect(screen.getByLabelText(/^Yard/)).toBeChecked()
    expect(screen.getByLabelText(/^Wild/)).not.toBeChecked()
    await userEvent.click(screen.getByRole('button', { name: 'Calculate cuts' }))
    expect(ask.mock.calls[0][0].map((s: WantedSheet) => s.id)).toEqual(['Upper', 'Yard'])
  })
  it('are none to cut when every pond has its own', async () => {
    show([net('Lower', { there: 'Net A, on the pond' })])
    await nets()
    expect(screen.getByText('Every pond with agreed netting has its net.')).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: /^Choose/ })).not.toBeInTheDocument()
  })
  it('cannot be planned with a roll that cannot be', async () => {
    show([net('Upper')])
    await nets()
    await userEvent.click(screen.getByLabelText(/^Upper/))
    const width = screen.getByLabelText('Roll 1 width')
    await userEvent.clear(width)
    await userEvent.type(width, '90')
    expect(screen.getByText('Between 0.2 and 30 m.')).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Calculate cuts' })).toBeDisabled()
  })
})
