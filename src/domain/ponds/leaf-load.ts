import { leafFallKgPerYear } from '../../core/site-plan/leaf-fall'
import { objectsOf } from '../../core/site-plan/site-survey'
import { apartM, nearestOn, inside } from '../../core/site-plan/geometry'
import type { Basin } from '../../core/survey/basin'
import { TREE_EFFECT, type Pond } from './pond'

/**
 * Dry leaf litter that falls on a pond, kg a year: of the trees on its site plan beside what blows in anywhere, or by
 * eye while no tree is marked.
 */
export function leafLoadKgPerYear(
  { trees, siteSurvey }: Pick<Pond, 'trees' | 'siteSurvey'>,
  { outline, areaM2 }: Pick<Basin, 'outline' | 'areaM2'>,
): number {
  if (objectsOf(siteSurvey, 'tree').length === 0) return TREE_EFFECT[trees].leafKgPerM2Year * areaM2
  return TREE_EFFECT.none.leafKgPerM2Year * areaM2 + leafFallKgPerYear(siteSurvey, outline)
}

/** Whether a crown reaches over the water; by eye while no tree is marked. */
export function treesOverhang(
  { trees, siteSurvey }: Pick<Pond, 'trees' | 'siteSurvey'>,
  { outline }: Pick<Basin, 'outline'>,
): boolean {
  const marked = objectsOf(siteSurvey, 'tree')
  if (marked.length === 0) return trees === 'many'
  return marked.some(({ at, crownM }) => inside(outline, at) || apartM(at, nearestOn(outline, true, at)) < crownM)
}
