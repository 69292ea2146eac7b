import { render, screen } from '@testing-library/react'
import type { ForecastRisks } from '@/domain/forecasts/forecast'
import { AsPerson, FIELD_PERSON } from '../../../tests/fixtures/person'
import { FieldProvider } from './field-context'
import { ForecastRisksNote } from './forecast-risks-note'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'

const show = (forecastRisks: ForecastRisks | null | undefined, units: 'metric' | 'us' = 'metric') =>
  render(
    <AsPerson units={units}>
      <FieldProvider
        value={{
          person: FIELD_PERSON,
          today: '2027-07-02',
          products: USUAL_PRODUCTS_IN_WORDS,
          log: async () => undefined,
          sync: async () => 'synced',
        }}
      >
        <ForecastRisksNote forecastRisks={forecastRisks} />
      </FieldProvider>
    </AsPerson>,
  )

describe('the forecast, at the water', () => {
  it('says what, how likely, when, and when it was forecast; the model is not believed before a test', () => {
    show({
      madeAt: '2027-07-01T04:10:00Z',
      risks: [{ hazard: 'oxygen', week: 0.7, whole: 0.92, day: '2027-07-05', weight: 0.8, jobKey: 'routine' }],
    })
    const note = screen.getByRole('region', { name: 'Forecast' })
    expect(note).toHaveTextContent(/1 Jul 2027/)
    expect(note).toHaveTextContent(/likely Low oxygen: below 5 mg\/L at night in 92 % of runs, about Mon 5 Jul/)
    expect(note).toHaveTextContent('Test before you act on it.')
  })
  it('speaks the person’s units', () => {
    show(
      {
        madeAt: '2027-07-01T04:10:00Z',
        risks: [{ hazard: 'heat', week: 0.1, whole: 0.4, day: '2027-07-15', weight: 0.2, jobKey: 'routine' }],
      },
      'us',
    )
    expect(screen.getByRole('region', { name: 'Forecast' })).toHaveTextContent(
      /maybe Too warm for fish: above 86\.0\s°F/,
    )
  })
  it.each([null, undefined])(
    'is not there when there is no risk, nor in a visit kept from before there were forecasts',
    (none) => {
      show(none)
      expect(screen.queryByRole('region', { name: 'Forecast' })).not.toBeInTheDocument()
    },
  )
})
