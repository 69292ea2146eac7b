import { render, screen } from '@testing-library/react'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { AsPerson } from '../../../tests/fixtures/person'
import { pondInput } from '../../../tests/fixtures/pond-input'
import { AdoptedVolume, VolumeEvidenceNote } from './volume-evidence-note'

// 6 × 4 m, 1 m deep: 24 m³ by its shape, ± 12 % as a free form
const shape = pondInput({
  outline: { kind: 'ellipse', lengthM: 6, widthM: 5.093 },
  zones: [{ name: 'Basin', floorDepthM: 1, surfaceShare: 1, sideSlope: 0 }],
  rockShare: 0,
})
const show = (over: Partial<typeof shape>) => {
  const facts = savedPondFacts({ ...shape, ...over })
  return render(
    <AsPerson>
      <AdoptedVolume adopted={facts.adopted} />
      <VolumeEvidenceNote {...facts} rockShare={0} />
    </AsPerson>,
  )
}

describe('how a volume came about', () => {
  it('is said with ± where its ways agree, and nothing is warned of', () => {
    const { container } = show({ meteredFillM3: 24.5 })
    expect(container).toHaveTextContent(/24\.5\sm³ ± 483\sL/)
    expect(screen.queryByRole('status')).not.toBeInTheDocument()
  })
  it('a meter 20 % off: the range covers both ways, neither is blamed, and the gallon is offered first', () => {
    const { container } = show({ meteredFillM3: 31.5 })
    expect(container).toHaveTextContent(/\d\sm³ \(\d+\.\d+\sm³ to 3\d\.\d+\sm³\)/)
    const note = screen.getByRole('status')
    expect(note).toHaveTextContent('Survey and Metered fill differ by')
    expect(note).toHaveTextContent('Which one is off cannot be told from these.')
    expect(screen.getAllByRole('listitem', { hidden: true })[0]).toHaveTextContent(
      'Metered fill: US gallons were read as imperial gallons.',
    )
  })
  it('of three ways the one that is off is named, and only its slips are offered', () => {
    show({
      meteredFillM3: 34,
      volumeTests: [
        { method: 'salt-dilution', saltKg: 12, risePercent: 0.05 },
        { method: 'timed-fill', containerM3: 0.02, seconds: 18, minutes: 366 },
      ],
    })
    expect(screen.getByRole('status')).toHaveTextContent('Metered fill does not agree with the other measurements')
    const items = screen.getAllByRole('listitem', { hidden: true })
    expect(items.length).toBeGreaterThan(0)
    for (const item of items) expect(item).toHaveTextContent(/^Metered fill: /)
  })
})
