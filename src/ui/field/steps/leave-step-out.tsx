'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'

/** A step is left out with a reason that somebody can read. */
export function LeaveStepOut({ onLeave }: { onLeave: (reason: string) => Promise<void> }) {
  const t = useTexts()
  const [leaving, setLeaving] = useState<string | null>(null)
  return (
    <>
      {leaving === null ? (
        <button className="btn btn-link w-100 mt-1" onClick={() => setLeaving('')}>
          {t('field.stepCard.leaveStepOut')}
        </button>
      ) : (
        <div className="mt-2">
          <label className="d-block">
            {t('field.stepCard.whyLeftOut')}
            <input className="form-control" value={leaving} onChange={(e) => setLeaving(e.target.value)} />
          </label>
          <button
            className="btn btn-outline-secondary w-100 mt-2"
            disabled={leaving.trim().length < 3}
            onClick={() => void onLeave(leaving)}
          >
            {t('field.stepCard.leaveOut')}
          </button>
        </div>
      )}
    </>
  )
}
