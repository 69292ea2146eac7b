import { linerForBed } from '@/core/filter/liner'
import { boundsOf } from '@/core/survey/point'
import { linerSize } from '@/core/survey/liner'
import { savedPondFacts } from '@/domain/pond-facts'
import { assertMay, type Actor } from '@/server/auth/actor'
import { listDesigns } from '@/server/db/design-repository'
import { inFirm } from '@/server/db/firm-transaction'
import { findPond, listPonds } from '@/server/db/pond-repository'

/** A sheet that some pond or bed asks for. */
export interface WantedSheet {
  readonly id: string
  readonly name: string
  readonly lengthM: number
  readonly widthM: number
}

const cm = (m: number): number => Math.ceil(m * 100 - 1e-9) / 100

/** Liners of all ponds, by the longest way over each, and of the beds of their newest designs. */
export async function wantedSheets(actor: Actor): Promise<WantedSheet[]> {
  assertMay(actor, 'prices.read')
  return inFirm(actor.firmId, async (trx) => {
    const sheets: WantedSheet[] = []
    for (const { id } of await listPonds(trx)) {
      const pond = (await findPond(trx, id))!
      const { basin } = savedPondFacts(pond)
      const { minX, maxX, minY, maxY } = boundsOf(basin.outline)
      const own = linerSize({ lengthM: maxX - minX, widthM: maxY - minY, depthM: basin.maxDepthM })
      sheets.push({ id: `pond:${id}`, name: `${pond.siteName}, ${pond.name}`, lengthM: cm(own.lengthM), widthM: cm(own.widthM) })
      const [design] = await listDesigns(trx, id)
      const bed = design && linerForBed(design.bed)
      if (bed && bed.areaM2 > 0)
        sheets.push({ id: `bed:${id}`, name: `${pond.siteName}, bed of ${pond.name}`, lengthM: cm(bed.lengthM), widthM: cm(bed.widthM) })
    }
    return sheets
  })
}
