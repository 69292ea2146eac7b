import { newUnit } from '../train/new-unit'
import type { FilterDesign } from '../design-input'
import type { TrainKind } from '../train/train-unit'
import { UNIT_FACTS } from '../train/unit-facts'
import { nearestSize, type PipeSize } from '../../hydraulics/fittings'

/** Trains that are put before beds, from none to a screen with media. @source house default */
export const TRAIN_PRESETS: readonly (readonly TrainKind[])[] = [
  [],
  ['skimmer-floating'],
  ['sieve'],
  ['skimmer-floating', 'sieve'],
  ['drum'],
  ['sieve', 'moving-bed'],
  ['drum', 'moving-bed'],
]

/** Flow that one gravity pipe of the usual bore carries, m³/h. @source house default */
const PER_PIPE_M3_PER_H = 10
const INTAKE = { boreM: 0.11, lengthM: 4 } as const
const MOST_PIPES = 8

/** A train for a flow, set out with the space that its service wants, and the pipes that lead to it. */
export function presetTrain(
  preset: number,
  uv: boolean,
  flowM3PerH: number,
  pondM3: number,
  pipes: readonly PipeSize[],
): Pick<FilterDesign, 'train' | 'intakePipe'> {
  const kinds = [...TRAIN_PRESETS[preset]!, ...(uv ? (['uv'] as const) : [])]
  const train = kinds.map((kind) => ({
    ...newUnit(kind, { flowM3PerH, pondM3 }),
    clearanceM: UNIT_FACTS[kind].clearanceM,
  }))
  const screened = train.some((unit) => unit.line === 'intake' && unit.meshUm > 0)
  return {
    train,
    intakePipe: screened
      ? {
          count: Math.min(MOST_PIPES, Math.max(1, Math.ceil(flowM3PerH / PER_PIPE_M3_PER_H))),
          diameterM: nearestSize(INTAKE.boreM, pipes).boreM,
          lengthM: INTAKE.lengthM,
        }
      : null,
  }
}
