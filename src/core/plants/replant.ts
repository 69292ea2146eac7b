import { coverPerPlantM2, judgePlanting, plantsFor, WANTED_COVER, type PlantingSite } from './planting'
import type { PlantCondition } from './care-rules'
import { plantSpecies, type PlantSpecies } from './species'

/** A group of plants with what was once set there. */
export interface PatchToFill {
  readonly id: string
  readonly species: string
  readonly count: number
  /** Most that ever stood here. */
  readonly planned: number
  readonly condition: PlantCondition
  readonly stored: boolean
  readonly xM: number | null
  readonly yM: number | null
}

/** Where plants are missing: at a group, or between groups of a bed that is not green enough. */
export interface PlantGap {
  readonly patchId: string | null
  readonly species: string | null
  /** Plants of its own kind that would close it; of a gap between groups its ground, m². */
  readonly missing: number
  readonly areaM2: number
}

/** Rooted pieces that are kept for planting. */
export interface Cuttings {
  readonly species: string
  readonly onHand: number
}

export interface Replanting {
  readonly patchId: string | null
  readonly species: string
  readonly count: number
  /** The same kind as stood there. */
  readonly sameKind: boolean
  readonly regulated: boolean
}

/** Of a group that has thinned out, so much is taken to be missing when nobody counted. @source house default */
const THIN_MISSES = 0.3
/**
 * Between groups of a bed, nothing that spreads more than this is set from cuttings.
 * @source trade practice: nothing aggressive near pipes, screens and lips
 */
const MILD = 1

/**
 * Where plants are missing.
 * @param patches groups of one place
 * @param site the bed they grow in; null for the pond itself, where open ground is as wanted as plants
 */
export function plantGaps(patches: readonly PatchToFill[], site: PlantingSite | null): PlantGap[] {
  const gaps = patches.flatMap((patch): PlantGap[] => {
    const species = plantSpecies(patch.species)
    if (!species || patch.stored) return []
    const notCounted = () => {
      if (patch.condition === 'bare') return patch.planned
      if (patch.condition === 'thin') return Math.ceil(patch.planned * THIN_MISSES)
      return 0
    }
    const uncounted = notCounted()
    const missing = Math.max(patch.planned - patch.count, patch.count === patch.planned ? uncounted : 0)
    return missing > 0
      ? [{ patchId: patch.id, species: patch.species, missing, areaM2: missing * coverPerPlantM2(species) }]
      : []
  })
  if (!site) return gaps
  const bed = judgePlanting(
    patches.filter((p) => !p.stored).map((p) => ({ species: p.species, count: p.count, xM: p.xM ?? 0, yM: p.yM ?? 0 })),
    site,
  )
  const open =
    (WANTED_COVER - bed.coverShare) * site.lengthM * site.widthM - gaps.reduce((sum, gap) => sum + gap.areaM2, 0)
  return open > MIN_OPEN_M2 ? [...gaps, { patchId: null, species: null, missing: 0, areaM2: open }] : gaps
}

/** Ground too small to speak of, m². */
const MIN_OPEN_M2 = 0.25

/**
 * Which kept cuttings may close which gap, the same kind first; every piece is given out once.
 * @param site the bed, whose depth and distances cuttings must suit; null for the pond, where they must like the
 * depth of what stood there
 */
export function replant(
  gaps: readonly PlantGap[],
  patches: readonly PatchToFill[],
  cuttings: readonly Cuttings[],
  site: PlantingSite | null,
): Replanting[] {
  const left = new Map(cuttings.map((c) => [c.species, Math.floor(c.onHand)]))
  return gaps.flatMap((gap) => {
    const patch = patches.find((p) => p.id === gap.patchId)
    const kinds = [...left.keys()].flatMap((key) => plantSpecies(key) ?? [])
    const fitting = kinds.filter((kind) => suits(kind, gap, patch, site)).sort((a, b) => rank(b, gap) - rank(a, gap))
    let areaM2 = gap.areaM2
    const found: Replanting[] = []
    for (const kind of fitting) {
      const wanted = kind.key === gap.species ? gap.missing : plantsFor(kind, areaM2)
      const count = Math.min(wanted, left.get(kind.key)!)
      if (count <= 0 || areaM2 <= coverPerPlantM2(kind) / 2) continue
      left.set(kind.key, left.get(kind.key)! - count)
      areaM2 -= count * coverPerPlantM2(kind)
      found.push({
        patchId: gap.patchId,
        species: kind.key,
        count,
        sameKind: kind.key === gap.species,
        regulated: kind.regulatedSomewhere,
      })
    }
    return found
  })
}

const rank = (kind: PlantSpecies, gap: PlantGap): number => {
  if (kind.key === gap.species) return 2
  if (kind.role === 'heavy') return 1
  return 0
}

function suits(kind: PlantSpecies, gap: PlantGap, patch: PatchToFill | undefined, site: PlantingSite | null): boolean {
  if (kind.key === gap.species) return true
  if (kind.aggressiveness > MILD) return false
  if (site) {
    const at = { xM: patch?.xM ?? site.lengthM / 2, yM: patch?.yM ?? site.widthM * BESIDE_THE_PIPE }
    return judgePlanting([{ species: kind.key, count: 1, ...at }], site).findings.every(
      (f) => f.problem === 'regulated',
    )
  }
  const before = gap.species ? plantSpecies(gap.species) : undefined
  return (
    before !== undefined &&
    kind.depthM[0] <= before.depthM[1] &&
    kind.depthM[1] >= before.depthM[0] &&
    kind.role === before.role
  )
}

/** Open ground of a bed is looked for here, off the pipe along its middle. */
const BESIDE_THE_PIPE = 0.85
