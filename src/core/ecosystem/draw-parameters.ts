import { normalDeviate, type Random } from '../numeric/random'
import {
  ECOSYSTEM_PARAMETERS,
  PARAMETER_NAMES,
  parameterValues,
  type Parameter,
  type ParameterName,
  type ParameterValues,
} from './parameters'

/** Standard normal at 95 %. */
const Z95 = 1.645

/**
 * One pond's parameters from the priors: log-normal around the default with the range as its 5–95 %, cut off a little
 * outside it.
 * @param names those that are drawn; the others keep their default
 */
export function drawParameters(random: Random, names: readonly ParameterName[] = PARAMETER_NAMES): ParameterValues {
  const changes: Partial<Record<ParameterName, number>> = {}
  for (const name of names) changes[name] = valueAt(ECOSYSTEM_PARAMETERS[name], normalDeviate(random))
  return parameterValues(changes)
}

/** A parameter's value so many standard deviations from its default; lower and upper half have spreads of their own. */
export function valueAt({ value, low, high }: Parameter, deviation: number): number {
  const cut = Math.min(1.2 * Z95, Math.max(-1.2 * Z95, deviation))
  // thetas lie close above 1: what spreads is the part above 1
  const base = value > 1 && high < 1.2 && low > 1 ? 1 : 0
  const edge = cut < 0 ? low : high
  return base + (value - base) * Math.exp((Math.abs(cut) / Z95) * Math.log((edge - base) / (value - base)))
}
