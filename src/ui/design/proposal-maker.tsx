'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { longDate, instant } from '@/domain/shared/dates'
import { OPTION_LABELS } from '@/domain/proposals/proposal'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'
import type { DesignPageData } from './use-design'

const STATE_WORDS = {
  sent: textId('design.proposalMaker.waitsAnswer'),
  accepted: textId('design.proposalMaker.accepted'),
  declined: textId('design.proposalMaker.declined'),
  withdrawn: textId('design.proposalMaker.withdrawn'),
} as const
const VALID_DAYS = 30

/** Puts one to three saved versions before the customer; the private link is shown once. */
export function ProposalMaker({ data }: { data: DesignPageData; currency: string }) {
  const t = useTexts()

  const { pond, designs, proposals, whatIfs } = data
  const { timeZone } = usePerson()
  const router = useRouter()
  const [title, setTitle] = useState(t('design.proposalMaker.filter', { name: pond.name }))
  const [intro, setIntro] = useState('')
  const [validUntil, setValidUntil] = useState(() => addDays(new Date().toISOString().slice(0, 10), VALID_DAYS))
  const [options, setOptions] = useState<readonly { designId: string; why: string }[]>(
    designs[0] ? [{ designId: designs[0].id, why: '' }] : [],
  )
  const [whatIfId, setWhatIfId] = useState('')
  const [stopReason, setStopReason] = useState('')
  const [busy, setBusy] = useState(false)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [link, setLink] = useState<{ number: number; href: string } | null>(null)

  const linkOf = (token: string) => `${window.location.origin}/proposal/${token}`
  const make = async () => {
    setBusy(true)
    const outcome = await send<{ number: number; token: string }>('POST', `/api/v1/ponds/${pond.id}/proposals`, {
      title,
      intro,
      validUntil,
      options,
      whatIfId: whatIfId || null,
      stopReason,
    })
    setBusy(false)
    if (!outcome.ok) return setProblem(outcome.problem)
    setProblem(null)
    setLink({ number: outcome.value.number, href: linkOf(outcome.value.token) })
    router.refresh()
  }
  const act = async (id: string, number: number, action: 'withdraw' | 'renew') => {
    const outcome = await send<{ token?: string }>('POST', `/api/v1/proposals/${id}/${action}`, {})
    setProblem(outcome.ok ? null : outcome.problem)
    if (outcome.ok && outcome.value.token) setLink({ number, href: linkOf(outcome.value.token) })
    router.refresh()
  }
  const fieldError = (path: string) => problem?.fields?.find((f) => f.path === path)?.message
  return (
    <section className="sheet" aria-label={t('design.proposalMaker.proposal')}>
      <h2>{t('design.proposalMaker.proposal')}</h2>
      {designs.length === 0 ? (
        <p className="soft mb-0">{t('design.proposalMaker.saveVersionFirstProposal')}</p>
      ) : (
        <>
          <TextField
            label={t('design.proposalMaker.title')}
            value={title}
            onChange={(e) => setTitle(e.target.value)}
            error={fieldError('title')}
          />
          <label className="form-label mb-0 mt-1" htmlFor="proposal-intro">
            {t('design.proposalMaker.wordsCustomer')}
          </label>
          <textarea
            id="proposal-intro"
            className="form-control form-control-sm"
            rows={3}
            value={intro}
            onChange={(e) => setIntro(e.target.value)}
          />
          <div className="field-grid mt-1">
            <TextField
              label={t('design.proposalMaker.validUntil')}
              type="date"
              value={validUntil}
              onChange={(e) => setValidUntil(e.target.value)}
              error={fieldError('validUntil')}
            />
          </div>
          {options.map((option, i) => (
            <div key={i} className="field-grid align-items-end mt-1">
              <ChoiceField
                label={
                  options.length > 1
                    ? t('design.proposalMaker.version', { i: OPTION_LABELS[i]! })
                    : t('design.proposalMaker.versionOffered')
                }
                value={option.designId}
                onChange={(e) => setOptions(options.map((o, n) => (n === i ? { ...o, designId: e.target.value } : o)))}
                options={designs.map((d) => ({ value: d.id, label: `${d.number}: ${d.name}` }))}
                error={fieldError(`options.${i}.designId`)}
              />
              <TextField
                label={t('design.proposalMaker.whyOne')}
                value={option.why}
                onChange={(e) => setOptions(options.map((o, n) => (n === i ? { ...o, why: e.target.value } : o)))}
              />
            </div>
          ))}
          <div className="d-flex gap-2 mt-2">
            {options.length < Math.min(OPTION_LABELS.length, designs.length) ? (
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() =>
                  setOptions([
                    ...options,
                    {
                      designId: designs.find((d) => !options.some((o) => o.designId === d.id))?.id ?? designs[0]!.id,
                      why: '',
                    },
                  ])
                }
              >
                {t('design.proposalMaker.proposalAnotherVersionBeside')}
              </button>
            ) : null}
            {options.length > 1 ? (
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() => setOptions(options.slice(0, -1))}
              >
                {t('design.proposalMaker.takeLastOneOut')}
              </button>
            ) : null}
          </div>
          {whatIfs.length > 0 ? (
            <ChoiceField
              className="mt-2"
              label={t('design.proposalMaker.whatIfGoes')}
              value={whatIfId}
              onChange={(e) => setWhatIfId(e.target.value)}
              options={[
                { value: '', label: 'none' },
                ...whatIfs.map((w) => ({ value: w.id as string, label: w.name })),
              ]}
              error={fieldError('whatIfId')}
            />
          ) : (
            <p className="soft small mt-2 mb-0">{t('design.proposalMaker.whatIfKeptPond')}</p>
          )}
          {fieldError('stopReason') || stopReason ? (
            <TextField
              label={t('design.proposalMaker.whyRightAlthoughChecks')}
              value={stopReason}
              onChange={(e) => setStopReason(e.target.value)}
              error={fieldError('stopReason')}
            />
          ) : null}
          <ProblemNote problem={problem} />
          <button type="button" className="btn btn-primary mt-2" disabled={busy} onClick={() => void make()}>
            {busy ? t('design.proposalMaker.workingOut') : t('design.proposalMaker.makeProposal')}
          </button>
        </>
      )}
      {link ? (
        <p className="change-note mt-2" role="status">
          {t('design.proposalMaker.proposalSendPrivateLink', { number: link.number })}
          <br />
          <a href={link.href} data-testid="proposal-link">
            {link.href}
          </a>
        </p>
      ) : null}
      {proposals.length > 0 ? (
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
                      answeredAt: instant(p.answeredAt, timeZone),
                    })
                  : t('design.proposalMaker.validUntil2', { validUntil: longDate(p.validUntil) })}
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
      ) : null}
    </section>
  )
}
