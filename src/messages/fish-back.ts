import type { FishBackReason } from '@/core/visits/fish-back-gate'
import type { QuantityKind } from '@/core/units/kinds'
import { READING_NAMES } from '@/domain/water/reading-names'

type Show = (value: number, kind: QuantityKind) => string

/** Why fish must wait, and what ends the wait. */
export function fishBackText(reason: FishBackReason, show: Show): string {
  switch (reason.code) {
    case 'not-tested':
      return `Test the refilled pond first. Missing: ${reason.missing.map((kind) => READING_NAMES[kind].toLowerCase()).join(', ')}.`
    case 'ammonia':
      return `Toxic ammonia is ${show(reason.nh3MgL, 'concentration')}, above ${show(reason.limitMgL, 'concentration')}. Change part of the water, do not raise pH or KH, test again.`
    case 'nitrite':
      return `Nitrite is ${show(reason.mgL, 'concentration')}, above ${show(reason.limitMgL, 'concentration')}. Change part of the water, test again.`
    case 'oxygen':
      return `Oxygen is ${show(reason.mgL, 'concentration')}; fish go back from ${show(reason.leastMgL, 'concentration')} on. Air on, test again.`
    case 'chlorine':
      return `Free chlorine is ${show(reason.mgL, 'concentration')}. Add the missing dechlorinator portion, mix ten minutes, test again.`
    case 'temperature-step':
      return `Tank and pond differ by ${show(reason.differenceC, 'number')} °C; at most ${show(reason.limitC, 'number')} °C. Mix pond water into the tank step by step, then test again.`
    case 'too-cold-or-hot':
      return `The water is ${show(reason.waterC, 'temperature')}. Fish are handled between ${show(reason.range[0], 'temperature')} and ${show(reason.range[1], 'temperature')}.`
  }
}
