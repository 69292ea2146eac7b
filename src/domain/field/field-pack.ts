import { DEFAULT_KIT, type CleanoutPond } from '../../core/visits/cleanout-quantities'
import { visitAmounts, type VisitAmounts } from '../../core/visits/visit-amounts'
import type { CareTask } from '../../core/plants/care-rules'
import type { ReadingKindName } from '../../core/water/readings'
import type { EarlierDose } from '../water/dosing'
import type { EquipmentDue } from '../equipment/equipment'
import type { ForecastRisks } from '../forecasts/forecast'
import type { Gear } from '../equipment/gear'
import type { PatchNow } from '../plants/plants'
import type { Preferences } from '../people/people'
import type { PondInContext } from '../ponds/pond'
import type { ProductBook } from '../stores/product-book'
import type { Role } from '../people/roles'
import type { Entry, VisitInContext, VisitPhoto } from '../visits/visit'
import { khToday, tapChloramine, tapChlorine, type GateFacts, type StepState } from '../visits/visit-progress'

/** The newest reading of a kind that was taken before this visit. */
export interface LastReading {
  readonly kind: ReadingKindName
  readonly value: number
  readonly belowStep: boolean
  readonly takenAt: string
}

/** Number of the layout of what devices are handed; raised whenever a page of an earlier program could misread it. */
export const PACK_FORMAT = 4

/** All that the field sheet needs of one visit, so that it works without signal. */
export interface FieldVisit {
  readonly visit: VisitInContext
  readonly pond: PondInContext
  readonly log: readonly Entry[]
  readonly photos: readonly VisitPhoto[]
  readonly gateFacts: GateFacts
  readonly cleanout: CleanoutPond
  readonly lastReadings: readonly LastReading[]
  /** Doses of the last days on other visits: products that must not meet are told apart by them. */
  readonly recentDoses: readonly EarlierDose[]
  readonly equipment: readonly EquipmentDue[]
  readonly gear: readonly Gear[]
  /** Groups of plants with what they ask for this year. */
  readonly plants: readonly PatchNow[]
  readonly care: readonly CareTask[]
  /** Notes that an earlier visit left for this season. */
  readonly notesForNextSeason: readonly string[]
  /** The risks that the last forecast names; null when there is none that still counts. */
  readonly forecastRisks: ForecastRisks | null
}

/** Who the device belongs to at the moment. */
export interface FieldPerson {
  readonly userId: string
  readonly name: string
  readonly role: Role
  readonly firmName: string
  readonly timeZone: string
  readonly preferences: Preferences
  readonly mayOverride: boolean
  readonly mayLog: boolean
}

/** A person's rounds, as their device keeps them. */
export interface FieldPack {
  readonly person: FieldPerson
  readonly today: string
  readonly madeAt: string
  readonly products: ProductBook
  readonly visits: readonly FieldVisit[]
}

/** The amounts of a visit by what has been tested on it so far. */
export const amountsToday = (
  { cleanout, gateFacts }: Pick<FieldVisit, 'cleanout' | 'gateFacts'>,
  states: ReadonlyMap<string, StepState>,
): VisitAmounts =>
  visitAmounts(cleanout, DEFAULT_KIT, {
    tapChlorineMgL: tapChlorine(states),
    tapChloramineMgL: tapChloramine(states),
    fill: gateFacts.fill,
    khDH: khToday(states),
    systemM3: gateFacts.systemM3,
    systemRangeM3: gateFacts.systemRangeM3,
    planted: gateFacts.planted,
    salinity: gateFacts.salinity,
  })
