'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo } from 'react'
import type { DesignProblemInput } from '@/core/filter/design-input'
import { sensitivity, type SensitivityBar } from '@/core/filter/sizing/sensitivity'
import { useShow } from '@/ui/person-context'

const ROW_PX = 26
const NAME_PX = 128
const WIDTH_PX = 430

/** Bars of the area asked for when one figure turns out low or high: the widest first. */
export function TornadoChart({ input }: { input: DesignProblemInput }) {
  const t = useTexts()

  const show = useShow()
  const { sizingMethod } = input.design
  const { baseAreaM2, bars } = useMemo(() => sensitivity(input, sizingMethod), [input, sizingMethod])
  const moving = bars.filter((bar) => Math.abs(bar.highAreaM2 - bar.lowAreaM2) > 1e-6)
  const max = Math.max(baseAreaM2, ...moving.flatMap((bar) => [bar.lowAreaM2, bar.highAreaM2])) || 1
  const x = (area: number) => NAME_PX + (area / max) * (WIDTH_PX - NAME_PX - 92)
  const by = (bar: SensitivityBar, value: number) =>
    bar.input === 'water-temperature' ? `${value > 0 ? '+' : '−'}${Math.abs(value)} °C` : `× ${value}`
  if (moving.length === 0) return <p className="soft mb-0">{t('design.tornadoChart.methodNothingButOwn')}</p>
  return (
    <>
      <svg
        className="drawing"
        viewBox={`0 0 ${WIDTH_PX} ${moving.length * ROW_PX + 22}`}
        role="img"
        aria-label={t('design.tornadoChart.area', {
          sizingMethod: t(`design.methodNames.${sizingMethod}`).toLowerCase(),
          map: moving
            .map((bar) =>
              t('design.tornadoChart.from', {
                input: t(`design.sensitivityNames.${bar.input}`),
                lowAreaM2: show(bar.lowAreaM2, 'area'),
                highAreaM2: show(bar.highAreaM2, 'area'),
              }),
            )
            .join('; '),
        })}
      >
        {moving.map((bar, i) => {
          const [a, b] = [Math.min(bar.lowAreaM2, bar.highAreaM2), Math.max(bar.lowAreaM2, bar.highAreaM2)]
          const y = i * ROW_PX + 4
          return (
            <g key={bar.input}>
              <text x={NAME_PX - 8} y={y + 13} textAnchor="end">
                {t(`design.sensitivityNames.${bar.input}`)}
              </text>
              <rect
                x={x(a)}
                y={y}
                width={Math.max(1, x(b) - x(a))}
                height={ROW_PX - 9}
                fill="var(--water-line)"
                fillOpacity="0.45"
                stroke="var(--water-line)"
              >
                <title>{`${by(bar, bar.low)}: ${show(bar.lowAreaM2, 'area')}; ${by(bar, bar.high)}: ${show(bar.highAreaM2, 'area')}`}</title>
              </rect>
              <text x={x(b) + 5} y={y + 13} className="soft-text">
                {by(bar, bar.low)} … {by(bar, bar.high)}
              </text>
            </g>
          )
        })}
        <path d={`M${x(baseAreaM2)} 0V${moving.length * ROW_PX}`} stroke="var(--ink)" strokeDasharray="4 3" />
        <text x={x(baseAreaM2)} y={moving.length * ROW_PX + 15} textAnchor="middle">
          {show(baseAreaM2, 'area')}
        </text>
      </svg>
      <p className="soft small mb-0">
        {t('design.tornadoChart.areaAskedGrownFish', {
          sizingMethod: t(`design.methodNames.${sizingMethod}`).toLowerCase(),
        })}
      </p>
    </>
  )
}
