import { assertInRange } from '../errors'
import { boundsOf, type Outline, type Point } from '../survey/point'
import { areaM2 } from '../survey/polygon'
import { apartM, inside } from './geometry'
import { objectsOf, SITE_RANGE, type SiteSurvey } from './site-survey'

/**
 * Litter of one tree and where it comes down.
 * @source 3.5 t dry litter a hectare and year of cool temperate woodland (Bray and Gorham 1964); litter falls off
 * exponentially with the distance from the crown (Ferrari and Sugita 1996); share under the crown is a house default
 */
const LITTER = { kgPerM2Year: 0.35, underCrownShare: 0.75, reachPerCrown: 1 } as const
/** Squares across a pond's longer side that litter is summed over. */
const SQUARES = 32

export interface Crown {
  readonly at: Point
  readonly crownM: number
}

/** Dry litter that comes down at a place, kg/m² a year. Over the whole plane it adds up to the tree's own. */
export function litterKgPerM2(tree: Crown, at: Point): number {
  assertInRange('crownM', tree.crownM, SITE_RANGE.crownM)
  const r = tree.crownM
  const totalKg = LITTER.kgPerM2Year * Math.PI * r ** 2
  const d = apartM(tree.at, at)
  if (d <= r) return (totalKg * LITTER.underCrownShare) / (Math.PI * r ** 2)
  const reachM = LITTER.reachPerCrown * r
  const ring = 2 * Math.PI * reachM * (r + reachM)
  return (totalKg * (1 - LITTER.underCrownShare) * Math.exp(-(d - r) / reachM)) / ring
}

/** Dry litter of the trees on a site plan that falls on a pond, kg a year. */
export function leafFallKgPerYear(survey: SiteSurvey, outline: Outline): number {
  const trees = objectsOf(survey, 'tree')
  if (trees.length === 0) return 0
  const { minX, minY, maxX, maxY } = boundsOf(outline)
  const side = Math.max(maxX - minX, maxY - minY) / SQUARES
  let [sum, squares] = [0, 0]
  for (let xM = minX + side / 2; xM < maxX; xM += side)
    for (let yM = minY + side / 2; yM < maxY; yM += side) {
      const at = { xM, yM }
      if (!inside(outline, at)) continue
      squares += 1
      sum += trees.reduce((kg, tree) => kg + litterKgPerM2(tree, at), 0)
    }
  return squares === 0 ? 0 : (sum / squares) * areaM2(outline)
}
