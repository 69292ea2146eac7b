'use client'
import { useTexts } from '@/ui/kit/texts'
import type { Basin } from '@/core/survey/basin'
import { longSection } from '@/core/survey/section'
import { useShow } from '@/ui/person-context'
import { ScaleBar } from './scale-bar'
import { fitScale } from './to-scale'
import { waterColour } from './water-colour'

const FRAME = { widthPx: 560, heightPx: 230, marginPx: 22 }
/** Room for zone names on the left and levels on the right, px. */
const NAMES_PX = 92
const LEVELS_PX = 62
const MAX_EXAGGERATION = 2.5

/**
 * A cut through the pond, to scale, with levels of every zone; the water takes the colour of its temperature when
 * known.
 */
export function PondSection({ basin, waterC, wide = false }: { basin: Basin; waterC?: number; wide?: boolean }) {
  const t = useTexts()

  const show = useShow()
  const frame = wide ? { ...FRAME, widthPx: 780 } : FRAME
  const profile = longSection(basin)
  if (profile.length < 4) return null
  const xs = profile.map((p) => p.chainageM)
  const [minX, maxX] = [Math.min(...xs), Math.max(...xs)]
  const bankM = (maxX - minX) * 0.06
  // shallow, long ponds are drawn taller than they are, and the drawing says by how much
  const exaggerate = Math.min(MAX_EXAGGERATION, Math.max(1, Math.round(((maxX - minX) / basin.maxDepthM / 5) * 2) / 2))
  const inner = { ...frame, widthPx: frame.widthPx - NAMES_PX - LEVELS_PX }
  const fitted = fitScale(
    inner,
    { minX: minX - bankM, maxX: maxX + bankM, minY: -0.12 * basin.maxDepthM, maxY: basin.maxDepthM * 1.08 },
    { down: true, exaggerate },
  )
  const scale = { ...fitted, x: (m: number) => NAMES_PX + fitted.x(m) }
  const at = (p: { chainageM: number; depthM: number }) =>
    `${scale.x(p.chainageM).toFixed(1)} ${scale.y(p.depthM).toFixed(1)}`
  const surface = scale.y(0)
  const foot = scale.y(basin.maxDepthM * 1.08)
  const [bankLeft, bankRight] = [scale.x(minX - bankM), scale.x(maxX + bankM)]
  const depth = (m: number) => show(m, 'length', { significant: 3 })
  return (
    <svg
      className="drawing"
      viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
      role="img"
      aria-label={t('drawing.pondSection.sectionDeepMost', { maxDepthM: depth(basin.maxDepthM) })}
    >
      <path
        d={`M${bankLeft} ${surface - 4}L${scale.x(minX)} ${surface - 4}L${profile.map(at).join('L')}L${scale.x(maxX)} ${surface - 4}L${bankRight} ${surface - 4}V${foot}H${bankLeft}Z`}
        fill="var(--earth)"
      />
      <path
        d={`M${profile.map(at).join('L')}Z`}
        fill={waterC === undefined ? 'var(--water-fill)' : waterColour(waterC)}
      />
      <path d={`M${profile.map(at).join('L')}`} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
      <path d={`M${scale.x(minX)} ${surface}H${scale.x(maxX)}`} stroke="var(--water-line)" strokeWidth="1.5" />
      {basin.zones.map((zone, i) => (
        <g key={`${zone.name}${i}`}>
          <path
            className="dimension"
            d={`M${bankRight - 4} ${scale.y(zone.floorDepthM)}h-${bankRight - scale.x(maxX) + 4}`}
            strokeDasharray="3 3"
          />
          <text x={bankRight + 3} y={scale.y(zone.floorDepthM) + 4}>
            −{depth(zone.floorDepthM)}
          </text>
          <text
            x={bankLeft - 4}
            y={scale.y((zone.topDepthM + zone.floorDepthM) / 2) + 4}
            textAnchor="end"
            className="soft-text"
          >
            {zone.name.length > 14 ? `${zone.name.slice(0, 13)}…` : zone.name}
          </text>
        </g>
      ))}
      <text x={bankRight + 3} y={surface + 1} className="soft-text">
        ±0
      </text>
      <ScaleBar scale={scale} x={8} y={frame.heightPx - 9} show={(m) => show(m, 'length')} />
      {exaggerate > 1 ? (
        <text x={frame.widthPx - 8} y={frame.heightPx - 5} textAnchor="end" className="soft-text">
          {t('drawing.pondSection.depth', { exaggerate })}
        </text>
      ) : null}
    </svg>
  )
}
