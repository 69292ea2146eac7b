'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Takeover } from '@/domain/schedule/takeover'
import { usePerson } from '@/ui/person-context'
import { send, type SendOutcome } from '@/ui/send'

export interface LastTakeoverProps {
  readonly takeover: Takeover
  readonly onUndone: (words: string) => void
  /** Asks the server and shows what went wrong. */
  readonly ask: <Answer>(asked: Promise<SendOutcome<Answer>>) => Promise<Answer | null>
}

const BARRED = {
  begun: textId('schedule.lastTakeover.hasBegun'),
  notified: textId('schedule.lastTakeover.toldCustomer'),
} as const

/** The plan that was taken over last, and the way back while nothing of it was done or told. */
export function LastTakeover({ takeover, onUndone, ask }: LastTakeoverProps) {
  const t = useTexts()

  const { timeZone } = usePerson()
  const router = useRouter()
  const [busy, setBusy] = useState(false)
  const { barred, visits } = takeover
  const undo = async () => {
    setBusy(true)
    const answer = await ask(send<{ undone: number }>('DELETE', `/api/v1/plans/takeovers/${takeover.id}`))
    setBusy(false)
    if (answer) onUndone(t('schedule.lastTakeover.undoneVisitsThey', { undone: answer.undone }))
    router.refresh()
  }
  return (
    <p className="d-flex flex-wrap gap-2 align-items-center mb-0 mt-2">
      <span className="soft">
        {t('schedule.lastTakeover.lastTakenOver', {
          visits,
          at: t.instant(takeover.at, timeZone),
          byName: takeover.byName,
          barred: barred
            ? t('schedule.lastTakeover.cannotUndoneAnyMore', {
                siteName: barred.siteName,
                code: t(BARRED[barred.code]),
              })
            : '',
        })}
      </span>
      {barred ? null : (
        <button type="button" className="btn btn-sm btn-outline-secondary" disabled={busy} onClick={() => void undo()}>
          {t('schedule.lastTakeover.undo')}
        </button>
      )}
    </p>
  )
}
