'use client'
import { BED_MATERIALS, type BedLayer, type BedMaterialKey } from '@/core/filter/layers'
import { useShow } from '@/ui/person-context'
import { ScaleBar } from './scale-bar'
import { fitScale } from './to-scale'

const FRAME = { widthPx: 760, heightPx: 270, marginPx: 26 }
const LABEL_M_SHARE = 0.36

const PATTERN: Readonly<Record<BedMaterialKey, { size: number; radius: number }>> = {
  'levelling-gravel': { size: 9, radius: 2.6 },
  'void-modules': { size: 26, radius: 0 },
  'bridging-stone': { size: 30, radius: 12 },
  'gravel-19-38': { size: 16, radius: 6 },
  'planting-6-12': { size: 8, radius: 2.4 },
  'pea-gravel': { size: 6, radius: 1.8 },
}

interface BedSectionProps {
  readonly lengthM: number
  readonly layers: readonly BedLayer[]
  readonly manifoldDiameterM: number
  readonly airBreakM: number
}

/** A long section of the bed to scale: layers with thickness and level, distribution pipe, vault, flow, air break. */
export function BedSection({ lengthM, layers, manifoldDiameterM, airBreakM }: BedSectionProps) {
  const show = useShow()
  const depthM = layers.reduce((sum, l) => sum + l.thicknessM, 0)
  const exaggerate = Math.max(1, Math.round((lengthM / Math.max(depthM, 0.2) / 1.9) * 2) / 2)
  const labelM = lengthM * LABEL_M_SHARE
  const vaultM = Math.max(0.3, lengthM * 0.06)
  const scale = fitScale(FRAME, { minX: -vaultM, maxX: lengthM + labelM, minY: -0.18 * depthM, maxY: depthM * 1.06 }, { exaggerate })
  const thick = (m: number) => show(m, 'length', { scale: 'small' })
  const [left, right, base, top] = [scale.x(0), scale.x(lengthM), scale.y(0), scale.y(depthM)]
  const bands = layers.map((layer, i) => ({ layer, below: layers.slice(0, i).reduce((sum, l) => sum + l.thicknessM, 0) }))
  const pipe = Math.max(4, manifoldDiameterM * scale.pxPerMDown)
  const pipeY = base - pipe / 2 - 2
  return (
    <svg
      className="drawing"
      viewBox={`0 0 ${FRAME.widthPx} ${FRAME.heightPx}`}
      role="img"
      aria-label={`Section of the bed, ${show(lengthM, 'length')} long, ${show(depthM, 'length')} deep, ${layers.length} layers`}
    >
      <defs>
        {(Object.keys(PATTERN) as BedMaterialKey[]).map((key) => (
          <pattern key={key} id={`stone-${key}`} width={PATTERN[key].size} height={PATTERN[key].size} patternUnits="userSpaceOnUse">
            <rect width={PATTERN[key].size} height={PATTERN[key].size} fill={key === 'void-modules' ? 'var(--water-fill)' : 'var(--earth)'} />
            {key === 'void-modules' ? (
              <path d={`M0 0H26V26H0Z`} fill="none" stroke="var(--water-line)" strokeOpacity="0.55" />
            ) : (
              <circle
                cx={PATTERN[key].size / 2}
                cy={PATTERN[key].size / 2}
                r={PATTERN[key].radius}
                fill="var(--stone)"
                stroke="var(--ink-soft)"
                strokeWidth="0.6"
              />
            )}
          </pattern>
        ))}
        <marker id="bed-arrow" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" orient="auto">
          <path d="M0 0L8 4L0 8z" fill="var(--water-line)" />
        </marker>
      </defs>
      {bands.map(({ layer, below }, i) => {
        const [y1, y2] = [scale.y(below + layer.thicknessM), scale.y(below)]
        return (
          <g key={i}>
            <rect x={left} y={y1} width={right - left} height={y2 - y1} fill={`url(#stone-${layer.material})`} stroke="var(--ink-soft)" strokeWidth="0.8" />
            <path className="dimension" d={`M${right + 4} ${y1}h8M${right + 8} ${y1}V${y2}M${right + 4} ${y2}h8`} />
            <text x={right + 16} y={(y1 + y2) / 2 + 4}>
              {thick(layer.thicknessM)} {BED_MATERIALS[layer.material].name.replace(/ \(.*/, '')}
            </text>
          </g>
        )
      })}
      <rect x={scale.x(-vaultM)} y={top} width={left - scale.x(-vaultM)} height={base - top} fill="var(--water-fill)" stroke="var(--ink)" />
      <text x={(scale.x(-vaultM) + left) / 2} y={top - 6} textAnchor="middle" className="soft-text">
        vault
      </text>
      <path d={`M${scale.x(-vaultM)} ${pipeY}H${right - 6}`} stroke="var(--ink)" strokeWidth={pipe} />
      <path d={`M${scale.x(-vaultM)} ${pipeY}H${right - 6}`} stroke="var(--water-fill)" strokeWidth={Math.max(2, pipe - 2.5)} />
      {[0.2, 0.4, 0.6, 0.8].map((share) => (
        <path
          key={share}
          d={`M${left + (right - left) * share} ${pipeY - pipe}V${top + 10}`}
          stroke="var(--water-line)"
          strokeWidth="1.6"
          markerEnd="url(#bed-arrow)"
        />
      ))}
      <path d={`M${left} ${top}H${right}`} stroke="var(--water-line)" strokeWidth="2" />
      {airBreakM < depthM ? (
        <g>
          <path d={`M${left} ${scale.y(airBreakM)}H${right}`} stroke="var(--rust)" strokeDasharray="6 4" />
          <text x={left + 6} y={scale.y(airBreakM) - 4} style={{ fill: 'var(--rust)' }}>
            drains back to here
          </text>
        </g>
      ) : null}
      <path className="dimension" d={`M${left} ${base + 6}v8M${left} ${base + 10}H${right}M${right} ${base + 6}v8`} />
      <text x={(left + right) / 2} y={base + 25} textAnchor="middle">
        {show(lengthM, 'length')}
      </text>
      <ScaleBar scale={scale} x={6} y={FRAME.heightPx - 8} show={(m) => show(m, 'length')} />
      {exaggerate > 1 ? (
        <text x={FRAME.widthPx - 6} y={FRAME.heightPx - 4} textAnchor="end" className="soft-text">
          height ×{exaggerate}
        </text>
      ) : null}
    </svg>
  )
}
