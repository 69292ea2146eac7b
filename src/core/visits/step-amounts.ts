import { CUTTINGS } from '../plants/cuttings'
import type { QuantityKind } from '../units/kinds'

/** A quantity within the words of a step: its value in base units and what it measures. */
export type StepAmount = readonly [value: number, kind: QuantityKind]

/** Heavier than this is lifted by two people or a machine, kg. @source common limit of manual handling */
export const HEAVY: StepAmount = [25, 'mass']
/** Below this only cold-water bacteria work, °C. @source house default */
export const COLD_WATER: StepAmount = [10, 'temperature']
/** Lilies and lotus are fed while the water is warmer than this, °C. @source house default */
export const GROWING_WATER: StepAmount = [18, 'temperature']
/** From here on fish are fed by appetite, °C. @source house default */
export const FEEDING_WATER: StepAmount = [13, 'temperature']
/** What plants are kept away from skimmers’ mouths, m. @source house default */
export const CLEAR_OF_MOUTHS: StepAmount = [0.15, 'length']
/** Water that is left while fish are netted, m. @source house default */
export const FISH_WATER_LEFT: StepAmount = [0.3, 'length']
/** The bucket by which cuttings are counted, m³. */
export const BUCKET: StepAmount = [CUTTINGS.bucketM3, 'volume']
