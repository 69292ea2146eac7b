import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { PondId } from '@/domain/shared/ids'
import type { Reading } from '@/domain/water/reading'
import { AsPerson } from '../../../tests/fixtures/person'
import { ReadingsChart } from './readings-chart'

const drawn = jest.fn()
jest.mock('@/ui/kit/charts/chart', () => ({
  Chart: ({ option, label }: { option: unknown; label: string }) => {
    drawn(option)
    return <div role="img" aria-label={label} />
  },
}))
beforeEach(() => drawn.mockReset())

const reading = (kind: Reading['kind'], value: number, day: string): Reading => ({
  pondId: 'p' as PondId,
  visitId: null,
  kind,
  value,
  belowStep: false,
  method: 'drops',
  takenAt: `${day}T10:00:00Z`,
  byName: 'x',
})
const READINGS = [
  reading('tan', 0.4, '2026-06-01'),
  reading('tan', 0.1, '2026-05-01'),
  reading('waterTemp', 20, '2026-06-01'),
  reading('waterTemp', 16, '2026-05-01'),
]
const show = (units: 'metric' | 'us' = 'metric') =>
  render(
    <AsPerson units={units}>
      <ReadingsChart
        readings={READINGS}
        events={[
          { day: '2026-05-10', name: 'Spring cleanout' },
          { day: '2020-01-01', name: 'Long ago' },
        ]}
      />
    </AsPerson>,
  )
interface Line {
  readonly yAxis?: number
  readonly xAxis?: string
}
const lines = (): readonly Line[] => drawn.mock.lastCall[0].series[0].markLine.data

describe('readings over time', () => {
  it('show where they begin to ask for something, as far as that is near, and what was done meanwhile', () => {
    show()
    expect(
      screen.getByRole('img', {
        name: /^Total ammonia \(TAN\) over time; watch above 0\.25, act above 0\.5, emergency above 2/,
      }),
    ).toBeInTheDocument()
    expect(lines().flatMap((l) => l.yAxis ?? [])).toEqual([0.25, 0.5])
    expect(lines().flatMap((l) => l.xAxis ?? [])).toEqual(['2026-05-10T12:00:00Z'])
    expect(screen.getByText('Work done in this period (2)')).toBeInTheDocument()
  })
  it('are drawn in the reader’s units, limits too', async () => {
    show('us')
    await userEvent.click(screen.getByRole('button', { name: 'Water temperature' }))
    expect(drawn.mock.lastCall[0].series[0].data.map(([, v]: [string, number]) => v)).toEqual([60.8, 68])
    expect(lines().flatMap((l) => l.yAxis ?? [])).toEqual([77, 86])
  })
  it('are nothing to draw from a single test', () => {
    render(
      <AsPerson>
        <ReadingsChart readings={[READINGS[0]!]} events={[]} />
      </AsPerson>,
    )
    expect(screen.queryByRole('img')).not.toBeInTheDocument()
  })
})
