import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { checkDesign } from '@/core/filter/checks'
import { evaluateDesign } from '@/core/filter/design'
import { suggestDesign } from '@/core/filter/suggest'
import { PUMP_CATALOGUE } from '@/core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES, SIZING_METHODS } from '@/core/filter/house-rules'
import { duration } from '@/domain/shared/dates'
import type { planningPage } from '@/server/visits/visit-planning'
import { cleanoutDuration } from '@/core/visits/duration'
import { cleanoutQuantities, DEFAULT_KIT } from '@/core/visits/cleanout-quantities'
import { AsPerson } from '../../tests/fixtures/person'
import { pondInput } from '../../tests/fixtures/pond-input'
import { CheckPanel } from './design/check-panel'
import type { DesignPart } from './design/use-design'
import type { DesignPageData } from '@/server/design/designs'
import { SizingMethodTable } from './design/method-table'
import { PlanForm } from './season/plan-form'
import { NuqsTestingAdapter } from 'nuqs/adapters/testing'
import type { ComponentProps } from 'react'
import { PondList } from './ponds/pond-list'
import { StaleSave } from './ponds/stale-save'
import { toFormValues } from './survey/survey-form-values'
import { koiPond as pond } from '../../tests/fixtures/design-pond'

const push = jest.fn()
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: jest.fn() }), usePathname: () => '/' }))

const design = suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE)
const worked = (changes: object = {}) => {
  const changed = { ...design, ...changes }
  const result = evaluateDesign({
    pond,
    design: changed,
    rules: DEFAULT_FILTER_RULES,
    houseMethod: 'volume',
    pumps: PUMP_CATALOGUE,
  })
  return {
    result,
    checks: checkDesign({ design: changed, pond, result, rules: DEFAULT_FILTER_RULES, houseMethod: 'volume' }),
  }
}

describe('the bench’s tables', () => {
  it('show four schools, mark the chosen and the house’s, and choose by one click', async () => {
    const choose = jest.fn()
    render(
      <AsPerson>
        <SizingMethodTable
          use="koi"
          result={worked().result}
          chosen="volume"
          house="volume"
          costs={SIZING_METHODS.map((sizingMethod) => ({ sizingMethod, pumpName: 'S24', totalMinor: 812345 }))}
          currency="EUR"
          onChoose={choose}
        />
      </AsPerson>,
    )
    expect(screen.getAllByRole('row')).toHaveLength(5)
    expect(screen.getByLabelText(/By volume/)).toBeChecked()
    expect(screen.getByText('(house)')).toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('By nitrogen and oxygen'))
    expect(choose).toHaveBeenCalledWith('nitrogen')
  })
  const part = (changes: object, set = jest.fn()): DesignPart => {
    const { result, checks } = worked(changes)
    const data = {
      designPond: pond,
      rules: DEFAULT_FILTER_RULES,
      houseMethod: 'volume',
      pumps: PUMP_CATALOGUE,
    } as unknown as DesignPageData
    const bed = { ...design, ...changes }
    return { data, bed, shown: { bed, result, checks }, opened: undefined, errorOf: () => undefined, set }
  }
  const checkCalled = (title: RegExp) => screen.getByText(title).closest('details')!
  it('offer a remedy only where something is to be mended', () => {
    render(
      <AsPerson>
        <CheckPanel part={part({ lengthM: 0.5, widthM: 0.5 })} />
      </AsPerson>,
    )
    const size = checkCalled(/Large enough by the house method/)
    expect(within(size).getByText('Stop')).toBeInTheDocument()
    expect(within(size).getByText(/Remedy:/)).toBeInTheDocument()
    expect(within(checkCalled(/Each layer holds the finer one/)).queryByText(/Remedy:/)).not.toBeInTheDocument()
  })
  it('apply a remedy by one click and say what it changed', async () => {
    const set = jest.fn()
    render(
      <AsPerson>
        <CheckPanel part={part({ lengthM: 1, widthM: 1 }, set)} />
      </AsPerson>,
    )
    await userEvent.click(screen.getByText(/Large enough by the house method/))
    await userEvent.click(
      within(checkCalled(/Large enough by the house method/)).getByRole('button', { name: 'Apply remedy' }),
    )
    const mended = set.mock.calls[0][0]
    expect(mended.lengthM * mended.widthM).toBeGreaterThanOrEqual(worked().result.houseAreaM2)
    expect(within(screen.getByRole('status')).getByText(/^Area:/)).toHaveTextContent('→')
    expect(
      within(screen.getByRole('status')).getByText(/Large enough by the house method.*Stop → OK/),
    ).toBeInTheDocument()
  })
})

