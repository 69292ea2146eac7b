import { grownFish } from '../../fish/load'
import type { DesignProblemInput } from '../design-input'
import { DEFAULT_LAYERS, treatingGravel } from '../bed/layers'
import type { SizingMethod } from '../house-rules'
import type { BedToSize } from './sizing'
import { sizeThroughYear } from './yearly-sizing'

/** What may turn out otherwise than assumed, and by how much. @source survey sigma and the spread of usual figures */
const SENSITIVITIES = [
  { input: 'fish-count', low: 0.75, high: 1.5 },
  { input: 'growth-years', low: 0.5, high: 1.75 },
  { input: 'volume', low: 0.88, high: 1.12 },
  { input: 'surface', low: 0.9, high: 1.1 },
  { input: 'protein', low: 0.85, high: 1.25 },
  { input: 'stone-size', low: 0.75, high: 1.35 },
  { input: 'target', low: 0.5, high: 2 },
  { input: 'water-temperature', low: -2, high: 2 },
] as const
type SensitivityInput = (typeof SENSITIVITIES)[number]['input']

export interface SensitivityBar {
  readonly input: SensitivityInput
  readonly low: number
  readonly high: number
  /** Area the sizing method asks for at the low and at the high figure, m². */
  readonly lowAreaM2: number
  readonly highAreaM2: number
}

/** What moves a sizing method's answer most, widest bar first: each input alone at its low and its high figure. */
export function sensitivity(
  { pond, design, rules }: DesignProblemInput,
  sizingMethod: SizingMethod,
): { baseAreaM2: number; bars: SensitivityBar[] } {
  const own = treatingGravel(design.layers, rules.materials)
  const bed: BedToSize = own.depthM === 0 ? treatingGravel(DEFAULT_LAYERS, rules.materials) : own
  const areaWith = (input: SensitivityInput | null, by: number): number => {
    const scale = (name: SensitivityInput) => (input === name ? by : 1)
    const fish = grownFish(pond.fish, rules.growthYears * scale('growth-years')).map((f) => ({
      ...f,
      count: f.count * scale('fish-count'),
    }))
    const changed = {
      ...pond,
      volumeM3: pond.volumeM3 * scale('volume'),
      areaM2: pond.areaM2 * scale('surface'),
      monthlyTempC: pond.monthlyTempC.map((t) => Math.min(40, t + (input === 'water-temperature' ? by : 0))),
    }
    const sizing = sizeThroughYear(
      changed,
      fish,
      { ...bed, grainM: bed.grainM * scale('stone-size') },
      {
        ...rules,
        feedProtein: Math.min(0.7, rules.feedProtein * scale('protein')),
        targetTanMgL: rules.targetTanMgL * scale('target'),
      },
    )
    return sizing.sizingMethods.find((s) => s.sizingMethod === sizingMethod)!.areaM2
  }
  const bars = SENSITIVITIES.map(({ input, low, high }) => ({
    input,
    low,
    high,
    lowAreaM2: areaWith(input, low),
    highAreaM2: areaWith(input, high),
  }))
  return {
    baseAreaM2: areaWith(null, 1),
    bars: bars.sort((a, b) => Math.abs(b.highAreaM2 - b.lowAreaM2) - Math.abs(a.highAreaM2 - a.lowAreaM2)),
  }
}
