'use client'
import type { FishBackOutcome } from '@/core/jobs/fish-back-gate'
import { fishBackText } from '@/ui/messages/fish-back'
import { useShow } from '@/ui/person-context'

interface FishBackGateNoteProps {
  readonly gate: FishBackOutcome
  readonly mayOverride: boolean
  readonly reason: string
  readonly onReason: (reason: string) => void
}

/** The gate before fish go back: safe with its figure, or stop with every reason and who may pass it. */
export function FishBackGateNote({ gate, mayOverride, reason, onReason }: FishBackGateNoteProps) {
  const show = useShow()
  if (gate.status === 'safe')
    return (
      <p>
        <span className="verdict pass">Safe</span> Toxic ammonia {show(gate.nh3MgL, 'concentration')}, no chlorine, temperatures close.
      </p>
    )
  return (
    <div className="safety-note" role="alert">
      <strong>Stop: fish stay in the tank.</strong>
      <ul className="mb-2 ps-3">
        {gate.reasons.map((r) => (
          <li key={r.code}>{fishBackText(r, show)}</li>
        ))}
      </ul>
      {mayOverride ? (
        <label className="d-block">
          To pass this stop as crew lead, say why:
          <input className="form-control" value={reason} onChange={(e) => onReason(e.target.value)} />
        </label>
      ) : (
        <p className="mb-0">Only a crew lead or the owner can pass this stop.</p>
      )}
    </div>
  )
}
