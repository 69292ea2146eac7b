import { z } from 'zod'
import type { CleanoutQuantities } from '../../core/visits/cleanout-quantities'
import type { DurationEstimate } from '../../core/visits/duration'
import type { VisitType } from '../../core/visits/step'
import type { GateReason } from '../../core/visits/gates/gate'
import { STEP_FIGURE_NAMES } from '../../core/visits/figures'
import { READING_KINDS, type ReadingKindName } from '../../core/water/readings'
import { READING_METHODS } from '../../core/water/test-methods'
import { FISH_SPECIES_KEYS } from '../../core/fish/species'
import { calendarDay, optionalText } from '../shared/fields'
import { GEAR_KINDS, GEAR_STATES } from '../equipment/gear'
import { PATCH_PLACES, PlantLine, speciesKey } from '../plants/plants'
import { CrewId, EntryId, PhotoId, PondId, VisitId, type SiteId, type UserId } from '../shared/ids'
import { said } from '../shared/said'

/** given-up: a crew was there, or on its way, and could not do the job; it is wanted still. */
export const VISIT_STATES = ['planned', 'under-way', 'done', 'given-up', 'cancelled'] as const
export type VisitState = (typeof VISIT_STATES)[number]

/** Which state may follow which. */
const NEXT: Readonly<Record<VisitState, readonly VisitState[]>> = {
  planned: ['under-way', 'cancelled'],
  'under-way': ['done', 'given-up'],
  done: [],
  'given-up': ['under-way', 'done'],
  // a crew without signal may have begun what the office called off meanwhile: what was done counts
  cancelled: ['planned', 'under-way'],
}
export const mayBecome = (from: VisitState, to: VisitState): boolean => NEXT[from].includes(to)
/** Whether a visit keeps its crew from being elsewhere at its hours: what is over, or called off, does not. */
export const holdsHours = (state: VisitState): boolean => state === 'planned' || state === 'under-way'

export const clockTime = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: said('kit.problems.timeMustLookLike') })

/** The crew reads at most so much before a visit. */
export const VISIT_NOTE_LENGTH = 1000

export const PlanVisitInput = z.strictObject({
  pondId: PondId,
  visitType: z.string().max(40),
  day: calendarDay,
  startTime: clockTime,
  crewId: CrewId,
  note: optionalText('visits.fields.note', VISIT_NOTE_LENGTH),
  /** A cleanout over two days: the pond fills through the night, the fish go back on the next. */
  days: z.union([z.literal(1), z.literal(2)]).optional(),
})
export type PlanVisitInput = z.infer<typeof PlanVisitInput>

export const MoveVisitInput = z.strictObject({
  day: calendarDay,
  startTime: clockTime,
  crewId: CrewId,
  /** Promised to the customer: plans leave it where it is. */
  locked: z.boolean().optional(),
  version: z.int().min(1),
})

export const ArrangeInput = z.strictObject({
  moves: z
    .array(
      z.strictObject({ id: VisitId, version: z.int().min(1), day: calendarDay, startTime: clockTime, crewId: CrewId }),
    )
    .min(1)
    .max(100),
})
export type VisitMove = z.infer<typeof ArrangeInput>['moves'][number]

const ReadingValue = z.strictObject({ value: z.number(), belowStep: z.boolean().default(false) })

const ReadingsInput = z.partialRecord(
  z.enum(Object.keys(READING_KINDS) as [ReadingKindName, ...ReadingKindName[]]),
  ReadingValue,
)

/** What a step's answer can hold; every field is optional, the step's kind says which are needed. */
export const StepAnswer = z.strictObject({
  readings: ReadingsInput.optional(),
  method: z.enum(READING_METHODS).optional(),
  figures: z.partialRecord(z.enum(STEP_FIGURE_NAMES), z.number()).optional(),
  /** Code of the answer; of devices that know no codes yet its words. */
  choice: z.string().max(200).optional(),
  fish: z
    .array(z.strictObject({ species: z.enum(FISH_SPECIES_KEYS), count: z.int().min(0).max(100_000) }))
    .max(20)
    .optional(),
  losses: z.int().min(0).max(100_000).optional(),
  /** What was given, each in its product's unit. */
  doses: z
    .array(
      z.strictObject({
        productKey: z.string().max(40),
        name: z.string().max(80),
        amount: z.number().min(0).max(1e7),
        unit: z.string().max(8),
      }),
    )
    .max(20)
    .optional(),
  /** Photos of this step, which may come after its words. */
  photos: z.array(PhotoId).max(60).optional(),
  note: optionalText('visits.fields.note', 2000),
  signedBy: z.string().trim().max(80).optional(),
})
export type StepAnswer = z.infer<typeof StepAnswer>

const at = z.iso.datetime({ offset: true })
const stepKey = z.string().max(80)
/** What the device's own judgement of the gate was, from all it knew. */
const gateSeen = z.enum(['safe', 'stop']).optional()

/** How a visit ends: done, or given up for a reason. */
export const ENDINGS = ['done', 'nobody-there', 'no-access', 'weather', 'other'] as const
export type Ending = (typeof ENDINGS)[number]

/** What becomes of something that was found. */
export const FINDING_USES = ['follow-up', 'quote', 'next-season'] as const
export type FindingUse = (typeof FINDING_USES)[number]

