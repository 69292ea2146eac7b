import { fishLives } from './fish'
import { stirring } from './floor'
import { greenWater, load, shade } from './green-water'
import { warmth } from './ice'
import type { Behaviour } from './kit'
import { gradual, overfeeding, thinning } from './load'
import { clay, tea } from './murk'
import { cycling, pumpOff, rinsing, springBump } from './nitrogen'
import { runoff } from './runoff'
import { SIZING } from './sizing'
import { stringAlgae } from './string-algae'
import { winter } from './winter'

/** All trials of the model, in the order of the report. */
export const BEHAVIOURS: readonly Behaviour[] = [
  cycling,
  greenWater,
  load,
  rinsing,
  pumpOff,
  springBump,
  winter,
  shade,
  ...SIZING,
  gradual,
  thinning,
  overfeeding,
  clay,
  tea,
  stringAlgae,
  stirring,
  runoff,
  fishLives,
  warmth,
]
