import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { HouseRules } from '@/domain/house-rules/house-rules'
import { AsPerson } from '../../../tests/fixtures/person'
import { send } from '../send'
import { HouseRulesForm } from './house-rules-form'

jest.mock('../send', () => ({ send: jest.fn() }))
const sent = jest.mocked(send)
const USUAL = HouseRules.parse({})
beforeEach(() => sent.mockReset().mockResolvedValue({ ok: true, value: {} }))

const show = (role: 'owner' | 'office' = 'owner', units: 'metric' | 'us' = 'metric') =>
  render(
    <AsPerson role={role} units={units}>
      <HouseRulesForm rules={USUAL} version={7} />
    </AsPerson>,
  )
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save house rules' }))
const fill = async (label: RegExp, text: string) => {
  await userEvent.clear(screen.getByLabelText(label))
  await userEvent.type(screen.getByLabelText(label), text)
  await userEvent.tab()
}

describe('the house rules', () => {
  it('are saved whole on the version that was read, and again on the next', async () => {
    show()
    await userEvent.click(screen.getByRole('radio', { name: /^By surface/ }))
    await fill(/^Spring cleanout/, '11 °C')
    await save()
    await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent(/Saved/))
    expect(sent).toHaveBeenLastCalledWith('PUT', '/api/v1/house-rules', {
      version: 7,
      rules: { ...USUAL, sizingMethod: 'surface', cleanoutMaxWaterC: 11 },
    })
    await fill(/^Spring cleanout/, '12 °C')
    await save()
    await waitFor(() => expect(sent).toHaveBeenCalledTimes(2))
    expect(sent.mock.calls[1]![2]).toMatchObject({ version: 8, rules: { cleanoutMaxWaterC: 12 } })
  })
  it('are entered in the reader’s units and kept in their own', async () => {
    show('owner', 'us')
    expect((screen.getByLabelText(/^Spring cleanout/) as HTMLInputElement).value).toMatch(/°F$/)
    await fill(/^Spring cleanout/, '50 °F')
    await save()
    await waitFor(() => expect(sent).toHaveBeenCalled())
    const { rules } = sent.mock.calls[0]![2] as { rules: { cleanoutMaxWaterC: number } }
    expect(rules.cleanoutMaxWaterC).toBeCloseTo(10, 9)
  })
  it('refuse a figure out of range at its field and send nothing', async () => {
    show()
    await fill(/^Spring cleanout/, '90 °C')
    await save()
    await waitFor(() => expect(screen.getByLabelText(/^Spring cleanout/)).toBeInvalid())
    expect(sent).not.toHaveBeenCalled()
  })
  it('say what somebody else saved meanwhile beside what was chosen here', async () => {
    sent.mockResolvedValueOnce({
      ok: false,
      problem: {
        title: 'Saved meanwhile.',
        status: 409,
        kind: 'conflict',
        current: { rules: { ...USUAL, sizingMethod: 'nitrogen', cleanoutMaxWaterC: 9 } },
      },
    })
    show()
    await userEvent.click(screen.getByRole('radio', { name: /^By surface/ }))
    await save()
    const lines = (await screen.findAllByRole('listitem')).map((line) => line.textContent)
    expect(lines.some((line) => /by surface.*by nitrogen/i.test(line!))).toBe(true)
    expect(lines.some((line) => /9\.0\s°C/.test(line!))).toBe(true)
    expect(screen.getByRole('radio', { name: /^By surface/ })).toBeChecked()
  })
  it('are read, not changed, by those who may not', () => {
    show('office')
    for (const radio of screen.getAllByRole('radio')) expect(radio).toBeDisabled()
    expect(screen.queryByRole('button', { name: 'Save house rules' })).not.toBeInTheDocument()
  })
})
