'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'

interface TellArrivalProps {
  readonly visitId: string
  readonly siteName: string
  /** When the crew is expected, such as 09:40. */
  readonly time: string
  readonly late: boolean
}

/** One press tells a customer that the crew is on the way, or late. */
export function TellArrival({ visitId, siteName, time, late }: TellArrivalProps) {
  const t = useTexts()

  const { problem, ask } = useSave()
  const [told, setTold] = useState('')
  const tell = async (kind: 'on-the-way' | 'running-late') => {
    const answer = await ask(send('POST', `/api/v1/visits/${visitId}/tell`, { kind, time }))
    if (answer)
      setTold(
        kind === 'on-the-way'
          ? t('rounds.tellArrival.toldWayThereAbout', { time })
          : t('rounds.tellArrival.toldLaterAbout', { time }),
      )
  }
  return (
    <div className="no-print my-2">
      <button
        type="button"
        className="btn btn-sm btn-outline-primary me-2"
        onClick={() => void tell('on-the-way')}
        aria-label={t('rounds.tellArrival.tellWeWay', { siteName })}
      >
        {t('rounds.tellArrival.tellThemWeWay')}
      </button>
      {late ? (
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() => void tell('running-late')}
          aria-label={t('rounds.tellArrival.tellWeLate', { siteName })}
        >
          {t('rounds.tellArrival.tellThemWeLate')}
        </button>
      ) : null}
      <ProblemNote problem={problem} />
      <span role="status" className="ms-2">
        {told}
      </span>
    </div>
  )
}
