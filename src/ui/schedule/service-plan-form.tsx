'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { z } from 'zod'
import type { SeasonFrom } from '@/core/season/season-year'
import { VISIT_PLANNING } from '@/core/visits/types'
import {
  inSeasonOf,
  SERVICE_JOBS,
  SERVICE_TEMPLATES,
  ServicePlan,
  type ServiceLine,
} from '@/domain/schedule/service-plan'
import { monthDayIn } from '@/domain/season/season-dates'
import type { KeptServicePlan } from '@/server/schedule/planning-repository'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { jobName } from '@/messages/visits/visit-words'

const PlanBody = z.strictObject({ lines: ServicePlan })
const comesRound = (job: string): boolean => VISIT_PLANNING[job]!.timing === 'interval'
const lineOf = (job: string, seasonFrom: SeasonFrom): ServiceLine => ({
  job,
  everyDays: comesRound(job) && job !== 'plant-care' ? 28 : null,
  from: comesRound(job) ? monthDayIn('04-15', seasonFrom) : null,
  to: comesRound(job) ? monthDayIn('10-15', seasonFrom) : null,
  starts: null,
  ends: null,
  priceMinor: null,
})

/** What a customer has agreed to for a pond: visit types, how often, between which dates, at which price. */
export function ServicePlanForm({
  pondId,
  kept,
  currency,
}: {
  pondId: string
  kept: KeptServicePlan
  currency: string
}) {
  const t = useTexts()

  const [seenVersion, setSeenVersion] = useState(kept.version)
  const { values, submit, problem, saved, sending, ...form } = useSchemaForm({
    schema: PlanBody,
    values: { lines: kept.lines as readonly ServiceLine[] },
  })
  const { lines } = values
  const errorOf = (i: number, part: string) => form.errorOf(`lines.${i}.${part}`)
  const put = (next: readonly ServiceLine[]) => form.put({ lines: next })
  const change = (at: number, part: Partial<ServiceLine>) =>
    put(lines.map((line, i) => (i === at ? { ...line, ...part } : line)))
  return (
    <form
      className="sheet"
      noValidate
      onSubmit={submit(
        (body) => send('PUT', `/api/v1/ponds/${pondId}/service-plan`, { version: seenVersion, ...body }),
        () => setSeenVersion(seenVersion + 1),
      )}
    >
      {lines.length === 0 ? <p className="soft">{t('schedule.servicePlanForm.nothingAgreedYetBegin')}</p> : null}
      {lines.map((line, i) => (
        <div key={i} className="repeat-row service-line">
          <ChoiceField
            label={t('schedule.servicePlanForm.visit', { i: i + 1 })}
            value={line.job}
            disabled={!form.ready}
            onChange={(e) => change(i, { ...lineOf(e.target.value, kept.seasonFrom), priceMinor: line.priceMinor })}
            options={SERVICE_JOBS.map(({ key }) => ({ value: key, label: jobName(key, t) }))}
            error={errorOf(i, 'job')}
          />
          {comesRound(line.job) ? (
            <>
              <QuantityField
                label={t('schedule.servicePlanForm.visitEverySoMany', { i: i + 1 })}
                kind="number"
                optional={line.job === 'plant-care'}
                value={line.everyDays}
                onChange={(everyDays) => change(i, { everyDays })}
                error={errorOf(i, 'everyDays')}
              />
              <TextField
                label={t('schedule.servicePlanForm.visitFromMonthDay', { i: i + 1 })}
                value={line.from ?? ''}
                onChange={(e) => change(i, { from: e.target.value || null })}
                error={errorOf(i, 'from')}
              />
              <TextField
                label={t('schedule.servicePlanForm.visitMonthDay', { i: i + 1 })}
                value={line.to ?? ''}
                onChange={(e) => change(i, { to: e.target.value || null })}
                error={errorOf(i, 'to')}
              />
            </>
          ) : (
            <span className="soft align-self-center once">{t('schedule.servicePlanForm.onceYearPondsOwn')}</span>
          )}
          <QuantityField
            label={t('schedule.servicePlanForm.visitPrice', { i: i + 1, currency })}
            kind="number"
            value={line.priceMinor === null ? null : line.priceMinor / 100}
            onChange={(v) => change(i, { priceMinor: v === null ? null : Math.round(v * 100) })}
            error={errorOf(i, 'priceMinor')}
          />
          <TextField
            label={t('schedule.servicePlanForm.visitAgreedFrom', { i: i + 1 })}
            type="date"
            value={line.starts ?? ''}
            onChange={(e) => change(i, { starts: e.target.value || null })}
            error={errorOf(i, 'starts')}
          />
          <TextField
            label={t('schedule.servicePlanForm.visitAgreedUntil', { i: i + 1 })}
            type="date"
            value={line.ends ?? ''}
            onChange={(e) => change(i, { ends: e.target.value || null })}
            error={errorOf(i, 'ends')}
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-center"
            aria-label={t('schedule.servicePlanForm.removeVisit', { i: i + 1 })}
            onClick={() => put(lines.filter((_, n) => n !== i))}
          >
            ×
          </button>
        </div>
      ))}
      {lines.some((line) => line.job === 'plant-care' && line.everyDays === null) ? (
        <p className="soft small mb-0">{t('schedule.servicePlanForm.plantCareWithoutDays')}</p>
      ) : null}
      <div className="d-flex flex-wrap gap-2 mt-2">
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() => put([...lines, lineOf('routine', kept.seasonFrom)])}
        >
          {t('schedule.servicePlanForm.addKindVisit')}
        </button>
        {SERVICE_TEMPLATES.map((template) => (
          <button
            key={template.key}
            type="button"
            className="btn btn-sm btn-outline-secondary"
            onClick={() => put(inSeasonOf(template.lines, kept.seasonFrom))}
          >
            {t(`schedule.servicePlanTemplates.${template.key}`)}
          </button>
        ))}
      </div>
      <ProblemNote problem={problem} />
      <p role="status" className="mb-2 mt-2">
        {saved ? t('schedule.servicePlanForm.savedNextPlanReckons') : ''}
      </p>
      <button className="btn btn-primary" disabled={sending}>
        {t('schedule.servicePlanForm.saveServicePlan')}
      </button>
    </form>
  )
}
