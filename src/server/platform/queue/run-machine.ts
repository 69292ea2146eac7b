import type { Knex } from 'knex'
import type { FirmId } from '@/domain/shared/ids'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { logger } from '@/server/platform/logger'
import { lostRows } from './lost'
import { beatRun, claimRun, finishRun, requeueRun, type RunColumns } from './run-rows'

const BEAT_MS = 1000
/** A run not heard of for so long has lost its worker. */
const STALE_S = 12

export interface RunKind<Id extends string> {
  /** The table of its runs, with the columns of `run-rows.ts`; `door_lost_<table>` finds those that nobody works on. */
  readonly table: string
  /** Puts the job that takes a run up into its queue. */
  readonly send: (trx: Knex.Transaction, firmId: FirmId, id: Id) => Promise<void>
  /** What people read when the work broke off. */
  readonly brokeOff: string
}

/** What work under way is told, and tells. */
export interface RunUnderWay {
  /** Aborted when somebody asks for an end: what is known so far counts. */
  readonly stop: AbortSignal
  /** Aborted when this process ends: another worker takes the run up, nothing more is written here. */
  readonly handBack: AbortSignal
  /** What each sign of life writes of its progress. */
  readonly reports: (progress: () => RunColumns) => void
}

export interface RunEnd {
  readonly state: 'done' | 'stopped'
  readonly columns: RunColumns
}

export interface RunMachine<Id extends string> {
  /**
   * Claims a run, works while beating, writes what came of it. Safe to be called twice: only one claim succeeds.
   * The claim has a transaction of its own, so that beats are seen while a large firm is still being read.
   */
  readonly perform: (firmId: FirmId, id: Id, work: (run: RunUnderWay) => Promise<RunEnd>) => Promise<void>
  /** Puts runs whose worker died, or whose job was lost, back into the queue. @returns how many */
  readonly revive: (olderThanS?: number) => Promise<number>
  /** Hands everything under way in this process back to the queue, for another worker. */
  readonly handBack: () => Promise<void>
}

/** The one way to do long work from the queue: claimed, beating, stoppable, taken up again by another worker. */
export function runMachine<Id extends string>({ table, send, brokeOff }: RunKind<Id>): RunMachine<Id> {
  const underWay = new Map<Id, { readonly firmId: FirmId; readonly handBack: AbortController }>()

  const backToQueue = (firmId: FirmId, id: Id): Promise<void> =>
    inFirm(firmId, async (trx) => {
      if (await requeueRun(trx, table, id)) await send(trx, firmId, id)
    })

  return {
    perform: async (firmId, id, work) => {
      if (!(await inFirm(firmId, (trx) => claimRun(trx, table, id)))) return
      const [stop, handBack] = [new AbortController(), new AbortController()]
      let progress = (): RunColumns => ({})
      underWay.set(id, { firmId, handBack })
      const beat = () =>
        inFirm(firmId, (trx) => beatRun(trx, table, id, progress())).then(
          (asked) => {
            if (asked) stop.abort()
          },
          (error: unknown) => logger.warn({ reason: (error as Error).message, table, id }, 'a run could not beat'),
        )
      const beating = setInterval(() => void beat(), BEAT_MS)
      try {
        const end = await work({ stop: stop.signal, handBack: handBack.signal, reports: (of) => (progress = of) })
        if (!handBack.signal.aborted) await inFirm(firmId, (trx) => finishRun(trx, table, id, end.state, end.columns))
      } catch (error) {
        // handed back to the queue: the next worker answers for it
        if (handBack.signal.aborted) return
        logger.error({ reason: (error as Error).message, table, id }, 'a run failed')
        await inFirm(firmId, (trx) => finishRun(trx, table, id, 'failed', {}, brokeOff))
      } finally {
        clearInterval(beating)
        underWay.delete(id)
      }
    },
    revive: async (olderThanS = STALE_S) => {
      const lost = await lostRows<Id>(table, olderThanS)
      for (const { id, firmId } of lost) await backToQueue(firmId, id)
      return lost.length
    },
    handBack: async () => {
      for (const [id, { firmId, handBack }] of [...underWay]) {
        handBack.abort()
        await backToQueue(firmId, id)
      }
    },
  }
}
