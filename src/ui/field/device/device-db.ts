import Dexie, { type EntityTable, type Table } from 'dexie'
import { answersByCode, imagesApart, plainNames } from './device-upgrades'
import type { FieldPerson, FieldVisit } from '@/domain/field/field-pack'
import type { ProductBook } from '@/domain/stores/product-book'
import type { ProblemBody } from '@/domain/shared/problems'
import type { EntryInput, VisitPhoto } from '@/domain/visits/visit'

/** A line of a log that the office has not taken yet. Lines go out in the order of `seq`. */
export interface WaitingLine {
  readonly seq: number
  readonly id: string
  readonly visitId: string
  readonly userId: string
  readonly entry: EntryInput
  /**
   * taken: the office has it and so has the kept log; it stays here a moment, so that views which read both never
   * miss it between the two.
   */
  readonly state: 'waiting' | 'refused' | 'taken'
  readonly problem: ProblemBody | null
  /** When the office had taken it, ms since 1970. */
  readonly takenAt?: number
}

/** A photo taken on this device; its thumbnail stays to be looked at. */
export interface DevicePhoto extends VisitPhoto {
  readonly userId: string
  readonly thumbnail: ArrayBuffer
  readonly state: 'waiting' | 'sent' | 'refused'
  readonly problem: ProblemBody | null
}

/**
 * The image of a photo that the office has not taken yet. It lies apart: lists of photos are read at every change,
 * images when they go.
 */
export interface DeviceImage {
  readonly id: string
  readonly bytes: ArrayBuffer
}

/** A picture shared to the field sheet from another app, until it is put to a visit. */
export interface SharedPicture {
  readonly id: number
  readonly bytes: ArrayBuffer
  readonly type: string
  /** ISO time at which it was shared. */
  readonly at: string
}

export interface KeptVisit extends FieldVisit {
  readonly id: string
  /** Opened by itself, not one of the person's rounds: it stays until the rounds change. */
  readonly opened: boolean
}

/** What the device knows of itself. */
export interface DeviceFacts {
  readonly key: 'device'
  readonly person: FieldPerson
  readonly today: string
  readonly products: ProductBook
  readonly packTag: string | null
  /** How far the office's clock is ahead of this device's, ms; missing or 0 where they agree. */
  readonly clockOffsetMs?: number
  /** When the office was last heard. */
  readonly heardAt: string
}

/** What a device keeps of a person's rounds, so that a day without signal is a day like any other. */
export class DeviceDb extends Dexie {
  visits!: EntityTable<KeptVisit, 'id'>
  lines!: Table<WaitingLine, number, Omit<WaitingLine, 'seq'>>
  photos!: EntityTable<DevicePhoto, 'id'>
  images!: EntityTable<DeviceImage, 'id'>
  facts!: EntityTable<DeviceFacts, 'key'>
  shared!: Table<SharedPicture, number, Omit<SharedPicture, 'id'>>

  constructor(name = 'slow-reed-field') {
    super(name)
    this.version(1).stores({
      visits: 'id',
      lines: '++seq, &id, visitId, [userId+state]',
      photos: 'id, visitId, [userId+state]',
      facts: 'key',
    })
    // visits that were kept before groups of plants and doses of other visits were: they come with the next rounds;
    // images move to a store of their own
    this.version(2).stores({ images: 'id' }).upgrade(imagesApart)
    // answers had no codes before: kept visits, their logs and what waits to be sent are brought along
    this.version(3).stores({}).upgrade(answersByCode)
    // notes and risks had other names
    this.version(4).stores({}).upgrade(plainNames)
    // pictures that come from other apps
    this.version(5).stores({ shared: '++id' })
  }
}