/** One line of a visit's log. The id is made where it was written, so that sending it twice logs it once. */
export const EntryInput = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('started'), id: EntryId, at }),
  z.strictObject({
    kind: z.literal('done'),
    id: EntryId,
    stepKey,
    at,
    answer: StepAnswer,
    confirmedUnlikely: z.boolean().default(false),
    override: z.strictObject({ reason: z.string().trim().max(300) }).optional(),
    gateSeen,
    /** The answer that stood when this one was written; null when there was none. */
    replaces: EntryId.nullable().default(null),
  }),
  z.strictObject({
    kind: z.literal('skipped'),
    id: EntryId,
    stepKey,
    at,
    reason: z
      .string()
      .trim()
      .min(3, { error: said('visits.problems.giveShortReasonSkippingStep') })
      .max(300),
    gateSeen,
    replaces: EntryId.nullable().default(null),
  }),
  z.strictObject({ kind: z.literal('timer-started'), id: EntryId, stepKey, at }),
  z.strictObject({
    kind: z.literal('note'),
    id: EntryId,
    stepKey: stepKey.nullable(),
    at,
    text: z
      .string()
      .trim()
      .min(1, { error: said('visits.problems.noteEmpty') })
      .max(2000),
  }),
  z.strictObject({
    kind: z.literal('finding'),
    id: EntryId,
    stepKey: stepKey.nullable(),
    at,
    text: z
      .string()
      .trim()
      .min(3, { error: said('visits.problems.sayFewWordsWhatFound') })
      .max(300),
    becomes: z.enum(FINDING_USES),
  }),
  z.strictObject({
    kind: z.literal('part'),
    id: EntryId,
    at,
    /** The piece that was renewed; null for one that is new here. */
    equipmentId: z.uuid().nullable(),
    equipmentKind: z.string().max(40),
    name: z
      .string()
      .trim()
      .min(1, { error: said('visits.problems.namePart') })
      .max(80),
    warrantyUntil: calendarDay.nullable().default(null),
  }),
  z.strictObject({
    kind: z.literal('gear'),
    id: EntryId,
    at,
    /** What was there already; null for what is new here. */
    gearId: z.uuid().nullable(),
    gearKind: z.enum(GEAR_KINDS),
    name: z
      .string()
      .trim()
      .min(1, { error: said('visits.problems.name') })
      .max(80),
    state: z.enum(GEAR_STATES),
    place: z.string().trim().max(120).default(''),
  }),
  PlantLine.extend({
    kind: z.literal('plant'),
    id: EntryId,
    at,
    /** A group that is written down already; null for one that is new here. */
    patchId: z.uuid().nullable(),
    place: z.enum(PATCH_PLACES).default('bed'),
    species: speciesKey,
  }),
  /** A person leaves before the others. */
  z.strictObject({ kind: z.literal('left'), id: EntryId, at }),
  z
    .strictObject({
      kind: z.literal('finished'),
      id: EntryId,
      at,
      ending: z.enum(ENDINGS),
      reason: z.string().trim().max(300).default(''),
    })
    .refine(({ ending, reason }) => ending === 'done' || reason.length >= 3, {
      path: ['reason'],
      error: said('visits.problems.sayFewWordsWhatHappened'),
    }),
])
export type EntryInput = z.infer<typeof EntryInput>

export type Entry = EntryInput & {
  readonly byId: UserId
  readonly byName: string
  readonly receivedAt: string
  /** The gate said stop by what the server knew, while the device knew of no reason. */
  readonly disputed?: readonly GateReason[]
}

/** Something taken along on a visit: a follow-up, a lamp, a wish. */
export interface VisitTask {
  readonly id: string
  readonly title: string
}

/** What a visit was estimated at before anything learnt: the crew's handwork, and machines that take their time. */
export interface VisitEstimate {
  readonly handsMin: number
  readonly machineMin: number
  /** Minutes kept free after it, since its length is not known. */
  readonly spareMin: number
  /** What was said of its length when it was planned: between these in four of five cases; null of older visits. */
  readonly rangeMin: readonly [number, number] | null
}

export interface Visit {
  readonly id: VisitId
  /** The first day of the same piece of work, where this visit is its second. */
  readonly legOf?: VisitId | null
  readonly pondId: PondId
  readonly siteId: SiteId
  readonly crewId: CrewId
  readonly state: VisitState
  readonly day: string
  readonly startTime: string
  readonly plannedMinutes: number
  readonly job: VisitType
  readonly quantities: CleanoutQuantities
  readonly duration: DurationEstimate
  readonly note: string
  /** Keys of other jobs done on the same visit. */
  readonly also: readonly string[]
  readonly tasks: readonly VisitTask[]
  /** Planned handwork is so many times the plain estimate. */
  readonly learntFactor: number
  readonly estimate: VisitEstimate
  readonly startedAt: string | null
  readonly finishedAt: string | null
  readonly ending: Ending | null
  readonly endingReason: string
  readonly version: number
}

export interface VisitInContext extends Visit {
  readonly pondName: string
  readonly siteName: string
  readonly town: string
  readonly address: string
  readonly accessNotes: string
  readonly customerName: string
  readonly crewName: string
}

export interface VisitPhoto {
  readonly id: PhotoId
  readonly visitId: VisitId
  readonly stepKey: string
  readonly width: number
  readonly height: number
  readonly takenAt: string
  /** The photo from before that this one is the counterpart of. */
  readonly pairOf: PhotoId | null
  /** The photo that was drawn on. */
  readonly sketchOf: PhotoId | null
}

/** Readings taken outside a planned visit. */
export const LogReadingsInput = z.strictObject({
  readings: ReadingsInput.refine((r) => Object.keys(r).length > 0, {
    error: said('visits.problems.enterLeastOneReading'),
  }),
  method: z.enum(READING_METHODS),
  at: z.iso.datetime({ offset: true }),
  confirmedUnlikely: z.boolean().default(false),
})
export type LogReadingsInput = z.infer<typeof LogReadingsInput>
