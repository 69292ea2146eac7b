'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { addDays, daysBetween } from '@/core/numeric/calendar'
import type { CleanoutQuantities } from '@/core/visits/cleanout-quantities'
import { formatNumber } from '@/core/units/format'
import { clockAfter, DAY_ENDS, endsLate, overlapping } from '@/domain/schedule/clash'
import { longDate, duration, shortDate } from '@/domain/shared/dates'
import type { planningPage } from '@/server/visits/visit-planning'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { useShow } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'

type PlanData = Awaited<ReturnType<typeof planningPage>>

/** A factor nearer to one than this changes nothing worth saying. */
const LEARNT_SAID = 0.05

/** The likeliest proposed day; among equals the one nearest the window's best. */
function bestDay(proposals: PlanData['proposals'], best: string): PlanData['proposals'][number] | null {
  const off = (day: string) => Math.abs(daysBetween(best, day))
  return [...proposals].sort((a, b) => b.likelihood - a.likelihood || off(a.day) - off(b.day))[0] ?? null
}

/** A day from the window, a crew, and what the visit asks of them. */
export function PlanForm({ data }: { data: PlanData }) {
  const t = useTexts()

  const { pond, window, proposals, crews } = data
  const router = useRouter()
  const likeliest = window && bestDay(proposals, window.best)
  const [day, setDay] = useState(likeliest?.day ?? data.today)
  const [crewId, setCrewId] = useState(crews[0]?.id ?? '')
  const [startTime, setStartTime] = useState('08:00')
  const [note, setNote] = useState('')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [busy, setBusy] = useState(false)
  const isCleanout = data.job.key === 'spring-cleanout'
  const crew = crews.find((c) => c.id === crewId)
  const [days, setDays] = useState<1 | 2 | null>(null)
  const whole = crew?.plannedMinutes ?? 0
  // a day that would run late is spread over two, unless somebody says otherwise
  const spread = crew?.twoDays ? (days ?? (endsLate({ startTime, minutes: whole }) ? 2 : 1)) : 1
  const minutes = crew?.twoDays && spread === 2 ? crew.twoDays.first : whole
  const sameDay = data.visits.filter((v) => v.crewId === crewId && v.day === day)
  const alreadyPlanned = data.visits.filter((v) => v.pondId === pond.id)
  const end = clockAfter(startTime, minutes)
  const clashing = overlapping({ startTime, minutes }, sameDay)

  const plan = async () => {
    setBusy(true)
    const outcome = await send<{ id: string }>('POST', '/api/v1/visits', {
      pondId: pond.id,
      visitType: data.job.key,
      day,
      startTime,
      crewId,
      note,
      days: spread,
    })
    setBusy(false)
    if (!outcome.ok) return setProblem(outcome.problem)
    router.push(`/rounds?day=${day}`)
  }
  return (
    <>
      <div className="page-head">
        <h1>{data.job.name}</h1>
        <ChoiceField
          label={t('season.planForm.kindVisit')}
          hideLabel
          value={data.job.key}
          onChange={(e) => router.push(`/ponds/${pond.id}/plan?job=${e.target.value}`)}
          options={data.jobs.map((job) => ({ value: job.key, label: job.name }))}
        />
        <Link href={`/ponds/${pond.id}`}>
          {pond.siteName}: {pond.name}
        </Link>
      </div>
      <form
        className="columns form-and-drawing"
        method="post"
        onSubmit={(e) => {
          e.preventDefault()
          void plan()
        }}
      >
        <div className="sheet">
          {alreadyPlanned.length > 0 ? (
            <p className="alert alert-warning py-2">
              {t('season.planForm.alreadyPlanned')}{' '}
              {alreadyPlanned
                .map((v) => t('season.planForm.on', { jobName: v.jobName, day: longDate(v.day) }))
                .join(', ')}
              .
            </p>
          ) : null}
          <fieldset className="mt-0 border-0 pt-0">
            <legend>{t('season.planForm.day')}</legend>
            {window ? (
              <p className="soft mb-2">
                {t('season.planForm.windowBestAroundShare', {
                  earliest: shortDate(window.earliest),
                  latest: shortDate(window.latest),
                  latest2: window.latest.slice(0, 4),
                  best: shortDate(window.best),
                })}
              </p>
            ) : (
              <p className="soft mb-2">{t('season.planForm.pondHasNoWindow')}</p>
            )}
            <div className="day-choice mb-2">
              {proposals.map((p) => (
                <label key={p.day}>
                  <input
                    type="radio"
                    name="proposal"
                    className="form-check-input me-1"
                    checked={day === p.day}
                    onChange={() => setDay(p.day)}
                  />
                  {shortDate(p.day)}
                  <span className="soft small d-block">
                    {t('season.planForm.years', { likelihood: Math.round(p.likelihood * 100) })}
                  </span>
                  <span className="bar-track" aria-hidden="true">
                    <span style={{ width: `${p.likelihood * 100}%` }} />
                  </span>
                </label>
              ))}
            </div>
            <TextField
              label={t('season.planForm.day')}
              type="date"
              value={day}
              min={data.today}
              onChange={(e) => setDay(e.target.value)}
            />
            {window && (day < window.earliest || day > window.latest) ? (
              <p className="small mt-1 mb-0" style={{ color: 'var(--amber)' }}>
                {t('season.planForm.dayLiesOutsideWindow')}
              </p>
            ) : null}
          </fieldset>
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
                value={crewId}
                onChange={(e) => setCrewId(e.target.value as typeof crewId)}
                options={crews.map((c) => ({
                  value: c.id,
                  label: `${c.name} (${t('season.planForm.people', { size: c.size })})`,
                }))}
              />
              <TextField
                label={t('season.planForm.start')}
                type="time"
                value={startTime}
                onChange={(e) => setStartTime(e.target.value)}
              />
            </div>
            <div className="mt-2" aria-live="polite">
              {sameDay.length === 0 ? (
                <span className="soft">{t('season.planForm.hasNothingElseDay', { name: crew?.name ?? '' })}</span>
              ) : null}
              {sameDay.map((v) => (
                <div key={v.id}>
                  {clashing.includes(v) ? (
                    <span className="verdict stop me-1">{t('season.planForm.clash')}</span>
                  ) : null}
                  {v.startTime}–{clockAfter(v.startTime, v.plannedMinutes)} {v.siteName}, {v.pondName}
                </div>
              ))}
              {crew && endsLate({ startTime, minutes }) ? (
                <div>
                  <span className="verdict look me-1">{t('season.planForm.longDay')}</span>{' '}
                  {t('season.planForm.endsAboutAfterStart', { end, dayEnds: DAY_ENDS })}
                </div>
              ) : null}
            </div>
            {crew?.twoDays ? (
              <div className="mt-2">
                <CheckField
                  label={t('season.planForm.overTwoDaysPond')}
                  checked={spread === 2}
                  onChange={(on) => setDays(on ? 2 : 1)}
                />
                {spread === 2 ? (
                  <p className="soft small mb-0">
                    {t('season.planForm.secondDayAboutSame', {
                      day: longDate(addDays(day, 1)),
                      startTime,
                      second: duration(crew.twoDays.second),
                    })}
                  </p>
                ) : null}
              </div>
            ) : null}
            <TextField
              className="mt-2"
              label={t('season.planForm.noteCrew')}
              value={note}
              onChange={(e) => setNote(e.target.value)}
            />
          </fieldset>
          <ProblemNote problem={problem} />
          <button className="btn btn-primary mt-2" disabled={busy || !crew}>
            {isCleanout ? t('season.planForm.planCleanout') : t('season.planForm.planVisit')}
          </button>
        </div>
        {crew ? (
          <div className="sheet stick">
            <h2>{t('season.planForm.about', { minutes: duration(minutes), startTime, end })}</h2>
            {Math.abs(data.learntFactor - 1) >= LEARNT_SAID ? (
              <p className="soft small">
                {t('season.planForm.plainEstimateLoggedVisits', {
                  totalMinutes: duration(crew.duration.totalMinutes),
                  learntFactor: formatNumber(data.learntFactor),
                  some: crew.duration.parts.some((p) => p.by === 'machine' && p.minutes > 0)
                    ? t('season.planForm.pumpHoseTakeTime')
                    : '',
                })}
              </p>
            ) : null}
            <table className="table table-sm">
              <tbody>
                {crew.duration.parts
                  .filter((p) => p.minutes >= 0.5)
                  .map((p) => (
                    <tr key={p.part}>
                      <th scope="row" className="fw-normal">
                        {t(`visits.partNames.${p.part}`)}
                      </th>
                      <td className="text-end">{duration(p.minutes)}</td>
                      <td style={{ width: '45%' }}>
                        <span className="bar-track d-block mt-2" aria-hidden="true">
                          <span
                            style={{
                              width: `${(p.minutes / crew.duration.totalMinutes) * 100}%`,
                              background: p.by === 'machine' ? 'var(--water-line)' : undefined,
                            }}
                          />
                        </span>
                      </td>
                    </tr>
                  ))}
              </tbody>
            </table>
            {isCleanout ? <CleanoutFigures quantities={crew.quantities} /> : null}
          </div>
        ) : null}
      </form>
    </>
  )
}

function CleanoutFigures({ quantities }: { quantities: CleanoutQuantities }) {
  const t = useTexts()

  const show = useShow()
  return (
    <>
      <dl className="figures">
        <div>
          <dt>{t('season.planForm.pumpOut')}</dt>
          <dd>{show(quantities.refillM3 + quantities.savedM3, 'volume')}</dd>
        </div>
        <div>
          <dt>{t('season.planForm.refillFromTap')}</dt>
          <dd>{show(quantities.refillM3, 'volume')}</dd>
        </div>
        <div>
          <dt>{t('season.planForm.holdingTank')}</dt>
          <dd>
            {quantities.holding.volumeM3 > 0
              ? show(quantities.holding.volumeM3, 'volume', { scale: 'small' })
              : t('season.planForm.noFish')}
          </dd>
        </div>
      </dl>
      <p className="soft small mb-0 mt-2">{t('season.planForm.greenHandsSharedCrew')}</p>
    </>
  )
}
