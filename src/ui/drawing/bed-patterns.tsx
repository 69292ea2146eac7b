import { BED_MATERIAL_KEYS, type BedMaterialKey } from '@/core/filter/bed/layers'

const PATTERN: Readonly<Record<BedMaterialKey, { size: number; radius: number }>> = {
  'levelling-gravel': { size: 9, radius: 2.6 },
  'void-modules': { size: 26, radius: 0 },
  'bridging-stone': { size: 30, radius: 12 },
  'gravel-19-38': { size: 16, radius: 6 },
  'planting-6-12': { size: 8, radius: 2.4 },
  'pea-gravel': { size: 6, radius: 1.8 },
}

export const stoneFill = (material: BedMaterialKey): string => `url(#stone-${material})`

/** What a section is filled with: a stone of each size, modules, and the head of its arrows. */
export function BedPatterns() {
  return (
    <defs>
      {BED_MATERIAL_KEYS.map((key) => {
        const { size, radius } = PATTERN[key]
        return (
          <pattern key={key} id={`stone-${key}`} width={size} height={size} patternUnits="userSpaceOnUse">
            <rect width={size} height={size} fill={radius === 0 ? 'var(--water-fill)' : 'var(--earth)'} />
            {radius === 0 ? (
              <path d={`M0 0H${size}V${size}H0Z`} fill="none" stroke="var(--water-line)" strokeOpacity="0.55" />
            ) : (
              <circle
                cx={size / 2}
                cy={size / 2}
                r={radius}
                fill="var(--stone)"
                stroke="var(--ink-soft)"
                strokeWidth="0.6"
              />
            )}
          </pattern>
        )
      })}
      <marker id="bed-arrow" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" orient="auto">
        <path d="M0 0L8 4L0 8z" fill="var(--water-line)" />
      </marker>
    </defs>
  )
}
