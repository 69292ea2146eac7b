'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import type { VisitStep } from '@/core/visits/step'
import type { visitTypePage } from '@/server/visits/own-visit-types'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { newId } from '@/ui/new-id'
import { useSave } from '@/ui/use-save'
import { StepFields } from './step-fields'
import { StepPreview } from './step-preview'

type JobData = Awaited<ReturnType<typeof visitTypePage>>

/**
 * The steps of a visit type: reordered, reworded, added to and taken from, with the look they have at the water's
 * edge beside.
 */
export function VisitTypeEditor({ data }: { data: JobData }) {
  const t = useTexts()

  const { usual, now, mayWrite, version } = data
  const { problem, errorOf, save, saved, touched } = useSave('job')
  const [name, setName] = useState(now.name)
  const [customerNote, setCustomerNote] = useState(now.customerNote)
  const [steps, setSteps] = useState<readonly VisitStep[]>(now.steps)
  const [at, setAt] = useState(0)
  const step = steps[at]
  const put = (next: readonly VisitStep[]) => {
    touched()
    setSteps(next)
  }
  const move = (by: -1 | 1) => {
    const next = [...steps]
    ;[next[at], next[at + by]] = [next[at + by]!, next[at]!]
    put(next)
    setAt(at + by)
  }
  const add = () => {
    const fresh: VisitStep = {
      key: `own-${newId().slice(0, 8)}`,
      section: step?.section ?? t('visits.visitTypeEditor.work'),
      kind: 'do',
      title: t('visits.visitTypeEditor.newStep'),
    }
    put([...steps.slice(0, at + 1), fresh, ...steps.slice(at + 1)])
    setAt(at + 1)
  }
  const remove = () => {
    put(steps.filter((_, i) => i !== at))
    setAt(Math.max(0, at - 1))
  }
  const keep = (job: unknown) => save('PUT', `/api/v1/visit-types/${data.key}`, { version, job })
  return (
    <>
      <div className="page-head">
        <h1>{now.name}</h1>
        <Link href="/visit-types">{t('visits.visitTypeEditor.allKindsVisits')}</Link>
        {data.own ? (
          <span className="verdict pass">{t('visits.visitTypeEditor.yourOwnVersion', { version })}</span>
        ) : (
          <span className="soft">{t('visits.visitTypeEditor.usualSteps')}</span>
        )}
        {mayWrite ? (
          <span className="actions">
            {data.own ? (
              <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => void keep(null)}>
                {t('visits.visitTypeEditor.backUsualSteps')}
              </button>
            ) : null}
            <button
              type="button"
              className="btn btn-sm btn-primary"
              onClick={() => void keep({ name, customerNote, steps })}
            >
              {t('visits.visitTypeEditor.saveSteps')}
            </button>
          </span>
        ) : null}
      </div>
      <ProblemNote problem={problem} />
      <p role="status" className="soft mb-1">
        {saved ? t('visits.visitTypeEditor.savedVisitsPlannedFrom') : ''}
      </p>
      <div className="job-columns">
        <section className="sheet" aria-label={t('visits.visitTypeEditor.steps')}>
          <ol className="job-steps">
            {steps.map((s, i) => (
              <li key={s.key}>
                {i === 0 || steps[i - 1]!.section !== s.section ? (
                  <div className="soft small mt-2">{s.section}</div>
                ) : null}
                <button
                  type="button"
                  className={`btn text-start w-100 ${i === at ? 'governs' : ''}`}
                  aria-pressed={i === at}
                  onClick={() => setAt(i)}
                >
                  {s.title}
                </button>
              </li>
            ))}
          </ol>
          {mayWrite ? (
            <div className="d-flex gap-2 flex-wrap mt-2">
              <button type="button" className="btn btn-sm btn-outline-primary" onClick={add}>
                {t('visits.visitTypeEditor.addStepHere')}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                disabled={at === 0}
                onClick={() => move(-1)}
              >
                {t('visits.visitTypeEditor.up')}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                disabled={at >= steps.length - 1}
                onClick={() => move(1)}
              >
                {t('visits.visitTypeEditor.down')}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-outline-danger"
                disabled={steps.length < 2}
                onClick={remove}
              >
                {t('visits.visitTypeEditor.takeOut')}
              </button>
            </div>
          ) : null}
        </section>
        <section className="sheet" aria-label={t('visits.visitTypeEditor.chosenStep')}>
          {step ? (
            <StepFields
              key={step.key}
              step={step}
              locked={!mayWrite}
              usual={usual.steps.find((s) => s.key === step.key)}
              errorOf={(path) => errorOf(`steps.${at}.${path}`)}
              onChange={(part) => put(steps.map((s, i) => (i === at ? { ...s, ...part } : s)))}
            />
          ) : null}
          <h2 className="mt-3">{t('visits.visitTypeEditor.visit')}</h2>
          <TextField
            label={t('visits.visitTypeEditor.name')}
            value={name}
            disabled={!mayWrite}
            error={errorOf('name')}
            onChange={(e) => {
              touched()
              setName(e.target.value)
            }}
          />
          <TextField
            label={t('visits.visitTypeEditor.noteCustomer')}
            value={customerNote}
            disabled={!mayWrite}
            error={errorOf('customerNote')}
            onChange={(e) => {
              touched()
              setCustomerNote(e.target.value)
            }}
          />
        </section>
        <section aria-label={t('visits.visitTypeEditor.crewSees')} className="field-page">
          {step ? <StepPreview step={step} /> : null}
        </section>
      </div>
    </>
  )
}
