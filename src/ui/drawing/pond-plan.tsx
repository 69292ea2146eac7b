'use client'
import type { Basin } from '@/core/survey/basin'
import { boundsOf } from '@/core/survey/point'
import { cutLine } from '@/core/survey/section'
import { useShow } from '@/ui/person-context'
import { ScaleBar } from './scale-bar'
import { fitScale, pathOf } from './to-scale'

const FRAME = { widthPx: 560, heightPx: 300, marginPx: 34 }
const DEEPER = [0.45, 0.62, 0.8, 1]

/** A pond from above, to scale: waterline, depth zones, the line of the section, size. */
export function PondPlan({ basin }: { basin: Basin }) {
  const show = useShow()
  const bounds = boundsOf(basin.outline)
  const scale = fitScale(FRAME, bounds)
  const cut = scale.y(cutLine(basin))
  const length = (m: number) => show(m, 'length')
  const [left, right, top, bottom] = [scale.x(bounds.minX), scale.x(bounds.maxX), scale.y(bounds.maxY), scale.y(bounds.minY)]
  return (
    <svg
      className="drawing"
      viewBox={`0 0 ${FRAME.widthPx} ${FRAME.heightPx}`}
      role="img"
      aria-label={`Plan of the pond, ${length(bounds.maxX - bounds.minX)} by ${length(bounds.maxY - bounds.minY)}, surface ${show(basin.areaM2, 'area')}`}
    >
      <path d={pathOf([basin.outline], scale)} fill="var(--water-fill)" stroke="var(--water-line)" strokeWidth="2" />
      {basin.zones.map((zone, i) => (
        <g key={`${zone.name}${i}`}>
          {i > 0 ? <path d={pathOf(zone.topOutlines, scale)} fill="none" stroke="var(--water-line)" strokeDasharray="4 3" /> : null}
          <path d={pathOf(zone.floorOutlines, scale)} fill="var(--water-line)" fillOpacity={0.16 * DEEPER[i]} stroke="var(--water-line)" strokeOpacity="0.55" />
        </g>
      ))}
      <path d={`M${left - 14} ${cut}H${right + 14}`} stroke="var(--iris)" strokeDasharray="10 4 2 4" />
      <text x={left - 26} y={cut + 4} style={{ fill: 'var(--iris)' }}>
        A
      </text>
      <text x={right + 17} y={cut + 4} style={{ fill: 'var(--iris)' }}>
        A
      </text>
      <path className="dimension" d={`M${left} ${bottom + 8}v8M${left} ${bottom + 12}H${right}M${right} ${bottom + 8}v8`} />
      <text x={(left + right) / 2} y={bottom + 27} textAnchor="middle">
        {length(bounds.maxX - bounds.minX)}
      </text>
      <text x={(left + right) / 2} y={top - 8} textAnchor="middle" className="soft-text">
        {show(basin.areaM2, 'area')}
      </text>
      <ScaleBar scale={scale} x={8} y={FRAME.heightPx - 10} show={length} />
    </svg>
  )
}
