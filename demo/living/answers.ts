import { normalDeviate, type Random } from '../../src/core/numeric/random'
import type { StepFigure } from '../../src/core/visits/figures'
import type { VisitStep } from '../../src/core/visits/step'
import type { ReadingKindName } from '../../src/core/water/readings'
import type { FishLine } from '../../src/domain/ponds/pond'
import type { StepAnswer } from '../../src/domain/visits/visit'

/** What a crew finds at a pond. */
export interface Seen {
  readonly waterC: number
  readonly depthM: number
  /** One pond in ten carries more fish than its filter. */
  readonly strained: boolean
}

const round = (value: number, digits: number) => Number(value.toFixed(digits))

/** Oxygen of water in equilibrium with air, mg/L. @source Weiss 1970 as the usual cubic, fresh water at sea level */
const saturationMgL = (c: number) => 14.652 - 0.41022 * c + 0.007991 * c ** 2 - 0.000077774 * c ** 3

/** What a test tells: its middle and spread, and its digits. */
function tested(kind: ReadingKindName, { waterC, depthM, strained }: Seen): readonly [number, number, number] | null {
  switch (kind) {
    case 'waterTemp':
      return [waterC, 0.4, 1]
    case 'ph':
      return [strained ? 7.9 : 7.5, 0.15, 1]
    case 'tan':
      return strained ? [0.7, 0.2, 2] : [0.1, 0.05, 2]
    case 'nitrite':
      return strained ? [0.35, 0.1, 2] : [0.04, 0.02, 2]
    case 'nitrate':
      return [strained ? 38 : 14, 5, 0]
    case 'kh':
      return [strained ? 3.4 : 6.4, 0.4, 1]
    case 'gh':
      return [10, 0.6, 1]
    case 'dissolvedOxygen':
      return [saturationMgL(waterC) * (strained ? 0.78 : 0.94), 0.3, 1]
    case 'clarityDepth':
      return [Math.min(depthM, waterC > 14 ? 0.75 : 1.2), 0.08, 2]
    case 'tapTemp':
      return [Math.max(4, waterC * 0.5 + 5), 0.5, 1]
    case 'tapChlorine':
      return [0.5, 0.05, 2]
    case 'tapPh':
      return [7.6, 0.1, 1]
    case 'tapKh':
      return [5, 0.4, 1]
    case 'tankTemp':
      return [waterC, 0.3, 1]
    case 'tankOxygen':
      return [saturationMgL(waterC) * 0.93, 0.3, 1]
    case 'sludgeDepth':
      return [0.05, 0.02, 2]
    case 'freeChlorine':
      return [0, 0, 2]
    default:
      return null
  }
}

const FIGURES: Readonly<Partial<Record<StepFigure, readonly [number, number]>>> = {
  levelDropM: [0.004, 0.02],
  toppedUpM3: [0.05, 0.4],
  cuttingBuckets: [1, 6],
  mediaShare: [0.5, 1],
  padThicknessM: [0.02, 0.03],
  coverShare: [0.2, 0.6],
  flushedM3: [0.3, 0.9],
  minutesToClear: [4, 12],
  minutesEmpty: [20, 60],
  fillM3: [4, 9],
}

/** Of several answers the one that nothing follows from. */
const CALM: Readonly<Record<string, string>> = { lamp: 'not-due', hole: 'no-ice' }
const FREEZES_C = 3

/** What a crew answers at a step: tests of the water as it is, counts of the fish that are there. */
export function plausibleAnswer(step: VisitStep, seen: Seen, fish: readonly FishLine[], random: Random): StepAnswer {
  const readings = Object.fromEntries(
    (step.readings ?? []).flatMap((kind) => {
      const of = tested(kind, seen)
      if (!of) return []
      const value = round(Math.max(0, of[0] + of[1] * normalDeviate(random)), of[2])
      return [[kind, { value, belowStep: value === 0 }]]
    }),
  )
  const figures = Object.fromEntries(
    (step.figures ?? []).flatMap((figure) => {
      const range = FIGURES[figure]
      return range ? [[figure, round(range[0] + random() * (range[1] - range[0]), 3)]] : []
    }),
  )
  return {
    note: '',
    ...(Object.keys(readings).length > 0 ? { readings, method: 'drops' as const } : {}),
    ...(Object.keys(figures).length > 0 ? { figures } : {}),
    ...(step.kind === 'decide' ? { choice: choiceAt(step, seen) } : {}),
    ...(step.kind === 'count-fish' ? { fish: fish.map(({ species, count }) => ({ species, count })) } : {}),
    ...(step.kind === 'sign' ? { signedBy: 'the customer' } : {}),
  }
}

function choiceAt(step: VisitStep, { waterC }: Seen): string {
  const codes = step.choices!.map(({ code }) => code)
  if (step.key === 'hole' && waterC < FREEZES_C) return 'open'
  return codes.find((code) => code === CALM[step.key]) ?? codes[0]!
}
