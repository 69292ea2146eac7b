import { firmTexts } from '@/messages/texts'
import { linerForBed } from '@/core/filter/bed/liner'
import { boundsOf } from '@/core/survey/point'
import { linerSize } from '@/core/survey/liner'
import { netTent } from '@/core/survey/net-tent'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import type { PondId } from '@/domain/shared/ids'
import { listGear } from '@/server/equipment/gear-repository'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { listDesigns } from '@/server/design/design-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond, listPonds } from '@/server/ponds/pond-repository'

export type SheetKind = 'liner' | 'underlayment' | 'net'

/** A sheet that some pond or bed asks for. */
export interface WantedSheet {
  readonly id: string
  readonly name: string
  readonly kind: SheetKind
  readonly lengthM: number
  readonly widthM: number
  /** Nets: what the pond has already, '' where nothing is written down; null for other sheets. */
  readonly there: string | null
  /** Nets: whether netting is agreed with the customer. */
  readonly agreed: boolean
}

const cm = (m: number): number => Math.ceil(m * 100 - 1e-9) / 100

/**
 * Liner and underlayment of all ponds, by the longest way over each, and of the beds of their newest designs; leaf
 * nets as tents over the ponds.
 */
export async function wantedSheets(actor: Actor): Promise<WantedSheet[]> {
  assertMay(actor, 'prices.read')
  return inFirm(actor.firmId, async (trx) => {
    const sheets: WantedSheet[] = []
    const nets = new Map<PondId, string[]>()
    for (const g of await listGear(trx))
      if (g.kind === 'net')
        nets.set(g.pondId, [
          ...(nets.get(g.pondId) ?? []),
          `${g.name}, ${firmTexts()(`equipment.gearStateNames.${g.state}`)}${g.place ? `: ${g.place}` : ''}`,
        ])
    const netted = new Set(
      (await listPlanningPonds(trx)).filter((p) => p.lines.some((line) => line.job === 'netting')).map((p) => p.pondId),
    )
    for (const { id } of await listPonds(trx)) {
      const pond = (await findPond(trx, id))!
      const { basin } = savedPondFacts(pond)
      const { minX, maxX, minY, maxY } = boundsOf(basin.outline)
      const span = { lengthM: maxX - minX, widthM: maxY - minY }
      const add = (of: 'pond' | 'bed', kind: SheetKind, name: string, size: { lengthM: number; widthM: number }) =>
        sheets.push({
          id: `${of}:${kind}:${id}`,
          kind,
          name,
          lengthM: cm(size.lengthM),
          widthM: cm(size.widthM),
          there: kind === 'net' ? (nets.get(id)?.join('; ') ?? '') : null,
          agreed: kind === 'net' && netted.has(id),
        })
      const pondName = `${pond.siteName}, ${pond.name}`
      const own = linerSize({ ...span, depthM: basin.maxDepthM })
      add('pond', 'liner', pondName, own)
      add('pond', 'underlayment', pondName, own)
      add('pond', 'net', pondName, netTent({ ...span, freeboardM: pond.freeboardM }).net)
      const [design] = await listDesigns(trx, id)
      const bed = design && linerForBed(design.bed)
      if (!bed || bed.areaM2 === 0) continue
      const bedName = firmTexts()('design.cuttingPieces.bed', { site: pond.siteName, pond: pond.name })
      add('bed', 'liner', bedName, bed)
      add('bed', 'underlayment', bedName, bed)
    }
    return sheets
  })
}
