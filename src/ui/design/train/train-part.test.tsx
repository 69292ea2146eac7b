import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useEffect, useState } from 'react'
import type { FilterDesign } from '@/core/filter/design-input'
import { PUMP_CATALOGUE } from '@/core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '@/core/filter/house-rules'
import { suggestDesign } from '@/core/filter/suggest'
import { FilterDesignInput } from '@/domain/design/design'
import type { DesignPageData } from '@/server/design/designs'
import { koiPond } from '../../../../tests/fixtures/design-pond'
import { pondInput } from '../../../../tests/fixtures/pond-input'
import { EMPTY_SITE_SURVEY } from '@/core/site-plan/site-survey'
import { AsPerson } from '../../../../tests/fixtures/person'
import { trainUnit } from '../../../../tests/fixtures/train-unit'
import { workThrough } from '../use-design'
import { TrainPart } from './train-part'

jest.mock('../parts/use-sheet', () => ({ useSheet: () => null }))

const data = {
  designPond: koiPond,
  rules: DEFAULT_FILTER_RULES,
  houseMethod: 'volume',
  pumps: PUMP_CATALOGUE,
  pond: { ...pondInput({ name: 'Koi pond' }), id: 'p1', siteSurvey: EMPTY_SITE_SURVEY },
} as unknown as DesignPageData
const start = suggestDesign(koiPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, 'lined-wetland')

let now: FilterDesign
const keep = (bed: FilterDesign): void => {
  now = bed
}
function Page({ train }: { train: FilterDesign['train'] }) {
  const first = { ...start, train }
  const [bed, setBed] = useState<FilterDesign>(first)
  const [shown, setShown] = useState(() => workThrough(data, first)!)
  useEffect(() => keep(bed))
  const set = (change: Partial<FilterDesign>) => {
    const next = { ...bed, ...change }
    setBed(next)
    const worked = FilterDesignInput.safeParse(next).success ? workThrough(data, next) : null
    if (worked) setShown(worked)
  }
  const read = FilterDesignInput.safeParse(bed)
  const errorOf = (path: string) =>
    !read.success && read.error.issues.some((i) => i.path.join('.') === path) ? 'out of range' : undefined
  return <TrainPart data={data} bed={bed} shown={shown} opened={undefined} errorOf={errorOf} set={set} />
}
const show = (...train: FilterDesign['train']) =>
  render(
    <AsPerson>
      <Page train={train} />
    </AsPerson>,
  )
const row = (kind: string) => document.querySelector<HTMLElement>(`[data-unit="${kind}"]`)!
const fill = async (within_: HTMLElement, label: string | RegExp, text: string) => {
  const field = within(within_).getByLabelText(label)
  await userEvent.clear(field)
  if (text) await userEvent.type(field, text)
  await userEvent.tab()
}

