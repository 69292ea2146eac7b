'use client'
import type { DesignPageData } from '@/server/design/designs'
import { textId, useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'

const STATE_WORDS = {
  sent: textId('design.proposalMaker.waitsAnswer'),
  accepted: textId('design.proposalMaker.accepted'),
  declined: textId('design.proposalMaker.declined'),
  withdrawn: textId('design.proposalMaker.withdrawn'),
} as const

interface MadeProposalsProps {
  readonly proposals: DesignPageData['proposals']
  readonly act: (id: string, number: number, action: 'withdraw' | 'renew') => Promise<void>
}

/** Proposals of a pond with how they stand; one that waits can be withdrawn or have a new link. */
export function MadeProposals({ proposals, act }: MadeProposalsProps) {
  const t = useTexts()

  const { timeZone } = usePerson()
  return (
    <ul className="plain-list mt-2">
      {proposals.map((p) => (
        <li key={p.id} className="d-flex flex-wrap gap-2 align-items-baseline">
          <strong>
            {p.number}: {p.title}
          </strong>
          <span className="soft">
            {t(STATE_WORDS[p.state])}
            {p.acceptedOption ? ` (${p.acceptedOption})` : ''}
            {p.answerName && p.answeredAt
              ? t('design.proposalMaker.by', {
                  answerName: p.answerName,
                  answeredAt: t.instant(p.answeredAt, timeZone),
                })
              : t('design.proposalMaker.validUntil2', { validUntil: t.longDate(p.validUntil) })}
            {p.answerNote ? `: “${p.answerNote}”` : ''}
          </span>
          {p.state === 'sent' ? (
            <span className="ms-auto d-flex gap-2">
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() => void act(p.id, p.number, 'renew')}
              >
                {t('design.proposalMaker.newLink')}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() => void act(p.id, p.number, 'withdraw')}
              >
                {t('design.proposalMaker.withdraw')}
              </button>
            </span>
          ) : null}
        </li>
      ))}
    </ul>
  )
}
