import { judgeReading, READING_KINDS } from '@/core/water/readings'
import { readSenml, type SenmlRecord } from '@/core/water/senml'
import type { PondId } from '@/domain/shared/ids'
import type { OpenedKey } from '@/server/firm/api-key-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPonds } from '@/server/ponds/pond-repository'
import { insertProbeReadings } from '@/server/water/reading-repository'
import { firmTexts } from '@/messages/texts'

/** A probe's clock may run ahead by this. */
const AHEAD_S = 600
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

export interface ProbeAnswer {
  readonly kept: number
  /** Sent before: counted once. */
  readonly already: number
  readonly refused: readonly { readonly index: number; readonly message: string }[]
}

/**
 * Takes a pack of probe readings, late and out of order as they come; what cannot be taken is named by its place in
 * the pack.
 */
export async function takeProbeReadings(
  key: OpenedKey,
  pack: readonly SenmlRecord[],
  now: Date = new Date(),
): Promise<ProbeAnswer> {
  const nowS = now.getTime() / 1000
  const outcomes = readSenml(pack, nowS)
  const t = firmTexts()
  return inFirm(key.firmId, async (trx) => {
    const ids = new Set(
      outcomes.flatMap((o) => (o.ok && UUID.test(o.reading.pondId) ? [o.reading.pondId.toLowerCase()] : [])),
    )
    const ponds = new Set<string>((await findPonds(trx, [...ids] as PondId[])).map((p) => p.id))
    const refused: { index: number; message: string }[] = []
    const readings = outcomes.flatMap((outcome, index) => {
      const say = (message: string) => {
        refused.push({ index, message })
        return []
      }
      if (!outcome.ok) return say(outcome.message)
      const { pondId, kind, value, atS } = outcome.reading
      if (!ponds.has(pondId.toLowerCase())) return say(t('water.probes.noSuchPond', { pond: pondId }))
      if (judgeReading(kind, value) === 'impossible') {
        const [min, max] = READING_KINDS[kind].possible
        return say(t('water.probes.impossible', { kind, value, from: min, to: max }))
      }
      if (atS > nowS + AHEAD_S) return say(t('water.probes.future'))
      return [
        {
          pondId: pondId.toLowerCase() as PondId,
          kind,
          value,
          takenAt: new Date(atS * 1000).toISOString(),
          byId: key.madeBy,
        },
      ]
    })
    // the same moment twice in one pack counts once as well
    const once = [...new Map(readings.map((r) => [`${r.pondId} ${r.kind} ${r.takenAt}`, r])).values()]
    const kept = await insertProbeReadings(trx, key.firmId, once)
    return { kept, already: readings.length - kept, refused }
  })
}