describe('the filter train on its page', () => {
  afterEach(() => Object.assign(data, { designPond: koiPond }))
  it('begins empty, takes a unit of a size that is sold, and says what it does', async () => {
    show()
    expect(screen.getByText(/No equipment yet/)).toBeVisible()
    await userEvent.selectOptions(screen.getByLabelText('Add equipment'), 'drum')
    expect(now.train).toMatchObject([{ kind: 'drum', line: 'intake', meshUm: 60 }])
    expect(within(row('drum')).getByText(/keeps 53\.1.% of the solids/)).toBeVisible()
    expect(screen.getByRole('region', { name: 'The train as a whole' })).toHaveTextContent(
      /Fish waste that still reaches the bed46\.9/,
    )
  })
  it('offers skimmers by what seals the pond, takes the chosen ones before the rest, and says what they leave', async () => {
    show(trainUnit('uv'))
    const chooser = within(screen.getAllByRole('region', { name: 'Skimmer for this pond' })[0]!)
    const of = (name: string) => within(chooser.getByRole('rowheader', { name }).closest('tr')!)
    expect(of('Wall skimmer').getByText(/clamped between two flanges/)).toBeVisible()
    expect(of('Wall skimmer').getByText('clamping flange')).toBeVisible()
    expect(of('Wall skimmer').getByText(/^2\.5.kg dry a year$/)).toBeVisible()
    await userEvent.click(chooser.getByRole('button', { name: 'Use: Wall skimmer' }))
    expect(now.train.map(({ kind }) => kind)).toEqual(['skimmer-wall', 'uv'])
    expect(of('Wall skimmer').getByText('In the train')).toBeVisible()
    await userEvent.click(
      chooser.getByRole('button', { name: /^Use: Floating skimmer with its own pump|^Use: .*own pump/ }),
    )
    expect(now.train.map(({ kind }) => kind)).toEqual(['skimmer-pump-fed', 'skimmer-pump-fed', 'uv'])
  })
  it('sends who does not know what seals the pond to its survey', () => {
    Object.assign(data, { designPond: { ...koiPond, lining: 'unknown' } })
    show()
    expect(screen.getByRole('link', { name: 'Edit survey' })).toHaveAttribute('href', '/ponds/p1/survey')
  })
  it('puts a unit earlier and later, and takes it out; the ends cannot be passed', async () => {
    show(trainUnit('drum'), trainUnit('uv'))
    expect(screen.getByRole('button', { name: 'Move Rotary drum filter earlier' })).toBeDisabled()
    await userEvent.click(screen.getByRole('button', { name: 'Move Rotary drum filter later' }))
    expect(now.train.map((unit) => unit.kind)).toEqual(['uv', 'drum'])
    await userEvent.click(screen.getByRole('button', { name: 'Remove UV clarifier' }))
    expect(now.train.map((unit) => unit.kind)).toEqual(['drum'])
  })
  it('changes the unit that is typed in, and no other; screens before the pump keep more than after it', async () => {
    const [drum, uv] = [trainUnit('drum', { ratedFlowM3PerH: 40 }), trainUnit('uv')]
    show(drum, uv)
    await fill(row('drum'), 'Screen openings, µm', '200')
    await fill(row('drum'), /Service space/, '450 mm')
    await userEvent.selectOptions(within(row('drum')).getByLabelText('Line'), 'pressure')
    expect(now.train).toEqual([{ ...drum, meshUm: 200, clearanceM: 0.45, line: 'pressure' }, uv])
    expect(within(row('drum')).getByText(/keeps 19\.5.% of the solids/)).toBeVisible()
    await fill(row('drum'), /Service space/, '')
    expect(now.train[0]!.clearanceM).toBeNull()
  })
  it('lets what a unit cannot take go past it, and says how much', async () => {
    show(trainUnit('drum', { ratedFlowM3PerH: 5 }))
    await userEvent.click(within(row('drum')).getByLabelText(/Surplus goes past/))
    expect(now.train[0]!.overflow).toBe(true)
    expect(within(row('drum')).getByText(/5.m³\/h through it · [\d.]+.m³\/h past it/)).toBeVisible()
  })
  it('has a gravity intake of its own, and what to do after a power cut', async () => {
    show(trainUnit('pressurised'))
    await userEvent.click(screen.getByRole('button', { name: 'Add intake pipes' }))
    expect(now.intakePipe).toMatchObject({ lengthM: 5 })
    expect(screen.getByText(/The water at the pump stands .* below the pond/)).toBeVisible()
    await userEvent.click(screen.getByRole('button', { name: 'Remove intake pipes' }))
    expect(now.intakePipe).toBeNull()
    const outage = screen.getByRole('region', { name: 'After a power cut' })
    expect(outage).toHaveTextContent('Pressurised filter with backwash' + 'after 1 h without flow')
  })
  it('a figure that cannot be is said at its field, and the last good figures stay', async () => {
    show(trainUnit('uv'))
    await fill(row('uv'), 'Lamp power, W', '99999')
    expect(within(row('uv')).getByText('out of range')).toBeVisible()
    expect(within(row('uv')).getByText(/UV dose/)).toBeVisible()
  })
})
