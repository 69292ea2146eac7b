'use client'
import { useTexts } from '@/ui/kit/texts'
import { DIMENSION_FIGURES } from '@/core/drawing/sheet'
import { bedSectionOf, type BedSectionGeometry } from '@/core/drawing/bed-section'
import type { FilterDesign } from '@/core/filter/design-input'
import { useShow } from '@/ui/person-context'
import { BedPatterns, stoneFill } from './bed-patterns'
import { LayerEdge } from './layer-edge'
import { ScaleBar } from './scale-bar'
import { fitScale, lineOf, pathOf, type Scale } from './to-scale'

const FRAME = { widthPx: 760, heightPx: 270, marginPx: 26 }
/** A frame whose words can be read at the width of a phone; the layers' names stand below it. */
const NARROW_FRAME = { widthPx: 400, heightPx: 230, marginPx: 22 }
/** Room beside the bed for the layers' names, as a share of its length. */
const NAMES_SHARE = 0.36
/** The same for their numbers alone. */
const NUMBERS_SHARE = 0.06

interface BedSectionProps {
  readonly bed: FilterDesign
  /** Horizontal beds: share of the flow that reaches the roots. */
  readonly rootShare?: number | null
  /**
   * Given: the upper edge of each layer can be dragged, or moved with the arrow keys; called with the layer's new
   * thickness.
   */
  readonly onMoveEdge?: (layer: number, thicknessM: number) => void
  /** For narrow screens: layers have numbers, and their names stand in a list below. */
  readonly namesBelow?: boolean
}

/** A long section of the bed to scale: layers with thickness and level, distribution pipe, vault, flow, air break. */
export function BedSection({ bed, rootShare = null, onMoveEdge, namesBelow = false }: BedSectionProps) {
  const t = useTexts()
  const show = useShow()
  const section = bedSectionOf(bed, rootShare ?? 1)
  const { lengthM, depthM, bands } = section
  // a long shallow bed is drawn higher than it is, and says so
  const exaggerate = Math.max(1, Math.round((lengthM / Math.max(depthM, 0.2) / 1.9) * 2) / 2)
  const frame = namesBelow ? NARROW_FRAME : FRAME
  const scale = fitScale(
    frame,
    {
      minX: Math.min(section.vault?.[0]?.xM ?? 0, ...section.walls.flat().map((p) => p.xM)),
      maxX: lengthM * (1 + (namesBelow ? NUMBERS_SHARE : NAMES_SHARE)) + reachM(section) - lengthM,
      minY: section.lowestM - 0.18 * depthM,
      maxY: Math.max(depthM, section.waterM) * 1.06,
    },
    { exaggerate },
  )
  const drawing = (
    <svg
      className="drawing"
      viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
      role={onMoveEdge ? 'group' : 'img'}
      aria-label={t('drawing.bedSection.sectionBedLongDeep', {
        lengthM: show(lengthM, 'length'),
        depthM: show(depthM, 'length'),
        count: bands.length,
      })}
    >
      <BedPatterns />
      <Layers section={section} scale={scale} numbered={namesBelow} />
      <Water section={section} scale={scale} />
      <Shell section={section} scale={scale} />
      <Length lengthM={lengthM} lowestM={section.lowestM} scale={scale} />
      {onMoveEdge
        ? bands.map(({ material, baseM, topM }, i) => (
            <LayerEdge
              key={i}
              name={t('drawing.bedSection.upperEdgeLayer', {
                i: i + 1,
                name: t(`design.bedMaterialNames.${material}`),
              })}
              frame={frame}
              scale={scale}
              lengthM={lengthM}
              baseM={baseM}
              topM={topM}
              onMove={(thicknessM) => onMoveEdge(i, thicknessM)}
            />
          ))
        : null}
      <ScaleBar scale={scale} x={6} y={frame.heightPx - 8} show={(m) => show(m, 'length')} />
      {exaggerate > 1 ? (
        <text x={frame.widthPx - 6} y={frame.heightPx - 4} textAnchor="end" className="soft-text">
          {t('drawing.bedSection.height', { exaggerate })}
        </text>
      ) : null}
    </svg>
  )
  return namesBelow ? (
    <>
      {drawing}
      <LayerList section={section} />
    </>
  ) : (
    drawing
  )
}

interface OnScale {
  readonly section: BedSectionGeometry
  readonly scale: Scale
}

/** The layers as they lie, the upper ones first, with the numbers that they have in the drawing. */
function LayerList({ section: { bands } }: Pick<OnScale, 'section'>) {
  const t = useTexts()
  const show = useShow()
  return (
    <ol className="layer-list" reversed>
      {bands.toReversed().map(({ material, baseM, topM }, i) => (
        <li key={i}>
          {show(topM - baseM, 'length', { scale: 'small' })} {t(`design.bedMaterialNames.${material}`)}
        </li>
      ))}
    </ol>
  )
}

