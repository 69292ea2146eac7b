'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { optionFacts, PROPOSAL_CAUTIONS } from '@/domain/proposals/proposal-facts'
import { money } from '@/domain/prices/pricing'
import type { ProposedOption } from '@/domain/proposals/proposal'
import type { PublicProposal } from '@/server/proposals/proposals'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { SitePicture } from '@/ui/drawing/site-picture'
import { BedSection } from '@/ui/drawing/bed-section'
import { useShow } from '@/ui/person-context'
import { send } from '@/ui/send'
import { BeforeAfterTable } from './before-after-table'
import { WaterOutlook } from './water-outlook'
import { WhyThisBig } from './why-this-big'
import { useSave } from '@/ui/use-save'

/** A proposal as the customer reads it, and their answer. */
export function ProposalView({ publicProposal, token }: { publicProposal: PublicProposal; token: string }) {
  const t = useTexts()

  const { content } = publicProposal
  return (
    <article className="proposal">
      <p className="firm-line">{content.firmName}</p>
      <h1>{content.title}</h1>
      <p className="soft">
        {t('proposals.proposalView.proposalValidUntil', {
          customerName: content.customerName,
          siteName: content.siteName,
          pondName: content.pondName,
          number: publicProposal.number,
          validUntil: t.longDate(publicProposal.validUntil),
        })}
      </p>
      {content.intro ? <p className="intro">{content.intro}</p> : null}
      {content.options.map((option, i) => (
        <Option key={i} publicProposal={publicProposal} option={option} index={i} />
      ))}
      <BeforeAfterTable content={content} />
      {content.outlook ? <WaterOutlook outlook={content.outlook} /> : null}
      <section className="sheet">
        <h2>{t('proposals.proposalView.goodKnow')}</h2>
        <ul className="mb-0">
          {PROPOSAL_CAUTIONS.map((caution) => (
            <li key={caution}>{t(`proposals.cautions.${caution}`)}</li>
          ))}
        </ul>
      </section>
      <Answer publicProposal={publicProposal} token={token} />
      <p>
        <a href={`/api/v1/proposal/${token}/proposal.pdf`}>{t('proposals.proposalView.proposalPdf')}</a>
      </p>
    </article>
  )
}

function Option({
  publicProposal: { content },
  option,
  index,
}: {
  publicProposal: PublicProposal
  option: ProposedOption
  index: number
}) {
  const t = useTexts()

  const show = useShow()
  const { design, result, bands } = optionFacts(content, index)
  return (
    <section className="sheet">
      <h2>
        {option.label ? `${option.label}: ` : ''}
        {option.label
          ? t(`design.filterTypeNames.${design.type}`).toLowerCase()
          : t(`design.filterTypeNames.${design.type}`)}
        , {show(result.areaM2, 'area')}
      </h2>
      <p className="price" data-testid={`price-${index}`}>
        {money(option.totalMinor, content.currency)}
      </p>
      <p className="soft">{t(`design.filterTypeWhen.${design.type}`)}</p>
      {option.why ? <p>{option.why}</p> : null}
      {design.type === 'none' ? null : <BedSection bed={design} rootShare={result.rootShare} namesBelow />}
      {design.layout && content.pond.ground ? (
        <SitePicture ground={content.pond.ground} design={design} narrow />
      ) : null}
      <WhyThisBig content={content} result={result} bands={bands} design={design} />
      <p className="soft small mb-0">
        {t('proposals.proposalView.priceTax', { taxMinor: money(option.taxMinor, content.currency) })}
      </p>
    </section>
  )
}

function Answer({ publicProposal, token }: { publicProposal: PublicProposal; token: string }) {
  const t = useTexts()

  const { content, state } = publicProposal
  const [name, setName] = useState('')
  const [note, setNote] = useState('')
  const [option, setOption] = useState(0)
  const { problem, errorOf, ask } = useSave()
  if (state !== 'sent')
    return (
      <section className="sheet" role="status">
        <h2>{state === 'accepted' ? t('proposals.proposalView.accepted') : t('proposals.proposalView.declined')}</h2>
        <p className="mb-0">
          {t('proposals.proposalView.hasYourAnswer', {
            answerName: publicProposal.answerName ?? '',
            answeredAt: publicProposal.answeredAt ? t.longDate(publicProposal.answeredAt.slice(0, 10)) : '',
            state:
              state === 'accepted' && content.options.length > 1 && publicProposal.answerOption !== null
                ? `: ${content.options[publicProposal.answerOption]!.label}`
                : '',
            firmName: content.firmName,
          })}
        </p>
      </section>
    )
  if (publicProposal.expired)
    return <p className="sheet">{t('proposals.proposalView.proposalPastDayAsk', { firmName: content.firmName })}</p>
  const answer = async (what: 'accepted' | 'declined') => {
    await ask(
      send(
        'POST',
        `/api/v1/proposal/${token}`,
        what === 'accepted' ? { answer: what, name, note, option } : { answer: what, name, note },
      ),
    )
  }
  return (
    <section className="sheet">
      <h2>{t('proposals.proposalView.yourAnswer')}</h2>
      {content.options.length > 1 ? (
        <fieldset className="mt-0 pt-0 border-0">
          <legend className="visually-hidden">{t('proposals.proposalView.whichOption')}</legend>
          {content.options.map((o, i) => (
            <label key={i} className="d-block">
              <input
                type="radio"
                className="form-check-input me-2"
                name="option"
                checked={option === i}
                onChange={() => setOption(i)}
              />
              {o.label}, {money(o.totalMinor, content.currency)}
            </label>
          ))}
        </fieldset>
      ) : null}
      <TextField
        label={t('proposals.proposalView.yourName')}
        value={name}
        autoComplete="name"
        onChange={(e) => setName(e.target.value)}
        error={errorOf('name')}
      />
      <TextField
        label={t('proposals.proposalView.noteIfYouLike')}
        value={note}
        onChange={(e) => setNote(e.target.value)}
      />
      <ProblemNote problem={problem} />
      <div className="d-flex gap-2 mt-2">
        <button type="button" className="btn btn-primary btn-lg" onClick={() => void answer('accepted')}>
          {t('proposals.proposalView.acceptProposal')}
        </button>
        <button type="button" className="btn btn-outline-secondary btn-lg" onClick={() => void answer('declined')}>
          {t('proposals.proposalView.decline')}
        </button>
      </div>
      <p className="soft small mt-2 mb-0">{t('proposals.proposalView.yourNameTimeRecorded')}</p>
    </section>
  )
}
