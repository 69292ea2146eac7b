import { addDays, type IsoDate } from '../../src/core/numeric/calendar'
import type { FilterDesign } from '../../src/core/filter/design-input'
import { seededRandom, type Random } from '../../src/core/numeric/random'
import { equipmentKind, type EquipmentKindKey } from '../../src/core/visits/equipment-care'
import type { PondInput } from '../../src/domain/ponds/pond'
import type { DesignId, PondId } from '../../src/domain/shared/ids'
import type { Actor } from '../../src/server/platform/auth/actor'
import { isStanding } from '../../src/domain/design/design'
import { designPage, moveDesignOn, saveDesign } from '../../src/server/design/designs'
import { addEquipment } from '../../src/server/equipment/tasks'
import { takeOverPlanting } from '../../src/server/plants/patches'
import type { DemoPond } from '../sites'

/** A pond with what was built at it some years ago. */
export interface BuiltPond extends DemoPond {
  readonly id: PondId
  readonly builtOn: IsoDate
  /** Its bed's plants are written down already. */
  readonly planted: boolean
  /** Equipment that is written down already. */
  readonly fitted: readonly EquipmentKindKey[]
  /** Its equipment was seen to as this has it. */
  readonly seed: number
}

/**
 * Beds worked out once for each kind of pond: those of a kind were built alike. Kept before they are there, so that
 * all have the bed of the first pond, whichever of several at once is sooner done.
 */
export type Beds = Map<string, Promise<FilterDesign>>

const WARRANTY_DAYS = 3 * 365
const DUE_SHARE = 1 / 8
const STOP_REASON = 'Stands and works since before the house rules were written'

/** The filter that stands at a pond, its planting, and the equipment that belongs to it. */
export async function buildFilter(owner: Actor, pond: BuiltPond, beds: Beds, today: IsoDate): Promise<void> {
  const random = seededRandom(pond.seed)
  const { bed, built } = (await standingBed(owner, pond)) ?? (await newBed(owner, pond, beds))
  // what a filter brings with it joins the register as new; these pieces are as old as the filter
  for (const [kind, name] of fittedWith(pond.pond, bed).filter(([kind]) => !pond.fitted.includes(kind)))
    await addEquipment(owner, pond.id, {
      kind,
      name,
      fittedOn: pond.builtOn,
      everyDays: equipmentKind(kind)!.everyDays,
      doneOn: lastDone(kind, pond.builtOn, today, random),
      retired: false,
      warrantyUntil: addDays(pond.builtOn, WARRANTY_DAYS),
    })
  await built()
  if (bed.planting.length > 0 && !pond.planted) await takeOverPlanting(owner, pond.id, pond.builtOn)
}

/** A bed, and how it becomes the one that stands. */
interface Drawn {
  readonly bed: FilterDesign
  readonly built: () => Promise<void>
}

/** What a story has drawn for the pond stands there, unless another version does. */
async function standingBed(owner: Actor, { id, kind, builtOn }: BuiltPond): Promise<Drawn | null> {
  if (kind !== undefined) return null
  const { designs } = await designPage(owner, id)
  const standing = designs.find((design) => isStanding(design) || design.state === 'approved')
  const drawn = standing ?? designs.at(-1)
  if (!drawn) return null
  return { bed: drawn.bed, built: async () => (standing ? undefined : build(owner, drawn.id, builtOn)) }
}

async function newBed(owner: Actor, { id, kind, builtOn }: BuiltPond, beds: Beds): Promise<Drawn> {
  const drawn = (kind === undefined ? undefined : beds.get(kind)) ?? designPage(owner, id).then(({ start }) => start)
  if (kind !== undefined) beds.set(kind, drawn)
  const bed = await drawn
  return {
    bed,
    built: async () =>
      build(owner, (await saveDesign(owner, id, { name: 'As built', bed, overrideReason: '' })).id, builtOn),
  }
}

async function build(owner: Actor, id: DesignId, builtOn: IsoDate): Promise<void> {
  await moveDesignOn(owner, id, 1, { state: 'approved', stopReason: STOP_REASON })
  await moveDesignOn(owner, id, 2, { state: 'built', asBuilt: `Built in ${builtOn.slice(0, 4)}`, builtBed: null })
}

/** Ponds so high freeze over for long enough to want a hole in the ice. */
const FREEZES_M = 300

/** What wears out at a pond with this bed. */
function fittedWith({ use, altitudeM, fish }: PondInput, bed: FilterDesign): [EquipmentKindKey, string][] {
  const manyFish = use === 'koi' || use === 'many-fish'
  const padded = bed.train.some(({ kind }) => kind === 'falls-box' || kind === 'pressurised')
  return [
    ['pump', bed.suction === null ? 'Pump in the skimmer' : 'Pump in its dry vault'],
    ...(manyFish ? ([['uv-lamp', 'Clarifier lamp']] as [EquipmentKindKey, string][]) : []),
    ...(padded ? ([['filter-pads', 'Pads of the box']] as [EquipmentKindKey, string][]) : []),
    ...(fish.length > 0 && altitudeM > FREEZES_M
      ? ([['de-icer', 'Floating de-icer']] as [EquipmentKindKey, string][])
      : []),
    ...(use === 'koi' ? ([['aerator', 'Air pump and stones']] as [EquipmentKindKey, string][]) : []),
  ]
}

/** Most were seen to within their time; one in eight is due about now. */
function lastDone(kind: EquipmentKindKey, builtOn: IsoDate, today: IsoDate, random: Random): IsoDate | null {
  const { everyDays } = equipmentKind(kind)!
  const share = random() < DUE_SHARE ? 0.97 + 0.05 * random() : 0.85 * random()
  const done = addDays(today, -Math.max(1, Math.round(everyDays * share)))
  return done > builtOn ? done : null
}