const quantities = cleanoutQuantities(
  { waterM3: 12, maxDepthM: 1, fish: [], sourceChlorinated: true },
  DEFAULT_KIT,
  null,
)
const planData = (size = 2, learntFactor = 1) =>
  ({
    pond: { ...pondInput(), id: 'p1', siteName: 'Weir Cottage' },
    job: 'spring-cleanout',
    jobs: ['spring-cleanout', 'routine'],
    today: '2027-01-10',
    window: { earliest: '2027-03-01', best: '2027-03-20', latest: '2027-04-10' },
    proposals: [
      { day: '2027-03-15', likelihood: 0.9 },
      { day: '2027-03-19', likelihood: 0.9 },
      { day: '2027-03-29', likelihood: 0.7 },
    ],
    crews: [
      {
        id: 'c1',
        name: 'Otter',
        size,
        quantities,
        duration: cleanoutDuration(quantities, 0, 40, size),
        learntFactor,
        rangeMin: [300, 480],
        plannedMinutes: Math.ceil((cleanoutDuration(quantities, 0, 40, size).totalMinutes * learntFactor) / 5) * 5,
      },
    ],
    visits: [
      {
        id: 'v9',
        pondId: 'p2',
        crewId: 'c1',
        day: '2027-03-19',
        startTime: '09:00',
        plannedMinutes: 120,
        pondName: 'Pond',
        siteName: 'Lanternhouse',
        jobName: 'Spring cleanout',
      },
    ],
  }) as unknown as Awaited<ReturnType<typeof planningPage>>

describe('planning', () => {
  it('begins with the likeliest day nearest the best one and shows what it clashes with', () => {
    render(
      <AsPerson>
        <PlanForm data={planData()} />
      </AsPerson>,
    )
    expect(screen.getByLabelText('Day')).toHaveValue('2027-03-19')
    expect(screen.getByText('Conflict')).toBeInTheDocument()
    expect(screen.getByText(/Lanternhouse, Pond/)).toBeInTheDocument()
  })
  it('warns of a day outside the window and of a long day', async () => {
    render(
      <AsPerson>
        <PlanForm data={planData(1)} />
      </AsPerson>,
    )
    await userEvent.clear(screen.getByLabelText('Day'))
    await userEvent.type(screen.getByLabelText('Day'), '2027-05-20')
    expect(screen.getByText('This day is outside the window.')).toBeInTheDocument()
    await userEvent.clear(screen.getByLabelText('Start'))
    await userEvent.type(screen.getByLabelText('Start'), '14:00')
    expect(screen.getByText('Long day')).toBeInTheDocument()
  })
  it('tells the minutes that will be saved, and what they were learnt from', () => {
    const data = planData(2, 0.45)
    render(
      <AsPerson>
        <PlanForm data={data} />
      </AsPerson>,
    )
    expect(screen.getByRole('heading', { name: /^About/ })).toHaveTextContent(
      `About ${duration(data.crews[0]!.plannedMinutes)},`,
    )
    expect(screen.getByText(/working time is taken as 0.45 times that/)).toHaveTextContent(
      duration(data.crews[0]!.duration.totalMinutes),
    )
  })
  it('adds its parts up to the time it tells', () => {
    render(
      <AsPerson>
        <PlanForm data={planData()} />
      </AsPerson>,
    )
    const minutes = screen.getAllByRole('row').map((row) => {
      const [, h, min] = /(?:(\d+) h ?)?(?:(\d+) min)?$/.exec(within(row).getAllByRole('cell')[0]!.textContent!)!
      return Number(h ?? 0) * 60 + Number(min ?? 0)
    })
    const [, h, min] = /About (\d+) h (\d+) min/.exec(screen.getByRole('heading', { name: /^About/ }).textContent!)!
    expect(Math.abs(minutes.reduce((a, b) => a + b, 0) - (Number(h) * 60 + Number(min)))).toBeLessThanOrEqual(
      minutes.length / 2 + 5,
    ) // planned to five minutes
  })
})

