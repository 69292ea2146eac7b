'use client'
import { useState } from 'react'
import { send, type SendOutcome } from '@/ui/send'
import { useAsk } from '@/ui/use-ask'
import { useServerData } from './server-data'

/** Work that the server does by the way, as far as following it needs to know. */
interface Run {
  readonly id: string
  readonly state: string
}

interface Following<Kind extends Run> {
  /** The newest run, under way or over; null when there was none. */
  readonly latest: Kind | null
  readonly pathOf: (run: Kind) => string
  readonly everyMs: number
}

const isOpen = ({ state }: Run): boolean => state === 'queued' || state === 'running'

/** A run that is asked for, followed to its end, and stopped. */
export function useRun<Kind extends Run>({ latest, pathOf, everyMs }: Following<Kind>) {
  // undefined: the newest one holds; null: it was done with
  const [asked, setAsked] = useState<Kind | null | undefined>(undefined)
  const known = asked === undefined ? latest : asked
  const { problem, ask, errorOf } = useAsk()
  const followed = useServerData<Kind>(known && isOpen(known) ? pathOf(known) : null, {
    ...(known && { initial: known }),
    everyMs,
    until: (run) => !isOpen(run),
  })
  const run = followed.value ?? known
  return {
    run,
    underWay: run !== null && isOpen(run),
    /** It was under way when it was asked for or the page was opened, and is over now. */
    ended: known !== null && isOpen(known) && run !== null && !isOpen(run),
    problem: problem ?? followed.problem,
    errorOf,
    ask,
    /** @param first the run as it stands until the server is heard of again */
    begin: async (asking: Promise<SendOutcome<{ id: Kind['id'] }>>, first: Omit<Kind, 'id'>): Promise<void> => {
      const begun = await ask(asking)
      if (begun) setAsked({ ...first, id: begun.id } as Kind)
    },
    stop: async (method: 'POST' | 'DELETE', path: string): Promise<void> => {
      await ask(send(method, path))
    },
    drop: () => setAsked(null),
  }
}
