'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { addDays, daysBetween } from '@/core/numeric/calendar'
import { clockAfter, endsLate } from '@/domain/schedule/clash'
import { duration } from '@/domain/shared/dates'
import type { VisitPlanningData } from '@/server/visits/visit-planning'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { PlanVisitInput } from '@/domain/visits/visit'
import { jobName } from '@/messages/visits/visit-words'
import { DayChoice } from './day-choice'
import { SameDay } from './same-day'
import { VisitEstimate } from './visit-estimate'

/** The likeliest proposed day; among equals the one nearest the window's best. */
function bestDay(
  proposals: VisitPlanningData['proposals'],
  best: string,
): VisitPlanningData['proposals'][number] | null {
  const off = (day: string) => Math.abs(daysBetween(best, day))
  return [...proposals].sort((a, b) => b.likelihood - a.likelihood || off(a.day) - off(b.day))[0] ?? null
}

/** A day from the window, a crew, and what the visit asks of them. */
export function PlanForm({ data }: { data: VisitPlanningData }) {
  const t = useTexts()

  const { pond, window, proposals, crews } = data
  const router = useRouter()
  const likeliest = window && bestDay(proposals, window.best)
  // a day that would run late is spread over two, unless somebody says otherwise
  const spreadOf = (wish: { crewId: string; startTime: string; days: 1 | 2 | null }): 1 | 2 => {
    const chosen = crews.find((c) => c.id === wish.crewId)
    if (!chosen?.twoDays) return 1
    return wish.days ?? (endsLate({ startTime: wish.startTime, minutes: chosen.plannedMinutes }) ? 2 : 1)
  }
  const {
    values: { day, crewId, startTime, days },
    put,
    field,
    submit,
    problem,
    sending,
  } = useSchemaForm({
    schema: PlanVisitInput,
    values: {
      day: likeliest?.day ?? data.today,
      crewId: crews[0]?.id ?? '',
      startTime: '08:00',
      note: '',
      days: null as 1 | 2 | null,
    },
    bodyOf: (wish) => ({ ...wish, pondId: pond.id, visitType: data.job, days: spreadOf(wish) }),
  })
  const isCleanout = data.job === 'spring-cleanout'
  const crew = crews.find((c) => c.id === crewId)
  const whole = crew?.plannedMinutes ?? 0
  const spread = spreadOf({ crewId, startTime, days })
  const minutes = crew?.twoDays && spread === 2 ? crew.twoDays.first : whole
  const sameDay = data.visits.filter((v) => v.crewId === crewId && v.day === day)
  const alreadyPlanned = data.visits.filter((v) => v.pondId === pond.id)
  const end = clockAfter(startTime, minutes)

  return (
    <>
      <div className="tab-head">
        <h2>{jobName(data.job, t)}</h2>
        <ChoiceField
          label={t('season.planForm.kindVisit')}
          hideLabel
          value={data.job}
          onChange={(e) => router.push(`/ponds/${pond.id}/plan?job=${e.target.value}`)}
          options={data.jobs.map((job) => ({ value: job, label: jobName(job, t) }))}
        />
      </div>
      <form
        className="columns form-and-drawing"
        method="post"
        noValidate
        onSubmit={submit(
          (body) => send<{ id: string }>('POST', '/api/v1/visits', body),
          (_, { day }) => router.push(`/rounds?day=${day}`),
        )}
      >
        <div className="sheet">
          {alreadyPlanned.length > 0 ? (
            <p className="alert alert-warning py-2">
              {t('season.planForm.alreadyPlanned')}{' '}
              {alreadyPlanned
                .map((v) => t('season.planForm.on', { jobName: v.jobName, day: t.longDate(v.day) }))
                .join(', ')}
              .
            </p>
          ) : null}
          <DayChoice data={data} day={day} onDay={(d) => put({ day: d })} dayField={field('day')} />
          <fieldset>
            <legend>{t('season.planForm.crewTime')}</legend>
            {crews.length === 0 ? (
              <p>
                {t('season.planForm.thereNoCrewYet')} <Link href="/people">{t('season.planForm.addOne')}</Link>{' '}
                {t('season.planForm.first')}
              </p>
            ) : null}
            <div className="field-grid">
              <ChoiceField
                label={t('season.planForm.crew')}
                options={crews.map((c) => ({
                  value: c.id,
                  label: `${c.name} (${t('season.planForm.people', { size: c.size })})`,
                }))}
                {...field('crewId')}
              />
              <TextField label={t('season.planForm.start')} type="time" {...field('startTime')} />
            </div>
            <SameDay crewName={crew?.name ?? ''} sameDay={sameDay} startTime={startTime} minutes={minutes} />
            {crew?.twoDays ? (
              <div className="mt-2">
                <CheckField
                  label={t('season.planForm.overTwoDaysPond')}
                  checked={spread === 2}
                  onChange={(on) => put({ days: on ? 2 : 1 })}
                />
                {spread === 2 ? (
                  <p className="soft small mb-0">
                    {t('season.planForm.secondDayAboutSame', {
                      day: t.longDate(addDays(day, 1)),
                      startTime,
                      second: duration(crew.twoDays.second),
                    })}
                  </p>
                ) : null}
              </div>
            ) : null}
            <TextField className="mt-2" label={t('season.planForm.noteCrew')} {...field('note')} />
          </fieldset>
          <ProblemNote problem={problem} />
          <button className="btn btn-primary mt-2" disabled={sending || !crew}>
            {isCleanout ? t('season.planForm.planCleanout') : t('season.planForm.planVisit')}
          </button>
        </div>
        {crew ? (
          <VisitEstimate
            crew={crew}
            isCleanout={isCleanout}
            rangeMin={spread === 2 ? null : crew.rangeMin}
            headed={t('season.planForm.about', { minutes: duration(minutes), startTime, end })}
          />
        ) : null}
      </form>
    </>
  )
}
