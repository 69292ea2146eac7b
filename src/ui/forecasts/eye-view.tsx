'use client'
import { useTexts } from '@/ui/kit/texts'
import { useId } from 'react'
import type { Band } from '@/core/ecosystem/comparison/comparison'
import { addDays } from '@/core/numeric/calendar'
import type { Basin } from '@/core/survey/basin'
import { longSection } from '@/core/survey/section'
import { useShow } from '@/ui/person-context'
import { Swatch, optionVar } from './option-ink'

interface EyeViewProps {
  readonly from: string
  readonly days: number
  readonly options: readonly { readonly name: string; readonly clarity: Band }[]
  readonly basin: Basin
  readonly day: number
  readonly onDay: (day: number) => void
}

/** What the eye sees in the pond's section on a day, way by way: how deep a hand stays visible. */
export function EyeView({ from, days, options, basin, day, onDay }: EyeViewProps) {
  const t = useTexts()

  const id = useId()
  return (
    <div className="eye-view">
      <div className="eye-day">
        <label htmlFor={id}>{t('forecasts.eyeView.day', { from: t.longDate(addDays(from, day)), day: day + 1 })}</label>
        <input
          id={id}
          type="range"
          min={0}
          max={days - 1}
          value={day}
          onChange={(e) => onDay(Number(e.target.value))}
        />
      </div>
      <div className="eye-row">
        {options.map(({ name, clarity: { p10, p50, p90 } }, option) => (
          <Eye
            key={`${name}${option}`}
            option={option}
            name={name}
            basin={basin}
            clarityM={p50[day]!}
            bandM={[p10[day]!, p90[day]!]}
          />
        ))}
      </div>
    </div>
  )
}

const WIDTH = 300
const HEIGHT = 132
const TOP = 16
/** Light left at the depth at which a hand is just seen. @source Secchi depth × extinction 1.7 */
const LAST_LIGHT = Math.exp(-1.7)

function Eye({
  option,
  name,
  basin,
  clarityM,
  bandM,
}: {
  option: number
  name: string
  basin: Basin
  clarityM: number
  bandM: [number, number]
}) {
  const t = useTexts()

  const show = useShow()
  const id = useId()
  const profile = longSection(basin)
  if (profile.length < 4) return null
  const xs = profile.map((p) => p.chainageM)
  const [minX, maxX] = [Math.min(...xs), Math.max(...xs)]
  const depthM = basin.maxDepthM
  const x = (m: number) => 10 + ((m - minX) / (maxX - minX)) * (WIDTH - 20)
  const y = (m: number) => TOP + (m / depthM) * (HEIGHT - TOP - 22)
  const outline = profile.map((p) => `${x(p.chainageM).toFixed(1)} ${y(p.depthM).toFixed(1)}`).join('L')
  // hands hang over the middle of the deepest stretch
  const deep = profile.filter((p) => p.depthM > 0.98 * depthM).map((p) => p.chainageM)
  const handM = (Math.min(...deep) + Math.max(...deep)) / 2
  const length = (m: number) => show(m, 'length', { significant: 2 })
  const toFloor = clarityM >= depthM
  const seen = Math.min(clarityM, depthM)
  const hands = [0.12, 0.3, 0.5, 0.7, 0.9].map((share) => share * depthM)
  // the murkier, the greener and the less of the floor is seen
  const murk = Math.min(1, LAST_LIGHT * (depthM / clarityM))
  return (
    <figure className="mb-0">
      <svg
        className="drawing"
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={t('forecasts.eyeView.handSeen', {
          name,
          toFloor: toFloor
            ? t('forecasts.eyeView.downFloor')
            : t('forecasts.eyeView.deep', { clarityM: length(clarityM) }),
        })}
      >
        <defs>
          <linearGradient id={id} x1="0" y1="0" x2="0" y2="1">
            <stop offset="0" stopColor="var(--pond-green)" stopOpacity={0.02 + 0.6 * murk} />
            <stop offset={Math.min(1, seen / depthM)} stopColor="var(--pond-green)" stopOpacity={0.04 + 0.9 * murk} />
            <stop offset="1" stopColor="var(--pond-green)" stopOpacity={0.05 + 0.95 * murk} />
          </linearGradient>
        </defs>
        <path d={`M${outline}Z`} fill="var(--water-fill)" />
        {hands.map((m) => (
          <Hand key={m} x={x(handM)} y={y(m)} opacity={Math.max(0, 1 - m / clarityM)} />
        ))}
        <path d={`M${outline}Z`} fill={`url(#${id})`} />
        {hands.map((m) => (
          <Hand key={m} x={x(handM)} y={y(m)} opacity={0.85 * Math.max(0, 1 - m / clarityM)} />
        ))}
        <path d={`M${outline}`} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
        <path d={`M${x(minX)} ${y(0)}H${x(maxX)}`} stroke="var(--water-line)" strokeWidth="1.5" />
        {toFloor ? null : (
          <path
            d={`M${x(minX)} ${y(seen)}H${x(maxX)}`}
            stroke={optionVar(option)}
            strokeWidth="1.6"
            strokeDasharray="5 4"
          />
        )}
      </svg>
      <figcaption>
        <Swatch index={option} /> {name}:{' '}
        <strong>
          {toFloor
            ? t('forecasts.eyeView.seenDownFloor')
            : t('forecasts.eyeView.handSeen2', { clarityM: length(clarityM) })}
        </strong>{' '}
        <span className="soft">{t('forecasts.eyeView.to', { bandm: length(bandM[0]), bandm2: length(bandM[1]) })}</span>
      </figcaption>
    </figure>
  )
}

/** An open hand held level, from the side. */
const Hand = ({ x, y, opacity }: { x: number; y: number; opacity: number }) => (
  <path
    transform={`translate(${x - 13} ${y - 3})`}
    d="M0 2h11c2 0 2-2 4-2h8c2 0 2 2 0 2h-5 6c2 0 2 2 0 2h-6 4c2 0 2 2 0 2H8C4 6 2 5 0 5Z"
    fill="var(--hand)"
    stroke="var(--ink)"
    strokeWidth="0.6"
    opacity={opacity}
  />
)
