'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useId } from 'react'
import type { WeekView } from '@/core/trainer/view'
import { TRAINING_DEPTH_M } from '@/core/trainer/world'
import { BedAndPlants } from './scene-bed'
import { Fish, SceneFish } from './scene-fish'
import { depthPx, FLOOR, HEIGHT, SKY, PROFILE, RIM, spread, WIDTH } from './scene-geometry'

/** Beyond this many more pads or strands tell nothing. */
const MAX_PADS = 14
const MAX_STRANDS = 18
const ICE_M = 0.005
/** Murk is drawn as its colours stand in the water. */
const MURK = { green: [93, 122, 31], brown: [107, 74, 34], grey: [128, 122, 108] } as const

/** The training pond cut open, as an eye above it sees it: nothing is drawn that only a test could tell. */
export function PondScene({ view }: { view: WeekView }) {
  const t = useTexts()

  const id = useId()
  const { scene, fittings, fish } = view
  const iced = scene.iceM > ICE_M
  const open = fittings.iceHole || fittings.pump
  const surface = RIM + Math.max(0, (-scene.levelMm / 1000 / TRAINING_DEPTH_M) * depthPx(TRAINING_DEPTH_M))
  const murk = Math.min(1, Math.exp(-1.7) * (TRAINING_DEPTH_M / scene.clarityM))
  const colour = mixed(scene.murk)
  const outline = PROFILE.map(([x, y]) => `${x} ${y}`).join('L')
  return (
    <svg
      className="drawing pond-scene"
      viewBox={`0 ${SKY} ${WIDTH} ${HEIGHT - SKY}`}
      role="img"
      aria-label={sceneWords(view, t)}
    >
      <defs>
        <clipPath id={`${id}c`}>
          <path d={`M${outline}Z`} />
        </clipPath>
        <linearGradient id={`${id}m`} x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stopColor={colour} stopOpacity={0.04 + 0.55 * murk} />
          <stop
            offset={Math.min(1, scene.clarityM / TRAINING_DEPTH_M)}
            stopColor={colour}
            stopOpacity={0.05 + 0.85 * murk}
          />
          <stop offset="1" stopColor={colour} stopOpacity={0.05 + 0.93 * murk} />
        </linearGradient>
      </defs>
      <path d={`M0 ${RIM}H${WIDTH}V${HEIGHT}H0Z`} fill="var(--earth)" />
      <BedAndPlants view={view} />
      <path d={`M${outline}Z`} fill="var(--sheet)" />
      <g clipPath={`url(#${id}c)`}>
        <rect x="0" y={surface} width={WIDTH} height={HEIGHT} fill="var(--water-fill)" />
        {spread(Math.round(scene.stringAlgae * MAX_STRANDS), 3).map(([u, v], i) => {
          const x = u < 0.5 ? 212 + u * 130 : 545 + (u - 0.5) * 110
          const up = 10 + 28 * v * (0.4 + scene.stringAlgae)
          return (
            <path
              key={i}
              d={`M${x} 154c-3 -${up / 3} 4 -${up / 2} 0 -${up}`}
              fill="none"
              stroke="var(--pond-green)"
              strokeWidth="2.2"
            />
          )
        })}
        {scene.sludge > 0.02 ? (
          <path
            d={`M${PROFILE[3]![0] - 30} ${HEIGHT}L${PROFILE[3]![0] - 8} ${FLOOR - 6 - 22 * scene.sludge}Q404 ${FLOOR + 6 - 26 * scene.sludge} 540 ${FLOOR - 4 - 22 * scene.sludge}V${HEIGHT}Z`}
            fill="var(--sludge)"
            opacity="0.85"
          />
        ) : null}
        <SceneFish view={view} />
        <rect x="0" y={surface} width={WIDTH} height={HEIGHT} fill={`url(#${id}m)`} />
        {fittings.aerator
          ? spread(9, 11).map(([u, v], i) => (
              <circle
                key={i}
                cx={440 + 26 * (u - 0.5)}
                cy={surface + 12 + v * 110}
                r={1.5 + 2 * u}
                fill="none"
                stroke="var(--water-line)"
              />
            ))
          : null}
      </g>
      <path d={`M${outline}`} fill="none" stroke="var(--ink)" strokeWidth="2" />
      {iced ? (
        <g fill="var(--sheet)" stroke="var(--water-line)" strokeWidth="1">
          {open ? (
            <>
              <path d={`M198 ${surface - 5}H212V${surface + 4}H200Z`} />
              <path d={`M262 ${surface - 5}H612V${surface + 4}H262Z`} />
            </>
          ) : (
            <path d={`M198 ${surface - 5}H612V${surface + 4}H198Z`} />
          )}
        </g>
      ) : (
        <path d={`M198 ${surface}H611`} stroke="var(--water-line)" strokeWidth="2" />
      )}
      {iced
        ? null
        : spread(Math.round(scene.leafCover * MAX_PADS), 5).map(([u, v], i) => (
            <ellipse key={i} cx={300 + u * 290} cy={surface + 1} rx={8 + 7 * v} ry="2.6" fill="var(--reed)" />
          ))}
      {!iced
        ? spread(Math.min(6, fish.lostThisWeek), 8).map(([u], i) => (
            <Fish key={i} x={250 + u * 320} y={surface} index={i} opacity={1} turned={180} />
          ))
        : null}
      {fittings.net ? (
        <path
          d={`M190 ${RIM - 7}Q404 ${RIM - 2} 620 ${RIM - 7}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.5"
          strokeDasharray="2 3"
        />
      ) : null}
      {scene.fallingLeaves
        ? spread(8, 17).map(([u, v], i) => (
            <path
              key={i}
              transform={`translate(${200 + u * 400} ${10 + v * 80}) rotate(${u * 360})`}
              d="M0 0c4-5 9-4 11 0-2 4-7 5-11 0Z"
              fill="var(--amber)"
            />
          ))
        : null}
    </svg>
  )
}

function mixed(murk: WeekView['scene']['murk']): string {
  const channel = (i: 0 | 1 | 2) =>
    Math.round(murk.green * MURK.green[i] + murk.brown * MURK.brown[i] + murk.grey * MURK.grey[i])
  return `rgb(${channel(0)} ${channel(1)} ${channel(2)})`
}

function sceneWords({ scene, fish, fittings }: WeekView, t: Texts): string {
  const waterText = () => {
    if (scene.iceM > ICE_M) {
      if (fittings.iceHole || fittings.pump) return t('trainer.pondScene.iceOpening')
      return t('trainer.pondScene.closedIce')
    }
    if (scene.clarityM >= TRAINING_DEPTH_M) return t('trainer.pondScene.clearFloor')
    return t('trainer.pondScene.murkyWater')
  }
  const parts = [
    waterText(),
    t('trainer.pondScene.fish', { alive: fish.alive }),
    fittings.pump ? t('trainer.pondScene.waterFallsFromBed') : t('trainer.pondScene.noWaterFallsFrom'),
  ]
  return t('trainer.pondScene.trainingPond', { parts: parts.join(', ') })
}
