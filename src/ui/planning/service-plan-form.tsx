'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { JOB_TYPES } from '@/core/jobs/job-types'
import { JOB_PLANNING } from '@/core/jobs/planning-facts'
import { SERVICE_TEMPLATES, type ServiceLine } from '@/domain/service-plan'
import type { KeptServicePlan } from '@/server/db/planning-repository'
import { ChoiceField } from '@/ui/components/choice-field'
import { ProblemNote } from '@/ui/components/problem-note'
import { QuantityField } from '@/ui/components/quantity-field'
import { TextField } from '@/ui/components/text-field'
import { send, type SendProblem } from '@/ui/send'

const JOBS = JOB_TYPES.map((job) => ({ value: job.key, label: job.name }))
const comesRound = (job: string): boolean => JOB_PLANNING[job].timing === 'interval'
const lineOf = (job: string): ServiceLine => ({
  job,
  everyDays: comesRound(job) ? 28 : null,
  from: comesRound(job) ? '04-15' : null,
  to: comesRound(job) ? '10-15' : null,
  priceMinor: null,
})

/** What a customer has agreed to for a pond: kinds of visits, how often, between which dates, at which price. */
export function ServicePlanForm({ pondId, kept, currency }: { pondId: string; kept: KeptServicePlan; currency: string }) {
  const router = useRouter()
  const [lines, setLines] = useState<readonly ServiceLine[]>(kept.lines)
  const [seenVersion, setSeenVersion] = useState(kept.version)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(false)
  const errorOf = (i: number, part: string) => problem?.fields?.find((f) => f.path === `lines.${i}.${part}`)?.message
  const put = (next: readonly ServiceLine[]) => {
    setSaved(false)
    setLines(next)
  }
  const change = (at: number, part: Partial<ServiceLine>) => put(lines.map((line, i) => (i === at ? { ...line, ...part } : line)))
  const save = async () => {
    const outcome = await send('PUT', `/api/v1/ponds/${pondId}/service-plan`, { version: seenVersion, lines })
    setProblem(outcome.ok ? null : outcome.problem)
    setSaved(outcome.ok)
    if (!outcome.ok) return
    setSeenVersion(seenVersion + 1)
    router.refresh()
  }
  return (
    <form
      className="sheet"
      onSubmit={(e) => {
        e.preventDefault()
        void save()
      }}
    >
      {lines.length === 0 ? <p className="soft">Nothing agreed yet. Begin from a usual plan, or add visits one by one.</p> : null}
      {lines.map((line, i) => (
        <div key={i} className="repeat-row" style={{ gridTemplateColumns: '2fr 1fr 1fr 1fr 1fr 2.4rem' }}>
          <ChoiceField
            label={`Visit ${i + 1}`}
            value={line.job}
            onChange={(e) => change(i, { ...lineOf(e.target.value), priceMinor: line.priceMinor })}
            options={JOBS}
            error={errorOf(i, 'job')}
          />
          {comesRound(line.job) ? (
            <>
              <QuantityField
                label={`Visit ${i + 1}: every so many days`}
                kind="number"
                value={line.everyDays}
                onChange={(everyDays) => change(i, { everyDays })}
                error={errorOf(i, 'everyDays')}
              />
              <TextField
                label={`Visit ${i + 1}: from, month-day`}
                value={line.from ?? ''}
                onChange={(e) => change(i, { from: e.target.value || null })}
                error={errorOf(i, 'from')}
              />
              <TextField
                label={`Visit ${i + 1}: to, month-day`}
                value={line.to ?? ''}
                onChange={(e) => change(i, { to: e.target.value || null })}
                error={errorOf(i, 'to')}
              />
            </>
          ) : (
            <span className="soft align-self-center" style={{ gridColumn: 'span 3' }}>
              once a year, in the pond’s own window
            </span>
          )}
          <QuantityField
            label={`Visit ${i + 1}: price, ${currency}`}
            kind="number"
            value={line.priceMinor === null ? null : line.priceMinor / 100}
            onChange={(v) => change(i, { priceMinor: v === null ? null : Math.round(v * 100) })}
            error={errorOf(i, 'priceMinor')}
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-center"
            aria-label={`Remove visit ${i + 1}`}
            onClick={() => put(lines.filter((_, n) => n !== i))}
          >
            ×
          </button>
        </div>
      ))}
      <div className="d-flex flex-wrap gap-2 mt-2">
        <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => put([...lines, lineOf('routine')])}>
          Add a kind of visit
        </button>
        {SERVICE_TEMPLATES.map((template) => (
          <button key={template.key} type="button" className="btn btn-sm btn-outline-secondary" onClick={() => put(template.lines)}>
            {template.name}
          </button>
        ))}
      </div>
      <ProblemNote problem={problem} />
      <p role="status" className="mb-2 mt-2">
        {saved ? 'Saved. The next plan reckons with it.' : ''}
      </p>
      <button className="btn btn-primary">Save the service plan</button>
    </form>
  )
}