describe('the list of ponds', () => {
  const line = (name: string, siteName: string, volumeM3: number) =>
    ({
      id: name,
      name,
      siteName,
      town: 'Ferrygate',
      customerName: 'Someone',
      use: 'koi' as const,
      volumeM3,
      areaM2: 10,
      fishCount: 3,
    }) as never
  const ponds = [line('Koi pond', 'Highcairn', 44), line('Rill', 'Ropewalk', 1), line('Court', 'Museum', 13)]
  const showList = (list: typeof ponds, address: Omit<ComponentProps<typeof NuqsTestingAdapter>, 'children'>) =>
    render(
      <AsPerson>
        <NuqsTestingAdapter hasMemory {...address}>
          <PondList ponds={list} tiles={null} />
        </NuqsTestingAdapter>
      </AsPerson>,
    )
  const shownPonds = () =>
    screen
      .getAllByRole('link')
      .slice(1)
      .map((a) => a.textContent)
  it('searches every word and sorts by any column', async () => {
    const addresses: string[] = []
    showList(ponds, { onUrlUpdate: ({ queryString }) => void addresses.push(queryString) })
    await userEvent.click(screen.getByRole('button', { name: /Water/ }))
    expect(shownPonds()).toEqual(['Rill', 'Court', 'Koi pond'])
    await userEvent.type(screen.getByLabelText('Search ponds'), 'ferry muse')
    expect(screen.getByText('1 of 3 ponds')).toBeInTheDocument()
    expect(addresses.at(-1)).toBe('?sort=volumeM3&q=ferry+muse')
  })
  it('shows what its address says', () => {
    showList(ponds, { searchParams: '?q=ferry&sort=volumeM3&order=down' })
    expect(shownPonds()).toEqual(['Koi pond', 'Court', 'Rill'])
    expect(screen.getByRole('columnheader', { name: /Water/ })).toHaveAttribute('aria-sort', 'descending')
  })
  it('falls back to its own order when the address asks for a column that it does not have', () => {
    showList(ponds, { searchParams: '?sort=colour&order=sideways' })
    expect(shownPonds()).toEqual(['Koi pond', 'Court', 'Rill'])
    expect(screen.getByRole('columnheader', { name: /Site/ })).toHaveAttribute('aria-sort', 'ascending')
  })
  it('offers no adding to those who may not', () => {
    render(
      <AsPerson role="technician">
        <NuqsTestingAdapter>
          <PondList ponds={[]} tiles={null} />
        </NuqsTestingAdapter>
      </AsPerson>,
    )
    expect(screen.queryByRole('link', { name: 'Add pond' })).not.toBeInTheDocument()
    expect(screen.getByText(/No ponds yet/)).toBeInTheDocument()
  })
})

describe('a stale save', () => {
  it('shows only what differs, both ways', async () => {
    const keep = jest.fn()
    render(
      <StaleSave
        mine={toFormValues(pondInput({ notes: 'mine' }))}
        theirs={toFormValues(pondInput({ notes: 'theirs', altitudeM: 31 }))}
        onKeepMine={keep}
        onTakeTheirs={() => {}}
      />,
    )
    expect(
      screen
        .getAllByRole('row')
        .slice(1)
        .map((r) => r.textContent),
    ).toEqual(['Altitude (m)3031', 'Notesminetheirs'])
    await userEvent.click(screen.getByRole('button', { name: 'Overwrite with mine' }))
    expect(keep).toHaveBeenCalled()
  })
})
