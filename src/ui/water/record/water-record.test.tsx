import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { withNuqsTestingAdapter } from 'nuqs/adapters/testing'
import type { PondId, VisitId } from '@/domain/shared/ids'
import type { Reading } from '@/domain/water/reading'
import type { PondWaterData } from '@/server/ponds/pond-pages'
import { AsPerson } from '../../../../tests/fixtures/person'
import { WaterRecord } from './water-record'

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
const DATA = {
  today: '2026-07-01',
  readings: [
    reading('tan', 0.4, '2026-06-01'),
    reading('tan', 0.1, '2026-05-01'),
    reading('waterTemp', 20, '2026-06-01'),
    reading('waterTemp', 16, '2026-05-01'),
  ],
  visits: [
    { id: 'v1', day: '2026-05-10', isDone: true, name: 'Spring cleanout' },
    { id: 'v2', day: '2026-07-02', isDone: false, name: 'Routine visit' },
    { id: 'v3', day: '2026-06-10', isDone: false, name: 'Netting' },
  ],
  work: [
    { day: '2026-05-10', visitId: 'v1' as VisitId, work: { code: 'changedM3', amount: 2.4 } },
    {
      day: '2026-05-10',
      visitId: 'v1' as VisitId,
      work: { code: 'dose', name: 'Dechlorinator', amount: 80, unit: 'ml' },
    },
  ],
  forecast: null,
} as unknown as PondWaterData

const show = (units: 'metric' | 'us' = 'metric', data = DATA) =>
  render(
    <AsPerson units={units}>
      <WaterRecord data={data} />
    </AsPerson>,
    { wrapper: withNuqsTestingAdapter({ hasMemory: true }) },
  )
interface Line {
  readonly yAxis?: number
  readonly xAxis?: string
}
interface Drawn {
  readonly name?: string
  readonly xAxisIndex: number
  readonly data: readonly { readonly value: readonly [string, number] }[]
  readonly markLine?: { readonly data: readonly Line[] }
}
const series = (): readonly Drawn[] => drawn.mock.lastCall[0].series
const lane = (name: string): Drawn => series().find((s) => s.name?.startsWith(name))!

describe('the record of a pond’s water', () => {
  it('draws every test on one axis of days, with its limits, what was done and today', () => {
    show()
    const axes = drawn.mock.lastCall[0].xAxis as { min: string; max: string }[]
    expect(new Set(axes.map((a) => `${a.min} ${a.max}`)).size).toBe(1)
    const lines = lane('Total ammonia').markLine!.data
    expect(lines.flatMap((l) => l.yAxis ?? [])).toEqual([0.25, 0.5])
    expect(lines.flatMap((l) => l.xAxis ?? [])).toEqual(['2026-05-10T12:00:00Z', '2026-07-01T12:00:00Z'])
    expect(lane('Water temperature').xAxisIndex).not.toBe(lane('Total ammonia').xAxisIndex)
    expect(
      screen.getByRole('img', {
        name: /^Water temperature, Total ammonia \(TAN\) from .* with 5 visits and treatments$/,
      }),
    ).toBeInTheDocument()
  })
  it('says what was given and changed, on which visit, and what is planned or was never logged', () => {
    show()
    const line = (name: string) => screen.getByRole('link', { name }).closest('li')!
    expect(screen.getByRole('link', { name: 'Dechlorinator, 80 ml' })).toHaveAttribute('href', '/visits/v1/report')
    expect(screen.getByRole('link', { name: /^Water changed: 2\.4.m³$/ })).toHaveAttribute('href', '/visits/v1/report')
    expect(screen.getByRole('link', { name: 'Routine visit' })).toHaveAttribute('href', '/rounds?day=2026-07-02')
    expect(line('Netting')).toHaveTextContent('not logged yet')
    expect(line('Routine visit')).not.toHaveTextContent('not logged yet')
  })
  it('is drawn in the reader’s units, limits too', () => {
    show('us')
    expect(lane('Water temperature').data.map((p) => p.value[1])).toEqual([60.8, 68])
    expect(lane('Water temperature').markLine!.data.flatMap((l) => l.yAxis ?? [])).toEqual([77, 86])
  })
  it('leaves out the tests that are not asked for, but never all', async () => {
    show()
    await userEvent.click(screen.getByRole('button', { name: 'Water temperature' }))
    expect(lane('Water temperature')).toBeUndefined()
    expect(screen.getByRole('button', { name: 'Total ammonia (TAN)' })).toBeDisabled()
  })
  it('leaves out what was not tested in the period, and says so where that is all', async () => {
    show('metric', { ...DATA, today: '2026-12-01' })
    await userEvent.click(screen.getByRole('button', { name: '3 months' }))
    expect(series().filter((s) => s.name)).toEqual([])
    expect(screen.getByText('No water tests in this period.')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: '1 year' }))
    expect(lane('Water temperature')).toBeDefined()
    expect(screen.queryByText('No water tests in this period.')).not.toBeInTheDocument()
  })
  it('has its figures as a table', async () => {
    show()
    await userEvent.click(screen.getByText('Tests as a table'))
    const row = within(screen.getByRole('table', { name: 'Water tests' })).getByRole('row', { name: /1 Jun 2026/ })
    expect(row).toHaveTextContent('0.4 mg/L')
    expect(row).toHaveTextContent('20.0')
  })
  it('says what belongs there while there is nothing', () => {
    show('metric', { ...DATA, readings: [], visits: [], work: [] })
    expect(screen.getByText('Test results from visits appear here.')).toBeInTheDocument()
    expect(screen.queryByRole('img')).not.toBeInTheDocument()
  })
})
