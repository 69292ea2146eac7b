'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useMemo } from 'react'
import { jobName } from '@/messages/visits/visit-words'
import { planRescue, type RescuePlan } from '@/core/visits/rescue-plan'
import { addDays, weekOf } from '@/core/numeric/calendar'
import { workingDay } from '@/domain/firm/firm-period'
import { remedyAmounts } from '@/domain/diagnosis/remedy-doses'
import { neglectedPond, RescueInput } from '@/domain/visits/rescue'
import { rescueTasks, stageLines } from '@/messages/visits/rescue-words'
import { remedyAmountWords } from '@/messages/water/amount-words'
import type { RescuePageData } from '@/server/visits/rescue'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useShow } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

/**
 * Plans the rescue of a neglected pond: from today's tests to dated stages with doses and stop rules, which become
 * visits.
 */
export function RescueForm({ data }: { data: RescuePageData }) {
  const t = useTexts()

  const { pond, today, periods, crews } = data
  const router = useRouter()
  const show = useShow()
  const tested = (kind: string): number | null => data.readings.find((r) => r.kind === kind)?.value ?? null
  const {
    values: input,
    put,
    field,
    control,
    submit,
    problem,
    sending,
  } = useSchemaForm({
    schema: RescueInput,
    values: {
      first: workingDay(periods)(addDays(today, 1)),
      crewId: (crews[0]?.id ?? '') as string,
      startTime: '08:00',
      tan: tested('tan'),
      nitrite: tested('nitrite'),
      ph: tested('ph'),
      khDH: tested('kh'),
      ghDH: tested('gh'),
      fillPh: data.fill.ph,
      fillKhDH: data.fill.khDH,
      oxygenMgL: tested('dissolvedOxygen'),
      hasMedia: true,
      rockSections: 1,
    },
  })
  const plan = useMemo(() => {
    if (!/^\d{4}-\d{2}-\d{2}$/.test(input.first)) return null
    return planRescue(
      neglectedPond(input, { systemM3: data.dosing.systemM3, fishKg: data.fishKg, fill: data.fill }),
      input.first,
      workingDay(periods),
      (day) => data.weeklyC?.[weekOf(day)] ?? null,
    )
  }, [data.dosing.systemM3, data.fill, data.fishKg, data.weeklyC, input, periods])
  const [binder] = useMemo(() => remedyAmounts('binder', data.dosing), [data.dosing])
  const binderAmount = binder ? remedyAmountWords(binder) : null
  return (
    <>
      <div className="tab-head">
        <h2>{t('visits.rescueForm.rescueStages')}</h2>
        <span className="soft">{t('visits.rescueForm.neverEverythingOnceKills')}</span>
      </div>
      <div className="columns form-and-drawing">
        <form
          className="sheet"
          noValidate
          onSubmit={submit(
            (body) => send<{ first: string }>('POST', `/api/v1/ponds/${pond.id}/rescue`, body),
            ({ first }) => router.push(`/rounds?day=${first}`),
          )}
        >
          <h2>{t('visits.rescueForm.testsBeforeAnythingTouched')}</h2>
          <div className="field-grid">
            <QuantityField label={t('visits.rescueForm.totalAmmoniaTan')} kind="concentration" {...control('tan')} />
            <QuantityField label={t('visits.rescueForm.nitrite')} kind="concentration" {...control('nitrite')} />
            <QuantityField label={t('visits.rescueForm.ph')} kind="ph" {...control('ph')} />
            <QuantityField label={t('visits.rescueForm.kh')} kind="hardness" {...control('khDH')} />
            <QuantityField label={t('visits.rescueForm.gh')} kind="hardness" {...control('ghDH')} />
            <QuantityField
              label={t('visits.rescueForm.dissolvedOxygen')}
              kind="concentration"
              {...control('oxygenMgL')}
            />
            <QuantityField label={t('visits.rescueForm.fillPh')} kind="ph" {...control('fillPh')} />
            <QuantityField label={t('visits.rescueForm.fillKh')} kind="hardness" {...control('fillKhDH')} />
          </div>
          <h2 className="mt-3">{t('visits.rescueForm.pond')}</h2>
          <p className="soft">
            {t('visits.rescueForm.streamsBoxesBed', {
              systemM3: show(data.dosing.systemM3, 'volume'),
              count: pond.fish.length > 0 ? t('visits.rescueForm.fish') : t('visits.rescueForm.noFishNoted'),
            })}
          </p>
          <CheckField
            label={t('visits.rescueForm.hasBiologicalMedia')}
            checked={input.hasMedia}
            onChange={(hasMedia) => put({ hasMedia })}
          />
          <QuantityField
            label={t('visits.rescueForm.sectionsRockPilesWorked')}
            kind="number"
            {...control('rockSections')}
            onChange={(v) => put({ rockSections: v === null || Number.isNaN(v) ? 0 : Math.max(0, Math.round(v)) })}
          />
          <h2 className="mt-3">{t('visits.rescueForm.whoWhen')}</h2>
          <div className="field-grid">
            <TextField label={t('visits.rescueForm.firstVisit')} type="date" min={today} {...field('first')} />
            <TextField label={t('visits.rescueForm.start')} type="time" {...field('startTime')} />
            <ChoiceField
              label={t('visits.rescueForm.crew')}
              options={crews.map((c) => ({ value: c.id, label: c.name }))}
              {...field('crewId')}
            />
          </div>
          <ProblemNote problem={problem} />
          <button className="btn btn-primary mt-2" disabled={sending || crews.length === 0 || !plan}>
            {t('visits.rescueForm.planTheseVisits')}
          </button>
        </form>
        <div>
          {plan?.missing.length ? (
            <div className="stop-note mb-2">
              {t('visits.rescueForm.notTestedTestBefore', {
                missing: plan.missing.map((m) => t(`visits.missingNames.${m}`)).join(', '),
              })}
            </div>
          ) : null}
          {plan?.airFirst ? <div className="stop-note mb-2">{t('visits.rescueForm.airFirstNoFood')}</div> : null}
          <ol className="plain-list" aria-label={t('visits.rescueForm.stages')}>
            {plan?.stages.map((stage, i) => (
              <li key={i} className="sheet">
                <h3 className="mb-1">
                  {i + 1}. {t.longDate(stage.day)}
                </h3>
                <p className="mb-1">
                  <strong>{jobName(stage.jobKey, t)}</strong>
                </p>
                <ul className="mb-0">
                  {stageLines(stage, binderAmount, t).map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              </li>
            ))}
          </ol>
          {plan ? <Beside plan={plan} binder={binderAmount} /> : null}
          {plan ? (
            <p className="soft">
              {t('visits.rescueForm.thenTestsTwoClean', {
                map: plan.finalTests.map((d) => t.longDate(d)).join(' and '),
              })}
            </p>
          ) : null}
        </div>
      </div>
    </>
  )
}

/** What becomes a follow-up beside the visits: the food stop, binder, GH and tests, each with its days. */
function Beside({ plan, binder }: { plan: RescuePlan; binder: string | null }) {
  const t = useTexts()

  const days = plan.stages.map(({ day }) => day)
  return (
    <section className="sheet" aria-label={t('visits.rescueForm.besideVisits')}>
      <h3>{t('visits.rescueForm.besideVisits')}</h3>
      <ul className="mb-0">
        {rescueTasks(plan, days, binder, t).map(({ title, dueFrom }) => (
          <li key={`${dueFrom} ${title}`}>
            {t.shortDate(dueFrom)}: {title}
          </li>
        ))}
      </ul>
    </section>
  )
}
