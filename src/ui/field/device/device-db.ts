import Dexie, { type EntityTable, type Table } from 'dexie'
import type { FieldPerson, FieldVisit } from '@/domain/field-pack'
import type { ProductBook } from '@/domain/product-book'
import type { ProblemBody } from '@/domain/problems'
import type { EntryInput, VisitPhoto } from '@/domain/visit'

/** A line of a log that the office has not taken yet. Lines go out in the order of `seq`. */
export interface WaitingLine {
  readonly seq: number
  readonly id: string
  readonly visitId: string
  readonly userId: string
  readonly entry: EntryInput
  readonly state: 'waiting' | 'refused'
  readonly problem: ProblemBody | null
}

/** A photo taken on this device. Its image goes once the office has it; the thumbnail stays to be looked at. */
export interface DevicePhoto extends VisitPhoto {
  readonly userId: string
  readonly image: ArrayBuffer | null
  readonly thumbnail: ArrayBuffer
  readonly state: 'waiting' | 'sent' | 'refused'
  readonly problem: ProblemBody | null
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
  /** When the office was last heard. */
  readonly heardAt: string
}

/** What a device keeps of a person's rounds, so that a day without signal is a day like any other. */
export class DeviceDb extends Dexie {
  visits!: EntityTable<KeptVisit, 'id'>
  lines!: Table<WaitingLine, number, Omit<WaitingLine, 'seq'>>
  photos!: EntityTable<DevicePhoto, 'id'>
  facts!: EntityTable<DeviceFacts, 'key'>

  constructor(name = 'slow-reed-field') {
    super(name)
    this.version(1).stores({
      visits: 'id',
      lines: '++seq, &id, visitId, [userId+state]',
      photos: 'id, visitId, [userId+state]',
      facts: 'key',
    })
    // visits that were kept before groups of plants were: they come with the next rounds
    this.version(2).upgrade((trx) =>
      trx
        .table<KeptVisit>('visits')
        .toCollection()
        .modify((visit) => Object.assign(visit, { plants: visit.plants ?? [], care: visit.care ?? [] })),
    )
  }
}
