import type { CheckId } from '../checks/check'
import { overrun, TRAIN_LIMITS, underwet, unreached } from '../checks/train'
import { WETTING_M_PER_H } from '../train/media'
import { nextBoreM } from '../../hydraulics/fittings'
import { inOrder } from '../train/order'
import type { TrainUnit } from '../train/train-unit'
import { UNIT_FACTS } from '../train/unit-facts'
import { UNIT_SIZES } from '../train/unit-sizes'
import { flowForLamp, UV } from '../train/uv'
import type { Context, Mend } from './remedy'

const TALLEST_TOWER_M = 2
const MOST_INTAKE_PIPES = 4
/** A larger unit loses less head, and more comes. */
const WITH_MARGIN = 1.2

/** The train with some of its units changed. */
const changed = (
  { design, result }: Context,
  which: readonly { readonly unit: TrainUnit }[],
  change: (unit: TrainUnit, flowM3PerH: number) => TrainUnit,
) => {
  const units = new Set(which.map(({ unit }) => unit))
  return {
    ...design,
    train: design.train.map((unit, i) => (units.has(unit) ? change(unit, result.train.units[i]!.flowM3PerH) : unit)),
  }
}

/** The next size that takes a flow: media grow with it. */
function larger(unit: TrainUnit, flowM3PerH: number): TrainUnit {
  const { by, steps } = UNIT_SIZES[unit.kind]
  const wanted = Math.ceil(flowM3PerH * WITH_MARGIN)
  if (by === 'ratedFlowM3PerH') {
    const step = steps.find((size) => size >= wanted)
    // nothing that large is sold: what is over goes past
    return step === undefined ? { ...unit, overflow: true } : { ...unit, ratedFlowM3PerH: step }
  }
  const mediaL = (unit.mediaL * wanted) / unit.ratedFlowM3PerH
  return {
    ...unit,
    ratedFlowM3PerH: wanted,
    mediaL: by === 'mediaL' ? (steps.find((size) => size >= mediaL) ?? mediaL) : unit.mediaL,
  }
}

/** A tower so slender that the flow wets all of it, or with less media. */
function slender(unit: TrainUnit, flowM3PerH: number): TrainUnit {
  const planM2 = flowM3PerH / WETTING_M_PER_H
  const heightM = Math.min(TALLEST_TOWER_M, unit.mediaL / 1000 / planM2)
  return { ...unit, heightM: Number(heightM.toFixed(2)), mediaL: Math.floor(planM2 * heightM * 1000) }
}

/** More room in the gravity line: a larger bore, then another pipe. */
const widerIntake: Mend = ({ design, result, rules }) => {
  const pipe = design.intakePipe
  const through = result.train.units.filter(({ unit }) => unit.line === 'intake')
  const worst = through.reduce((max, unit) => (unit.headM > max ? unit.headM : max), 0)
  const dropM = result.train.intakeDropM
  if (pipe === null || worst > dropM / 2) {
    const short = through.filter(({ headM }) => headM > TRAIN_LIMITS.intakeLookM / 2)
    if (short.length === 0) return null
    return changed({ design, result } as Context, short, (unit, flow) =>
      larger(unit, Math.max(flow, unit.ratedFlowM3PerH + 1)),
    )
  }
  const diameterM = nextBoreM(pipe.diameterM, rules.tables.pipes)
  if (diameterM > pipe.diameterM) return { ...design, intakePipe: { ...pipe, diameterM } }
  return pipe.count < MOST_INTAKE_PIPES ? { ...design, intakePipe: { ...pipe, count: pipe.count + 1 } } : null
}

/** Mends of the filter train. */
export const TRAIN_MENDS: Partial<Record<CheckId, Mend>> = {
  'train-flow': (context) => {
    const over = overrun(context.result.train.units)
    if (over.length > 0) return changed(context, over, larger)
    const dry = underwet(context.result.train.units)
    return dry.length > 0 ? changed(context, dry, slender) : null
  },
  'train-order': ({ design }) => ({ ...design, train: inOrder(design.train) }),
  'intake-level': widerIntake,
  'uv-dose': (context) => {
    const weak = context.result.train.units.filter(({ uv }) => uv !== null && uv.endMjPerCm2 < UV.wantedMjPerCm2)
    return changed(context, weak, (unit) => {
      const stronger = UNIT_SIZES.uv.steps.find((step) => step > unit.lampW)
      if (stronger !== undefined) return { ...unit, lampW: stronger }
      // the strongest there is: only what it serves goes through it
      return { ...unit, overflow: true, ratedFlowM3PerH: Math.floor(flowForLamp(unit.lampW) * 10) / 10 }
    })
  },
  'heater-flow': (context) => {
    const { design, result } = context
    if (!result.heating) return { ...design, train: design.train.filter((unit) => unit.kind !== 'heater') }
    const heater = design.train.find((unit) => unit.kind === 'heater')
    const rated = Math.max(1, Math.ceil(result.heating.flowM3PerH))
    const size = UNIT_SIZES.heater.steps.find((step) => step >= rated) ?? rated
    // on a line of its own it gets what it asks for
    const placed: TrainUnit = {
      kind: 'heater',
      line: 'side',
      mediaL: 0,
      heightM: 0,
      weirM: 0,
      meshUm: 0,
      lampW: 0,
      overflow: false,
      clearanceM: heater?.clearanceM ?? null,
      ratedFlowM3PerH: size,
    }
    return { ...design, train: [...design.train.filter((unit) => unit.kind !== 'heater'), placed] }
  },
  'train-reach': (context) =>
    changed(context, unreached(context.result.train.units), (unit) => ({
      ...unit,
      clearanceM: UNIT_FACTS[unit.kind].clearanceM,
    })),
}
