'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { OPTION_LABELS, ProposalInput } from '@/domain/proposals/proposal'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'
import { useSchemaForm } from '@/ui/use-schema-form'
import type { DesignPageData } from '@/server/design/designs'
import { MadeProposals } from './made-proposals'

const VALID_DAYS = 30

/** Puts one to three saved versions before the customer; the private link is shown once. */
export function ProposalMaker({ data }: { data: DesignPageData; currency: string }) {
  const t = useTexts()

  const { pond, designs, proposals, whatIfs } = data
  const {
    values: { options, stopReason },
    form,
    field,
    errorOf,
    put,
    submit,
    problem: refused,
    sending,
  } = useSchemaForm({
    schema: ProposalInput,
    values: {
      title: t('design.proposalMaker.filter', { name: pond.name }),
      intro: '',
      validUntil: addDays(new Date().toISOString().slice(0, 10), VALID_DAYS),
      options: (designs[0] ? [{ designId: designs[0].id, why: '' }] : []) as readonly {
        designId: string
        why: string
      }[],
      whatIfId: '',
      stopReason: '',
    },
    bodyOf: (proposal) => ({ ...proposal, whatIfId: proposal.whatIfId || null }),
  })
  const { problem: unable, ask } = useSave()
  const [link, setLink] = useState<{ number: number; href: string } | null>(null)

  const linkOf = (token: string) => `${window.location.origin}/proposal/${token}`
  const make = submit(
    (body) => send<{ number: number; token: string }>('POST', `/api/v1/ponds/${pond.id}/proposals`, body),
    ({ number, token }) => setLink({ number, href: linkOf(token) }),
  )
  const act = async (id: string, number: number, action: 'withdraw' | 'renew') => {
    const answer = await ask(send<{ token?: string }>('POST', `/api/v1/proposals/${id}/${action}`, {}))
    if (answer?.token) setLink({ number, href: linkOf(answer.token) })
  }
  return (
    <section className="sheet" aria-label={t('design.proposalMaker.proposal')}>
      <h2>{t('design.proposalMaker.proposal')}</h2>
      {designs.length === 0 ? (
        <p className="soft mb-0">{t('design.proposalMaker.saveVersionFirstProposal')}</p>
      ) : (
        <>
          <TextField label={t('design.proposalMaker.title')} {...field('title')} />
          <label className="form-label mb-0 mt-1" htmlFor="proposal-intro">
            {t('design.proposalMaker.wordsCustomer')}
          </label>
          <textarea id="proposal-intro" className="form-control form-control-sm" rows={3} {...form.register('intro')} />
          <div className="field-grid mt-1">
            <TextField label={t('design.proposalMaker.validUntil')} type="date" {...field('validUntil')} />
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
                onChange={(e) =>
                  put({ options: options.map((o, n) => (n === i ? { ...o, designId: e.target.value } : o)) })
                }
                options={designs.map((d) => ({ value: d.id, label: `${d.number}: ${d.name}` }))}
                error={errorOf(`options.${i}.designId`)}
              />
              <TextField
                label={t('design.proposalMaker.whyOne')}
                value={option.why}
                onChange={(e) => put({ options: options.map((o, n) => (n === i ? { ...o, why: e.target.value } : o)) })}
                error={errorOf(`options.${i}.why`)}
              />
            </div>
          ))}
          <div className="d-flex gap-2 mt-2">
            {options.length < Math.min(OPTION_LABELS.length, designs.length) ? (
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() =>
                  put({
                    options: [
                      ...options,
                      {
                        designId: designs.find((d) => !options.some((o) => o.designId === d.id))?.id ?? designs[0]!.id,
                        why: '',
                      },
                    ],
                  })
                }
              >
                {t('design.proposalMaker.proposalAnotherVersionBeside')}
              </button>
            ) : null}
            {options.length > 1 ? (
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() => put({ options: options.slice(0, -1) })}
              >
                {t('design.proposalMaker.takeLastOneOut')}
              </button>
            ) : null}
          </div>
          {whatIfs.length > 0 ? (
            <ChoiceField
              className="mt-2"
              label={t('design.proposalMaker.whatIfGoes')}
              options={[
                { value: '', label: t('design.proposalMaker.noWhatIf') },
                ...whatIfs.map((w) => ({ value: w.id as string, label: w.name })),
              ]}
              {...field('whatIfId')}
            />
          ) : (
            <p className="soft small mt-2 mb-0">{t('design.proposalMaker.whatIfKeptPond')}</p>
          )}
          {errorOf('stopReason') || stopReason ? (
            <TextField label={t('design.proposalMaker.whyRightAlthoughChecks')} {...field('stopReason')} />
          ) : null}
          <ProblemNote problem={refused ?? unable} />
          <button type="button" className="btn btn-primary mt-2" disabled={sending} onClick={() => void make()}>
            {sending ? t('design.proposalMaker.workingOut') : t('design.proposalMaker.makeProposal')}
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
      {proposals.length > 0 ? <MadeProposals proposals={proposals} act={act} /> : null}
    </section>
  )
}
