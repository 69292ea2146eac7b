'use client'
import type { Evidence, RankedCause } from '@/core/diagnosis/diagnose'
import { useTexts } from '@/ui/kit/texts'

interface CauseLineProps {
  readonly ranked: RankedCause
  readonly chosen: boolean
  readonly onChoose: () => void
}

/** A cause with how likely it is, and what speaks for and against it. */
export function CauseLine({ ranked, chosen, onChoose }: CauseLineProps) {
  const t = useTexts()

  const percent = Math.round(100 * ranked.likelihood)
  return (
    <li className={chosen ? 'chosen' : ''}>
      <button type="button" className="btn btn-link p-0 text-start" aria-pressed={chosen} onClick={onChoose}>
        {t(`diagnosis.causeNames.${ranked.cause}`)}
      </button>
      <span className="likelihood" aria-hidden="true">
        <span style={{ width: `${percent}%` }} />
      </span>
      <span className="soft small">{t('diagnosis.diagnosisView.n100', { percent })}</span>
      <EvidenceWords title={t('diagnosis.diagnosisView.for')} list={ranked.for} />
      <EvidenceWords title={t('diagnosis.diagnosisView.against')} list={ranked.against} />
    </li>
  )
}

const EVIDENCE_SHOWN = 3

function EvidenceWords({ title, list }: { title: string; list: readonly Evidence[] }) {
  const t = useTexts()
  if (list.length === 0) return null
  return (
    <div className="small">
      <strong>{title}:</strong>{' '}
      {list.slice(0, EVIDENCE_SHOWN).map((e, i) => (
        <span key={e.finding}>
          {i > 0 ? ' · ' : ''}
          {t(`diagnosis.findings.${e.finding}`)}{' '}
          <em>{t(e.found ? 'diagnosis.diagnosisView.yes' : 'diagnosis.diagnosisView.no')}</em>
        </span>
      ))}
    </div>
  )
}
