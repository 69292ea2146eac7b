'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import type { VisitStep } from '@/core/visits/step'
import type { VisitTypeData } from '@/server/visits/own-visit-types'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { newId } from '@/ui/new-id'
import { useSave } from '@/ui/use-save'
import { StepFields } from './step-fields'
import { StepPreview } from './step-preview'
import { OwnVisitType } from '@/domain/visits/own-visit-type'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

/**
 * The steps of a visit type: reordered, reworded, added to and taken from, with the look they have at the water's
 * edge beside.
 */
export function VisitTypeEditor({ data }: { data: VisitTypeData }) {
  const t = useTexts()

  const { usual, now, mayWrite, version } = data
  const form = useSchemaForm<{ name: string; customerNote: string; steps: readonly VisitStep[] }>({
    schema: OwnVisitType,
    values: { name: now.name, customerNote: now.customerNote, steps: now.steps },
    part: 'job',
  })
  const { errorOf, field } = form
  const { steps } = form.values
  const usualAgain = useSave()
  const [at, setAt] = useState(0)
  const step = steps[at]
  const put = (next: readonly VisitStep[]) => form.put({ steps: next })
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
  const path = `/api/v1/visit-types/${data.key}`
  const keep = form.submit((job) => send('PUT', path, { version, job }))
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
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() => void usualAgain.save('PUT', path, { version, job: null })}
              >
                {t('visits.visitTypeEditor.backUsualSteps')}
              </button>
            ) : null}
            <button
              type="button"
              className="btn btn-sm btn-primary"
              disabled={form.sending}
              onClick={() => void keep()}
            >
              {t('visits.visitTypeEditor.saveSteps')}
            </button>
          </span>
        ) : null}
      </div>
      <ProblemNote problem={form.problem ?? usualAgain.problem} />
      <p role="status" className="soft mb-1">
        {form.saved || usualAgain.saved ? t('visits.visitTypeEditor.savedVisitsPlannedFrom') : ''}
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
          <TextField label={t('visits.visitTypeEditor.name')} disabled={!mayWrite} {...field('name')} />
          <TextField label={t('visits.visitTypeEditor.noteCustomer')} disabled={!mayWrite} {...field('customerNote')} />
        </section>
        <section aria-label={t('visits.visitTypeEditor.crewSees')} className="field-page">
          {step ? <StepPreview step={step} /> : null}
        </section>
      </div>
    </>
  )
}
