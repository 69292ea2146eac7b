'use client'
import { useTexts } from '@/ui/kit/texts'
import type { CutRoll } from '@/core/survey/roll-cutting'
import { useShow } from '@/ui/person-context'

const WIDTH_PX = 640
const SIDE_PX = 46
const MAX_HEIGHT_PX = 260

/** One scale for all rolls of a plan, px per m. */
export const cutScale = (rolls: readonly CutRoll[]): number =>
  Math.min(...rolls.map((roll) => Math.min((WIDTH_PX - SIDE_PX - 10) / roll.usedM, MAX_HEIGHT_PX / roll.widthM)))

/** One roll with its cuts, to scale: pieces with name and size, what is left hatched. */
export function CutDrawing({
  roll,
  pxPerM: px,
  nameOf,
}: {
  roll: CutRoll
  pxPerM: number
  nameOf: (id: string) => string
}) {
  const t = useTexts()

  const show = useShow()
  const height = roll.widthM * px
  const length = (m: number) => show(m, 'length')
  return (
    <figure className="mb-3">
      <svg
        className="drawing"
        viewBox={`0 0 ${WIDTH_PX} ${height + 30}`}
        role="img"
        aria-label={t('design.cutDrawing.rollWideUsed', {
          widthM: length(roll.widthM),
          usedM: length(roll.usedM),
          map: roll.pieces
            .map((p) =>
              t('design.cutDrawing.by', { id: nameOf(p.id), alongM: length(p.alongM), acrossM: length(p.acrossM) }),
            )
            .join('; '),
        })}
      >
        <defs>
          <pattern id="waste" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V8" stroke="var(--rule)" strokeWidth="3" />
          </pattern>
        </defs>
        <rect x={SIDE_PX} y={4} width={roll.usedM * px} height={height} fill="url(#waste)" stroke="var(--ink)" />
        {roll.pieces.map((p) => {
          const [x, y, w, h] = [SIDE_PX + p.xM * px, 4 + p.yM * px, p.alongM * px, p.acrossM * px]
          return (
            <g key={p.id}>
              <rect
                x={x}
                y={y}
                width={w}
                height={h}
                fill="var(--water-fill)"
                stroke="var(--water-line)"
                strokeWidth="1.5"
              />
              <text x={x + 6} y={y + 15}>
                {nameOf(p.id).length * 6 < w
                  ? nameOf(p.id)
                  : `${nameOf(p.id).slice(0, Math.max(3, Math.floor(w / 7)))}…`}
              </text>
              <text x={x + 6} y={y + 29} className="soft-text">
                {length(p.alongM)} × {length(p.acrossM)}
              </text>
            </g>
          )
        })}
        <text x={SIDE_PX - 5} y={height / 2 + 8} textAnchor="end">
          {length(roll.widthM)}
        </text>
        <text x={SIDE_PX + (roll.usedM * px) / 2} y={height + 22} textAnchor="middle">
          {t('design.cutDrawing.offRoll', { usedM: length(roll.usedM) })}
        </text>
      </svg>
    </figure>
  )
}
