import { fireEvent, render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useEffect, useState } from 'react'
import type { FilterDesign } from '@/core/filter/design-input'
import { suggestDesign } from '@/core/filter/suggest'
import { PUMP_CATALOGUE } from '@/core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '@/core/filter/house-rules'
import { FilterDesignInput } from '@/domain/design/design'
import type { DesignPageData } from '@/server/design/designs'
import { koiPond } from '../../../tests/fixtures/design-pond'
import { AsPerson } from '../../../tests/fixtures/person'
import { BedPart } from './parts/bed-part'
import { NetworkPart } from './parts/network-part'
import { WaterPart } from './water/water-part'
import { workThrough, type DesignPart } from './use-design'

jest.mock('./water/pump-chart', () => ({ PumpChart: () => null }))
jest.mock('./use-network', () => ({ useNetwork: () => ({ status: 'solving' }) }))

const data = {
  designPond: koiPond,
  rules: DEFAULT_FILTER_RULES,
  houseMethod: 'volume',
  pumps: PUMP_CATALOGUE,
  pond: { id: 'p1', name: 'Koi pond' },
} as unknown as DesignPageData

const start = (over: Partial<FilterDesign> = {}): FilterDesign => ({
  ...suggestDesign(koiPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, 'lined-wetland'),
  ...over,
})

let now: FilterDesign
const onBed = (bed: FilterDesign): void => {
  now = bed
}
/** A part of the design page over a design that is kept, refused and worked through as the page does. */
function Page({ View, first }: { View: (part: DesignPart) => React.ReactNode; first: FilterDesign }) {
  const [bed, setBed] = useState(first)
  const [shown, setShown] = useState(() => workThrough(data, first)!)
  useEffect(() => onBed(bed))
  const read = FilterDesignInput.safeParse(bed)
  const errors = read.success ? [] : read.error.issues.map((i) => i.path.join('.'))
  const set = (change: Partial<FilterDesign>) => {
    const next = { ...bed, ...change }
    setBed(next)
    const worked = FilterDesignInput.safeParse(next).success ? workThrough(data, next) : null
    if (worked) setShown(worked)
  }
  const errorOf = (path: string) => (errors.includes(path) ? 'out of range' : undefined)
  return <View data={data} bed={bed} shown={shown} opened={undefined} errorOf={errorOf} set={set} />
}
const show = (View: (part: DesignPart) => React.ReactNode, over: Partial<FilterDesign> = {}) =>
  render(
    <AsPerson>
      <Page View={View} first={start(over)} />
    </AsPerson>,
  )
const fill = async (label: string | RegExp, text: string) => {
  await userEvent.clear(screen.getByLabelText(label))
  if (text) await userEvent.type(screen.getByLabelText(label), text)
  await userEvent.tab()
}
const depthOf = (bed: FilterDesign) => bed.layers.reduce((sum, l) => sum + l.thicknessM, 0)

describe('the bed', () => {
  it('moves an edge between two layers by key: what one gains the other loses, and the bed stays as deep', async () => {
    show(BedPart)
    const before = now
    screen.getByRole('slider', { name: /Upper edge of layer 3/ }).focus()
    await userEvent.keyboard('{ArrowUp}')
    expect(now.layers[2]!.thicknessM).toBeCloseTo(before.layers[2]!.thicknessM + 0.01, 9)
    expect(now.layers[3]!.thicknessM).toBeCloseTo(before.layers[3]!.thicknessM - 0.01, 9)
    expect(depthOf(now)).toBeCloseTo(depthOf(before), 9)
  })
  it('grows by its uppermost edge, and no layer vanishes under an edge that is pushed too far', async () => {
    show(BedPart)
    const before = now
    screen.getByRole('slider', { name: /Upper edge of layer 5/ }).focus()
    await userEvent.keyboard('{PageUp}')
    expect(depthOf(now)).toBeCloseTo(depthOf(before) + 0.05, 9)
    screen.getByRole('slider', { name: /Upper edge of layer 3/ }).focus()
    for (let i = 0; i < 30; i++) await userEvent.keyboard('{PageUp}')
    expect(Math.min(...now.layers.map((l) => l.thicknessM))).toBeGreaterThanOrEqual(0.01)
  })
  it('keeps the last good section while a thickness is half typed, and marks the field', async () => {
    show(BedPart)
    const area = screen.getByTestId('bed-area').textContent
    await fill('Layer 2 thickness', '-3 m')
    expect(screen.getByLabelText('Layer 2 thickness')).toBeInvalid()
    expect(screen.getByTestId('bed-area').textContent).toBe(area)
    expect(screen.getAllByRole('slider')).toHaveLength(5)
  })
  it('adds a layer on top, removes one, and never the last', async () => {
    show(BedPart, { layers: [{ material: 'gravel-19-38', thicknessM: 0.4 }] })
    expect(screen.getByRole('button', { name: 'Remove layer 1' })).toBeDisabled()
    await userEvent.click(screen.getByRole('button', { name: 'Add layer on top' }))
    expect(now.layers.map((l) => l.material)).toEqual(['gravel-19-38', 'planting-6-12'])
    await userEvent.click(screen.getByRole('button', { name: 'Remove layer 1' }))
    expect(now.layers.map((l) => l.material)).toEqual(['planting-6-12'])
  })
  it('has a vault with its own figures, or none', async () => {
    show(BedPart)
    expect(screen.getByLabelText('Vault diameter')).toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('Cleanout vault'))
    expect(now.vault).toBeNull()
    expect(screen.queryByLabelText('Vault diameter')).not.toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('Cleanout vault'))
    await fill('Distance to discharge area', '12 m')
    expect(now.vault).toMatchObject({ dischargeM: 12, diameterM: 0.4 })
  })
})

