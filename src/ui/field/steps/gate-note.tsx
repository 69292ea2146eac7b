'use client'
import { useTexts } from '@/ui/kit/texts'
import type { GateOutcome } from '@/core/visits/gates/gate'
import type { StopKind } from '@/domain/visits/step-gate'
import { gateText } from '@/messages/visits/gates'
import { useShow } from '@/ui/person-context'

interface GateNoteProps {
  readonly kind: StopKind
  readonly gate: GateOutcome
  readonly mayOverride: boolean
  readonly reason: string
  readonly onReason: (reason: string) => void
}

/** The gate before a step: safe, or stop with every reason and who may pass it. */
export function GateNote({ kind, gate, mayOverride, reason, onReason }: GateNoteProps) {
  const t = useTexts()

  const show = useShow()
  if (gate.status === 'safe')
    return (
      <p>
        <span className="verdict pass">{t('field.gateNote.safe')}</span>{' '}
        {kind === 'fish-back-safe' && gate.nh3MgL !== undefined
          ? t('field.gateNote.toxicAmmoniaNoChlorine', { nh3MgL: show(gate.nh3MgL, 'concentration') })
          : null}
      </p>
    )
  // what is only not filled in yet is asked for, not warned of
  const asked = gate.reasons.every((r) => r.code === 'needs-figure' || r.code === 'needs-answer')
  if (asked) return <p className="soft">{gate.reasons.map((r) => gateText(r, show, t)).join(' ')}</p>
  return (
    <div className="safety-note" role="alert">
      <strong>{t(`field.gateHeadings.${kind}`)}</strong>
      <ul className="mb-2 ps-3">
        {gate.reasons.map((r) => (
          <li key={`${r.code}${'product' in r ? r.product : ''}`}>{gateText(r, show, t)}</li>
        ))}
      </ul>
      {mayOverride ? (
        <label className="d-block">
          {t('field.gateNote.passStopCrewLead')}
          <input className="form-control" value={reason} onChange={(e) => onReason(e.target.value)} />
        </label>
      ) : (
        <p className="mb-0">{t('field.gateNote.onlyCrewLeadOwner')}</p>
      )}
    </div>
  )
}
