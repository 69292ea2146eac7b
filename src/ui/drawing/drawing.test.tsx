import { render, screen } from '@testing-library/react'
import { DEFAULT_LAYERS } from '@/core/filter/bed/layers'
import { suggestDesign } from '@/core/filter/suggest'
import type { FilterDesign } from '@/core/filter/design-input'
import { PUMP_CATALOGUE } from '@/core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '@/core/filter/house-rules'
import { basinOf } from '@/core/survey/basin'
import { koiPond } from '../../../tests/fixtures/design-pond'
import { firmTexts } from '@/messages/texts'
import { AsPerson } from '../../../tests/fixtures/person'
import { BedSection } from './bed-section'
import { PondPlan } from './pond-plan'
import { PondSection } from './pond-section'
import { barLengthM, fitScale } from './to-scale'
import { waterColour } from './water-colour'

const outcome = basinOf({
  outline: { kind: 'rectangle', lengthM: 6, widthM: 3 },
  zones: [
    { name: 'Shelf', floorDepthM: 0.4, surfaceShare: 1, sideSlope: 0.2 },
    { name: 'Deep zone', floorDepthM: 1.1, surfaceShare: 0.5, sideSlope: 0 },
  ],
  rockShare: 0.1,
})
if (!outcome.ok) throw new Error(outcome.problem.code)
const basin = outcome.value

const numbers = (path: string) => [...path.matchAll(/-?\d+(\.\d+)?/g)].map((m) => Number(m[0]))
const extent = (values: number[]) => Math.max(...values) - Math.min(...values)

describe('the plan', () => {
  it('is to scale: as long to wide as the pond', () => {
    const { container } = render(
      <AsPerson>
        <PondPlan basin={basin} />
      </AsPerson>,
    )
    const points = numbers(container.querySelector('path')!.getAttribute('d')!)
    const width = extent(points.filter((_, i) => i % 2 === 0))
    const height = extent(points.filter((_, i) => i % 2 === 1))
    expect(width / height).toBeCloseTo(2, 1)
  })
  it('says its size in the reader’s units', () => {
    render(
      <AsPerson units="us">
        <PondPlan basin={basin} />
      </AsPerson>,
    )
    expect(screen.getByRole('img')).toHaveAccessibleName(/19\sft\s8\sin by 9\sft\s10\sin, surface 194\sft²/)
  })
})

describe('the section', () => {
  it('writes the level of every floor below the waterline', () => {
    render(
      <AsPerson>
        <PondSection basin={basin} />
      </AsPerson>,
    )
    expect(screen.getByText(/−0.4/)).toBeInTheDocument()
    expect(screen.getByText(/−1.1/)).toBeInTheDocument()
    expect(screen.getByText('Deep zone')).toBeInTheDocument()
  })
  it('colours the water by its temperature', () => {
    const { container } = render(
      <AsPerson>
        <PondSection basin={basin} waterC={20} />
      </AsPerson>,
    )
    expect([...container.querySelectorAll('path')].some((p) => p.getAttribute('fill') === waterColour(20))).toBe(true)
  })
})

const bed = (over: Partial<FilterDesign>): FilterDesign => ({
  ...suggestDesign(koiPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, 'lined-wetland'),
  lengthM: 4,
  layers: DEFAULT_LAYERS,
  ...over,
})

describe('the bed', () => {
  it('stacks its layers in proportion and names each with its thickness', () => {
    const { container } = render(
      <AsPerson>
        <BedSection bed={bed({ airBreakM: 0.8 })} />
      </AsPerson>,
    )
    const heights = [...container.querySelectorAll('rect[fill^="url(#stone-"]')].map((r) =>
      Number(r.getAttribute('height')),
    )
    expect(heights).toHaveLength(5)
    heights.forEach((h, i) =>
      expect(h / heights[0]!).toBeCloseTo(DEFAULT_LAYERS[i]!.thicknessM / DEFAULT_LAYERS[0]!.thicknessM, 5),
    )
    expect(screen.getByText(/250\smm Gravel 19–38 mm/)).toBeInTheDocument()
    expect(screen.queryByText('drains back to here')).not.toBeInTheDocument()
  })
  it('has numbers on a phone, and the names in a list below, as they lie', () => {
    const { container } = render(
      <AsPerson>
        <BedSection bed={bed({ airBreakM: 0.8 })} namesBelow />
      </AsPerson>,
    )
    const numbers = [...container.querySelectorAll('svg text')].map((text) => text.textContent)
    expect(numbers).toEqual(expect.arrayContaining(['1', '2', '3', '4', '5']))
    expect(numbers.join(' ')).not.toContain('Gravel')
    // the list counts down: its first line is the uppermost layer
    const lines = screen.getAllByRole('listitem').map((item) => item.textContent)
    expect(lines).toHaveLength(5)
    expect(screen.getByRole('list')).toHaveAttribute('reversed')
    expect(lines[4]).toBe(
      `${(DEFAULT_LAYERS[0]!.thicknessM * 1000).toFixed(0)} mm ${firmTexts()(`design.bedMaterialNames.${DEFAULT_LAYERS[0]!.material}`)}`.replace(
        ' mm',
        '\u00a0mm',
      ),
    )
  })
  it('marks how far it can drain', () => {
    render(
      <AsPerson>
        <BedSection bed={bed({ airBreakM: 0.3 })} />
      </AsPerson>,
    )
    expect(screen.getByText('drains back to here')).toBeInTheDocument()
  })
})

describe('scales', () => {
  it('fit both ways inside the frame', () => {
    const scale = fitScale({ widthPx: 400, heightPx: 100, marginPx: 10 }, { minX: 2, maxX: 12, minY: -1, maxY: 1 })
    expect(scale.pxPerM).toBe(38)
    expect(scale.x(12) - scale.x(2)).toBeCloseTo(380, 9)
    expect(scale.y(1)).toBeLessThan(scale.y(-1))
    expect(barLengthM(scale)).toBe(2)
  })
  it('give ice a colour of its own and no two five-degree steps the same', () => {
    const colours = [0, 5, 10, 15, 20, 25, 30].map((c) => waterColour(c + 0.1))
    expect(new Set([waterColour(0), ...colours]).size).toBe(8)
    expect(waterColour(45)).toBe(waterColour(30))
  })
})