describe('pump and pipes', () => {
  it('deliver less through a longer pipe', async () => {
    show(WaterPart)
    const flow = () => Number.parseFloat(screen.getByTestId('duty-flow').textContent!)
    const before = flow()
    await fill('Length', '90 m')
    expect(now.delivery.lengthM).toBe(90)
    expect(flow()).toBeLessThan(before)
  })
  it('ask how many pumps only where there is more than one, and begin with two', async () => {
    show(WaterPart)
    expect(screen.queryByLabelText('Number')).not.toBeInTheDocument()
    await userEvent.selectOptions(screen.getByLabelText('Arrangement'), 'parallel')
    expect(now.pumpSet).toMatchObject({ arrangement: 'parallel', count: 2 })
    await fill('Number', '')
    expect(screen.getByLabelText('Number')).toBeInvalid()
  })
  it('have falls with their own sheet of water, or none', async () => {
    show(WaterPart, { falls: null })
    const falls = screen.getByLabelText('Water returns over a lip')
    await userEvent.click(falls)
    expect(now.falls).toEqual({ widthM: 0.6, dropM: 0.4 })
    await fill('Lip width', '1.2 m')
    expect(now.falls!.widthM).toBe(1.2)
  })
})

describe('the flow plan', () => {
  it('is begun, grows by branches and pumps, and is left again', async () => {
    show(NetworkPart)
    await userEvent.click(screen.getByRole('button', { name: 'Split flow' }))
    const branches = now.network!.branches.length
    await userEvent.selectOptions(screen.getByLabelText('Add branch'), 'stream')
    expect(now.network!.branches).toHaveLength(branches + 1)
    expect(now.network!.branches.at(-1)).toMatchObject({ kind: 'stream', lengthM: 8 })
    await userEvent.click(screen.getByRole('button', { name: 'Add pump' }))
    expect(now.network!.morePumps).toEqual([now.pumpId])
    await userEvent.click(screen.getByRole('button', { name: 'Remove pump 2' }))
    expect(now.network!.morePumps).toEqual([])
    await userEvent.click(screen.getByRole('button', { name: 'Remove network' }))
    expect(now.network).toBeNull()
  })
  it('changes the branch that is typed in, and no other', async () => {
    show(NetworkPart)
    await userEvent.click(screen.getByRole('button', { name: 'Split flow' }))
    await userEvent.selectOptions(screen.getByLabelText('Add branch'), 'stream')
    const before = now.network!.branches
    const stream = screen.getByRole('button', { name: 'Remove Stream' }).closest<HTMLElement>('.design-row')!
    fireEvent.change(within(stream).getByLabelText('Length'), { target: { value: '15 m' } })
    fireEvent.blur(within(stream).getByLabelText('Length'))
    expect(now.network!.branches.at(-1)!.lengthM).toBe(15)
    expect(now.network!.branches.slice(0, -1)).toEqual(before.slice(0, -1))
  })
})
