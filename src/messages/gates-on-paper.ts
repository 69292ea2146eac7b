import { FISH_BACK_LIMITS } from '@/core/visits/fish-back-gate'
import { DAWN_OXYGEN_MGL } from '@/core/visits/gates/algae-treatment'
import { HANDLING_OXYGEN_MGL } from '@/core/visits/gates/fish-handling'
import { MEDIA_LIMIT_SHARE } from '@/core/visits/gates/media-clean'
import { RAISE_KH_LIMITS } from '@/core/visits/gates/raise-kh'
import { SALT_LIMITS } from '@/core/visits/gates/salt'
import { WATER_CHANGE_LIMITS } from '@/core/water/water-change-gate'
import type { StepGate } from '@/core/visits/step'
import type { QuantityKind } from '@/core/units/kinds'
import { AMMONIA_BANDS } from '@/core/water/ammonia'

type Show = (value: number, kind: QuantityKind) => string

/** The rule of a gate for a sheet of paper, which cannot judge by itself. */
export const GATE_ON_PAPER: Readonly<Record<StepGate, (show: Show) => string>> = {
  'fish-back-safe': (show) =>
    `Fish go back only with toxic ammonia at ${show(AMMONIA_BANDS.actAboveMgL, 'concentration')} or less, nitrite at ${show(FISH_BACK_LIMITS.nitriteMgL, 'concentration')} or less, oxygen from ${show(FISH_BACK_LIMITS.oxygenMgL, 'concentration')} on, chlorine at ${show(FISH_BACK_LIMITS.freeChlorineMgL, 'concentration')} or less, tank and pond within ${show(FISH_BACK_LIMITS.temperatureStepC, 'temperatureStep')}, water from ${show(FISH_BACK_LIMITS.handlingC[0], 'temperature')} to ${show(FISH_BACK_LIMITS.handlingC[1], 'temperature')}. Tested after the refill.`,
  'fish-handling': (show) =>
    `Fish are netted only with oxygen from ${show(HANDLING_OXYGEN_MGL, 'concentration')} on and water from ${show(FISH_BACK_LIMITS.handlingC[0], 'temperature')} to ${show(FISH_BACK_LIMITS.handlingC[1], 'temperature')}.`,
  'raise-kh': (show) =>
    `At most ${show(RAISE_KH_LIMITS.riseDH, 'hardness')} a day, and only with ammonia under ${show(RAISE_KH_LIMITS.tanMgL, 'concentration')}: a rising pH makes it toxic.`,
  'water-change': (show) =>
    `At most ${show(WATER_CHANGE_LIMITS.share, 'share')} of the water, ${WATER_CHANGE_LIMITS.hoursBetween} hours between changes, new water within ${show(WATER_CHANGE_LIMITS.inletStepC, 'temperatureStep')}. With ammonia in an acid pond: hard water makes it toxic, so ask the office first.`,
  salt: (show) => `The water never holds more than ${show(SALT_LIMITS.planted, 'share')} of salt with plants, ${show(SALT_LIMITS.bare, 'share')} without.`,
  'media-clean': (show) => `At most ${show(MEDIA_LIMIT_SHARE, 'share')} of the biological media while fish are in the pond, in pond water.`,
  'algae-treatment': (show) =>
    `Only somebody licensed where the law says so, only with ${show(DAWN_OXYGEN_MGL, 'concentration')} of oxygen left at dawn, never on a day of dying off.`,
  feeding: () => 'Full feed only while ammonia and nitrite stay under their watch lines; none while they stand above the act lines.',
  'deep-sludge': () => 'A smell of rotten eggs or gasping fish: stop, air on, step back.',
}
