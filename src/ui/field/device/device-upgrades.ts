import type { Transaction } from 'dexie'
import type { VisitStep } from '@/core/visits/step'
import type { ForecastRisks } from '@/domain/forecasts/forecast'
import { upgradeEntry, upgradeVisitType } from '@/domain/visits/visit-type-upgrade'
import type { DeviceImage, DevicePhoto, KeptVisit, WaitingLine } from './device-db'

/** A visit as it was kept before notes and risks had their names of today. */
interface EarlierVisit extends KeptVisit {
  heeds?: string[]
  foretold?: { madeAt: string; worries: ForecastRisks['risks'] } | null
}

/** Kept visits get the fields that came since; images move to a store of their own. */
export async function imagesApart(trx: Transaction) {
  await trx
    .table<KeptVisit>('visits')
    .toCollection()
    .modify((visit) =>
      Object.assign(visit, {
        plants: visit.plants ?? [],
        care: visit.care ?? [],
        recentDoses: visit.recentDoses ?? [],
      }),
    )
  const photos = await trx.table<DevicePhoto & { image?: ArrayBuffer | null }>('photos').toArray()
  await trx
    .table<DeviceImage>('images')
    .bulkAdd(photos.flatMap(({ id, image }) => (image ? [{ id, bytes: image }] : [])))
  await trx
    .table('photos')
    .toCollection()
    .modify((photo) => {
      delete photo.image
    })
}

/** Kept visits, their logs and what waits to be sent get the codes of their answers. */
export async function answersByCode(trx: Transaction) {
  const steps = new Map<string, readonly VisitStep[]>()
  await trx
    .table<KeptVisit>('visits')
    .toCollection()
    .modify((kept) => {
      const job = upgradeVisitType(kept.visit.job)
      steps.set(kept.id, job.steps)
      Object.assign(kept, {
        visit: { ...kept.visit, job },
        log: kept.log.map((entry) => upgradeEntry(entry, job.steps)),
      })
    })
  await trx
    .table<WaitingLine>('lines')
    .toCollection()
    .modify((line) => {
      Object.assign(line, { entry: upgradeEntry(line.entry, steps.get(line.visitId) ?? []) })
    })
}

/** Notes and risks get the names they have today. */
export const plainNames = (trx: Transaction) =>
  trx
    .table<EarlierVisit>('visits')
    .toCollection()
    .modify((kept) => {
      const { heeds, foretold } = kept
      delete kept.heeds
      delete kept.foretold
      Object.assign(kept, {
        notesForNextSeason: heeds ?? [],
        forecastRisks: foretold ? { madeAt: foretold.madeAt, risks: foretold.worries } : null,
      })
    })