/** How far wall, return and falls reach beyond the bed. */
const reachM = ({ lengthM, outlet, falls, walls }: BedSectionGeometry): number =>
  Math.max(lengthM, ...[...(outlet ?? []), ...(falls ?? []), ...walls.flat()].map((p) => p.xM))

/** Each layer with its stone, and its thickness and name, or the number that it has in the list below. */
function Layers({ section, scale, numbered }: OnScale & { readonly numbered: boolean }) {
  const t = useTexts()
  const show = useShow()
  const { bands, lengthM } = section
  const [left, right] = [scale.x(0), scale.x(lengthM)]
  // names stand clear of what leaves the bed
  const beside = scale.x(reachM(section))
  return bands.map(({ material, baseM, topM }, i) => {
    const [top, base] = [scale.y(topM), scale.y(baseM)]
    return (
      <g key={i}>
        <rect
          x={left}
          y={top}
          width={right - left}
          height={base - top}
          fill={stoneFill(material)}
          stroke="var(--ink-soft)"
          strokeWidth="0.8"
        />
        <path
          className="dimension"
          d={`M${beside + 4} ${top}h8M${beside + 8} ${top}V${base}M${beside + 4} ${base}h8`}
        />
        <text x={beside + 16} y={(top + base) / 2 + 4}>
          {numbered
            ? i + 1
            : `${show(topM - baseM, 'length', { scale: 'small' })} ${t(`design.bedMaterialNames.${material}`)}`}
        </text>
      </g>
    )
  })
}

/** Liner, walls, and where the water leaves. */
function Shell({ section: { liner, walls, outlet, falls }, scale }: OnScale) {
  return (
    <>
      {liner.length > 0 ? <path d={lineOf(liner, scale)} fill="none" stroke="var(--ink)" strokeWidth="1.8" /> : null}
      <path d={pathOf(walls, scale)} fill="var(--line)" stroke="var(--ink-soft)" />
      {outlet ? <path d={pathOf([outlet], scale)} fill="var(--water-fill)" stroke="var(--ink)" /> : null}
      {falls ? (
        <path
          d={lineOf(falls, scale)}
          fill="none"
          stroke="var(--water-line)"
          strokeWidth="2"
          markerEnd="url(#bed-arrow)"
        />
      ) : null}
    </>
  )
}

/** Vault, pipe or headers, the ways of the water, its level, and the level it drains back to. */
function Water({ section, scale }: OnScale) {
  const t = useTexts()
  const { vault, pipe, headers, flow, lengthM, waterM, airBreakM } = section
  const [left, right] = [scale.x(0), scale.x(lengthM)]
  return (
    <>
      {vault ? (
        <>
          <path d={pathOf([vault], scale)} fill="var(--water-fill)" stroke="var(--ink)" />
          <text x={scale.x(vault[0]!.xM / 2)} y={scale.y(vault[2]!.yM) - 4} textAnchor="middle" className="soft-text">
            {t('drawing.bedSection.vault')}
          </text>
        </>
      ) : null}
      <path
        d={pathOf([...(pipe ? [pipe] : []), ...headers], scale)}
        fill="var(--water-fill)"
        stroke="var(--ink)"
        strokeWidth="1.2"
      />
      {flow.map((points, i) => (
        <path
          key={i}
          d={lineOf(points, scale)}
          fill="none"
          stroke="var(--water-line)"
          strokeWidth="1.6"
          markerEnd="url(#bed-arrow)"
        />
      ))}
      <path d={`M${left} ${scale.y(waterM)}H${right}`} stroke="var(--water-line)" strokeWidth="2" />
      {airBreakM === null ? null : (
        <g>
          <path d={`M${left} ${scale.y(airBreakM)}H${right}`} stroke="var(--rust)" strokeDasharray="6 4" />
          <text x={left + 6} y={scale.y(airBreakM) - 4} style={{ fill: 'var(--rust)' }}>
            {t('drawing.bedSection.drainsBackHere')}
          </text>
        </g>
      )}
    </>
  )
}

function Length({ lengthM, lowestM, scale }: { lengthM: number; lowestM: number; scale: Scale }) {
  const show = useShow()
  const [left, right, base] = [scale.x(0), scale.x(lengthM), scale.y(lowestM)]
  return (
    <>
      <path className="dimension" d={`M${left} ${base + 6}v8M${left} ${base + 10}H${right}M${right} ${base + 6}v8`} />
      <text x={(left + right) / 2} y={base + 25} textAnchor="middle">
        {show(lengthM, 'length', { significant: DIMENSION_FIGURES })}
      </text>
    </>
  )
}
