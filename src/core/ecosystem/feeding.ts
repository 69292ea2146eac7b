import { takesOfMeal } from '../fish/health'
import { rationShare } from '../fish/load'
import type { Environment } from './environment'
import type { ParameterValues } from './parameters'
import type { Running } from './running'
import { STATE } from './states'
import type { EcoGuests } from './guests'
import { unionisedShare } from './unionised-share'

/** Part of their appetite's ration that keeps fish from searching the pond for food. @source house default */
const CONTENT = 0.4

/**
 * What is given and what of it is eaten, for the hours of a step: by the water's warmth, by an appetite that comes
 * back slowly after a fast, and by water in which fish leave their food. What they leave is thrown in only in part:
 * who feeds sees it float.
 * @param days length of the step
 * @param thrownGPerD feed of visitors, whatever the fish want
 */
export function feed(
  env: Environment,
  running: Running,
  y: Float64Array,
  p: ParameterValues,
  days: number,
  thrownGPerD = 0,
): void {
  const full = running.fishMassKg * 1000 * rationShare(running.waterC)
  const ration = running.waterC >= running.feedFromC ? full : 0
  const change = days / p.appetiteReturns
  running.appetite = Math.min(1, Math.max(0, running.appetite + (ration > 0 ? change : -change / 2)))
  env.feedProtein =
    running.lowProteinBelowC !== null && running.waterC < running.lowProteinBelowC
      ? running.protein / 2
      : running.protein
  const hungry = ration * running.appetite
  if (hungry === 0) {
    env.feedEatenGPerD = 0
    env.feedLeftGPerD = thrownGPerD
    env.fishHunger = 0
    return
  }
  const takes = takesOfMeal({
    oxygen: y[STATE.oxygen]! * env.perM3,
    nh3: y[STATE.tan]! * env.perM3 * unionisedShare(env.ph, running.waterC),
    nitrite: y[STATE.nitrite]! * env.perM3,
    saltMgL: y[STATE.salt]! * env.perM3,
    chlorine: 0,
    tempC: running.waterC,
  })
  const given = hungry * running.feedFactor * (takes + (1 - takes) * p.keeperGoesOn) + thrownGPerD
  env.feedEatenGPerD = Math.min(given, hungry * p.strayFeedRoom * takes)
  env.feedLeftGPerD = given - env.feedEatenGPerD
  env.fishHunger = running.appetite * Math.max(0, 1 - env.feedEatenGPerD / (CONTENT * hungry))
}

/** What animals and bathers bring in the hours of a step. */
export function visit(env: Environment, waterC: number, guests: EcoGuests): void {
  const bathe = waterC >= guests.bathingFromC ? 1 : 0
  env.guestNitrogenGPerD = guests.nitrogenGPerD + bathe * guests.bathingNitrogenGPerD
  env.guestPhosphorusGPerD = guests.phosphorusGPerD + bathe * guests.bathingPhosphorusGPerD
}
