import type { CutPlants, PondDeed, PondEvent } from '../../core/ecosystem/events'
import { daysBetween } from '../../core/numeric/calendar'
import { coverPerPlantM2 } from '../../core/plants/planting'
import { plantSpecies, type PlantRole } from '../../core/plants/species'
import { LEAVES_KEPT } from './leaves-kept'
import type { PatchNow, PlantAction } from '../plants/plants'

/** What a visit does, but for the step that was skipped. */
type Deed = PondDeed & { readonly step?: string }

/** Nets and de-icers come off in spring; leaves are kept out by hand again. */
const WINTER_GEAR_OFF: readonly Deed[] = [
  { kind: 'net', keptShare: LEAVES_KEPT.hands, step: 'winter-gear' },
  { kind: 'ice-hole', open: false, step: 'winter-gear' },
]

/**
 * What a finished visit of each kind did to the water, for the simulator.
 * @source the kinds' own steps, usual amounts
 */
const DEEDS: Readonly<Record<string, readonly Deed[]>> = {
  'spring-cleanout': [
    ...WINTER_GEAR_OFF,
    // the floor is cleaned before the pond is filled anew: what was stirred up leaves with the old water
    { kind: 'vacuum', share: 0.85 },
    { kind: 'rinse-media', share: 0.5, water: 'pond' },
    { kind: 'pull-string-algae', share: 0.8 },
    { kind: 'water-change', fraction: 0.85, dechlorinated: true },
    { kind: 'pump', running: true },
  ],
  'spring-startup': [...WINTER_GEAR_OFF, { kind: 'pump', running: true }, { kind: 'seed-bacteria', share: 0.02 }],
  'wetland-flush': [{ kind: 'flush', share: 0.7 }],
  netting: [{ kind: 'net', keptShare: LEAVES_KEPT.net }],
  'winter-shutdown': [
    { kind: 'pump', running: false },
    { kind: 'cut', plants: 'marginals', share: 0.8 },
    { kind: 'ice-hole', open: true, step: 'deicer' },
  ],
  'winter-running': [{ kind: 'ice-hole', open: true, step: 'deicer' }],
  'winter-check': [{ kind: 'ice-hole', open: true, step: 'hole' }],
  'rescue-floor': [
    { kind: 'vacuum', share: 0.5 },
    { kind: 'water-change', fraction: 0.3, dechlorinated: true },
  ],
  'rescue-media': [{ kind: 'rinse-media', share: 0.5, water: 'pond' }],
  'rescue-rocks': [{ kind: 'vacuum', share: 0.3 }],
}

/** Middle of a working day. */
export const AT_NOON = 0.5

/** A visit that was finished, and steps of it that were skipped. */
export interface DoneVisit {
  readonly day: string
  readonly jobKey: string
  readonly skipped: readonly string[]
}

const deedsOf = ({ jobKey, skipped }: DoneVisit): PondDeed[] =>
  (DEEDS[jobKey] ?? []).flatMap(({ step, ...deed }) => (step && skipped.includes(step) ? [] : [deed as PondDeed]))

/** What stays as a visit left it until another one changes it. */
const LASTING: readonly PondDeed['kind'][] = ['pump', 'ice-hole', 'net']

/**
 * Done visits as events of a run: those of its days, and at its beginning what earlier ones had left standing: a pump
 * that is off for the winter, a de-icer, a net.
 * @param visits in the order they were done; @param from the run's first day
 */
export function eventsOfVisits(visits: readonly DoneVisit[], from: string): PondEvent[] {
  const standing = new Map<PondDeed['kind'], PondDeed>()
  for (const visit of visits)
    if (visit.day < from)
      for (const deed of deedsOf(visit)) if (LASTING.includes(deed.kind)) standing.set(deed.kind, deed)
  return [
    ...[...standing.values()].map((deed) => ({ ...deed, day: 0 }) as PondEvent),
    ...visits
      .filter(({ day }) => day >= from)
      .flatMap((visit) =>
        deedsOf(visit).map((deed) => ({ ...deed, day: daysBetween(from, visit.day) + AT_NOON }) as PondEvent),
      ),
  ]
}

/**
 * What care of a group takes off it and out of the pond, share of what stands.
 * @source trade practice, usual amounts
 */
const TAKEN_OFF: Readonly<Partial<Record<PlantAction, number>>> = {
  'cut-back': 0.8,
  lift: 1,
  thin: 0.5,
  divide: 0.3,
  'pull-back': 0.2,
  tidy: 0.15,
}
const STAND_OF: Readonly<Partial<Record<PlantRole, CutPlants>>> = {
  lily: 'lilies',
  floating: 'floating',
  oxygenator: 'submerged',
}

/**
 * The stand of the simulator that a group grows in; undefined for one it does not know, and what the group covers,
 * m².
 */
function standOf(patch: PatchNow): { readonly stand: CutPlants | undefined; readonly coverM2: number } {
  const species = plantSpecies(patch.species)
  if (!species) return { stand: undefined, coverM2: 0 }
  return {
    stand: patch.place === 'bed' ? 'marginals' : STAND_OF[species.role],
    coverM2: Math.max(1, patch.count) * coverPerPlantM2(species),
  }
}

/**
 * Care of plants as events of a run: a group's share of its stand is cut and taken away.
 * @param from the run's first day;
 * @param before a day that is no longer counted
 */
export function eventsOfPlants(patches: readonly PatchNow[], from: string, before: string): PondEvent[] {
  const standing = patches.map((patch) => ({ patch, ...standOf(patch) }))
  const whole = (of: CutPlants) => standing.reduce((sum, { stand, coverM2 }) => sum + (stand === of ? coverM2 : 0), 0)
  return standing.flatMap(({ patch, stand, coverM2 }) => {
    if (!stand) return []
    return patch.history.flatMap(({ action, day }): PondEvent[] => {
      const share = TAKEN_OFF[action]
      if (share === undefined || day < from || day >= before) return []
      return [
        { kind: 'cut', plants: stand, share: (share * coverM2) / whole(stand), day: daysBetween(from, day) + AT_NOON },
      ]
    })
  })
}
