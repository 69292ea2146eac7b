'use client'
import { useTexts } from '@/ui/kit/texts'
import { FILTER_TYPE_FACTS } from '@/core/filter/types'
import { BedSection } from '@/ui/drawing/bed-section'
import { useShow } from '@/ui/person-context'
import type { DesignPart } from '@/ui/design/use-design'
import { BedLoads } from './bed-loads'
import { FeedFields } from './feed-fields'
import { LayerRows } from './layer-rows'

const MIN_LAYER_M = 0.01

/** The bed's build-up: drag the boundaries in the section or type thicknesses; feed, vault, air break. */
export function BedPart(part: DesignPart) {
  const t = useTexts()

  const { bed, shown, set } = part
  const show = useShow()
  if (bed.type === 'none') return <p className="sheet">{t('design.bedPart.thereNoBedDesign')}</p>
  const { path } = FILTER_TYPE_FACTS[bed.type]
  /** The boundary above a layer moves: it takes from the next, or grows the bed at its top. */
  const moveBoundary = (index: number, thicknessM: number) => {
    const above = bed.layers[index + 1]
    const grown = thicknessM - bed.layers[index]!.thicknessM
    if (!above) {
      const layers = [
        ...bed.layers.slice(0, index),
        { ...bed.layers[index]!, thicknessM: Math.max(MIN_LAYER_M, thicknessM) },
      ]
      return set({ layers }, `layer${index}`)
    }
    const moved = Math.min(above.thicknessM - MIN_LAYER_M, Math.max(MIN_LAYER_M - bed.layers[index]!.thicknessM, grown))
    set(
      {
        layers: bed.layers.map((layer, i) => {
          if (i === index) return { ...layer, thicknessM: tidy(layer.thicknessM + moved) }
          if (i === index + 1) return { ...layer, thicknessM: tidy(layer.thicknessM - moved) }
          return layer
        }),
      },
      `boundary${index}`,
    )
  }
  return (
    <>
      <section className="sheet">
        <h2>
          {t('design.bedPart.bedSection')} <span data-testid="bed-area">{show(shown.result.areaM2, 'area')}</span>
        </h2>
        <BedSection
          bed={shown.bed}
          rootShare={path === 'along' ? shown.result.rootShare : null}
          onMoveEdge={moveBoundary}
        />
        <BedLoads {...part} />
      </section>
      <div className="columns two">
        <LayerRows {...part} />
        <FeedFields {...part} />
      </div>
    </>
  )
}

const tidy = (m: number): number => Number(m.toFixed(3))
