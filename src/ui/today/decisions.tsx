'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { ammoniaWords } from '@/messages/water/ammonia-words'
import { readingQuantity } from '@/domain/water/reading-names'
import { may } from '@/domain/people/roles'
import { fieldHref } from '@/domain/field/field-href'
import type { TodayPageData } from '@/server/today/today'
import { RiskLines } from '@/ui/forecasts/risk-lines'
import { usePerson, useShow } from '@/ui/person-context'
import { FewFirst } from './few-first'

/** Ponds that a test or a forecast says something bad of, the worst first. */
export function AtRisk({ data }: { data: TodayPageData }) {
  const t = useTexts()
  const { role } = usePerson()
  return (
    <section className="sheet">
      <h2>
        {t('today.todayView.pondsRiskUs', {
          concernCount: data.concernCount > 0 ? ` (${data.concernCount})` : '',
        })}
      </h2>
      <Concerns data={data} />
      {data.risks.length > 0 ? (
        <>
          <h3 className="mt-3">{t('today.todayView.comingThreeWeeks')}</h3>
          <RiskLines lines={data.risks} mayPlan={may(role, 'visits.plan')} />
        </>
      ) : null}
      <Link href="/forecasts">{t('today.todayView.allForecasts')}</Link>
    </section>
  )
}

function Concerns({ data }: { data: TodayPageData }) {
  const t = useTexts()

  const show = useShow()
  const { timeZone, preferences } = usePerson()
  if (data.concerns.length === 0) return <p className="soft mb-0">{t('today.todayView.noTestLastWeeks')}</p>
  return (
    <ul className="plain-list">
      {data.concerns.map((c) => (
        <li key={c.pondId}>
          <span className={`verdict ${c.band} me-1`}>{t(`water.bandNames.${c.band}`)}</span>
          <PondToVisit at={c} />
          <div className="soft small">
            {t(`water.readingNames.${c.kind}`)} {show(c.value, readingQuantity(c.kind))}
            {c.kind === 'tan' ? `, ${ammoniaWords(c, preferences.units, t)}` : ''}, {t.instant(c.takenAt, timeZone)}
          </div>
        </li>
      ))}
    </ul>
  )
}

/** What customers ask for, the urgent first. */
export function Requests({ data: { requests } }: { data: TodayPageData }) {
  const t = useTexts()

  if (requests.count === 0) return null
  return (
    <section className="sheet">
      <h2>{t('today.todayView.customersRequests', { count: requests.count })}</h2>
      <ul className="plain-list">
        {requests.lines.map((r) => (
          <li key={r.id}>
            {r.urgent ? <span className="verdict emergency me-1">{t('today.todayView.urgent')}</span> : null}
            <PondToVisit at={r} />
            <div className="soft small">{t('today.todayView.by', { title: r.title, dueTo: t.shortDate(r.dueTo) })}</div>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Visits of past days of which nobody has said how they ended. */
export function Unlogged({ data: { unlogged } }: { data: TodayPageData }) {
  const t = useTexts()

  if (unlogged.count === 0) return null
  return (
    <section className="sheet">
      <h2>{t('today.todayView.visitsNeverLogged', { count: unlogged.count })}</h2>
      <ul className="plain-list">
        {unlogged.lines.map((v) => (
          <li key={v.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <span>{t.shortDate(v.day)}</span>
            <strong>{v.crewName}</strong>
            <Link href={fieldHref(v.id)}>
              {v.jobName}: {v.siteName}, {v.pondName}
            </Link>
            <span className="soft">{t(`visits.visitStateNames.${v.state}`)}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What customers answered to proposals. */
export function Answers({ data: { answers } }: { data: TodayPageData }) {
  const t = useTexts()

  if (answers.length === 0) return null
  return (
    <section className="sheet">
      <h2>{t('today.todayView.answersProposals', { count: answers.length })}</h2>
      <ul className="plain-list">
        {answers.map((a) => (
          <li key={a.id}>
            <span className={`verdict ${a.state === 'accepted' ? 'pass' : 'look'} me-1`}>
              {a.state === 'accepted' ? t('today.todayView.accepted') : t('today.todayView.declined')}
            </span>
            <Link href={`/ponds/${a.pondId}/design?part=price`}>
              {a.siteName}: {a.title}
            </Link>
            <div className="soft small">
              {t('today.todayView.made', {
                option: a.option ? t('today.todayView.option', { option: a.option }) : t('today.todayView.by2'),
                answerName: a.answerName,
                answeredAt: t.shortDate(a.answeredAt.slice(0, 10)),
                madeByName: a.madeByName,
              })}
            </div>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What was to be looked at again by now or soon, what has waited longest first. */
export function FollowUps({ data }: { data: TodayPageData }) {
  const t = useTexts()
  return (
    <section className="sheet">
      <h2>
        {t('today.todayView.followUps', {
          followUpCount: data.followUpCount > 0 ? ` (${data.followUpCount})` : '',
        })}
      </h2>
      {data.followUps.length === 0 ? <p className="soft mb-0">{t('today.todayView.noneDue')}</p> : null}
      <FewFirst
        items={data.followUps}
        line={(f) => (
          <li key={f.id}>
            {f.dueTo < data.today ? <span className="verdict stop me-1">{t('today.todayView.late')}</span> : null}
            <PondToVisit at={f} />
            <div className="soft small">
              {f.title} · {t.shortDate(f.dueFrom)} – {t.shortDate(f.dueTo)}
            </div>
          </li>
        )}
      />
    </section>
  )
}

/** A pond that something is to be done about; for whoever plans, the way to a visit there. */
function PondToVisit({
  at,
}: {
  at: { readonly pondId: string; readonly pondName: string; readonly siteName: string }
}) {
  const t = useTexts()
  const { role } = usePerson()
  return (
    <>
      <Link href={`/ponds/${at.pondId}`}>
        {at.siteName}: {at.pondName}
      </Link>
      {may(role, 'visits.plan') ? (
        <Link
          className="ms-2 small"
          href={`/ponds/${at.pondId}/plan?job=routine`}
          aria-label={t('today.todayView.scheduleVisitAt', { site: at.siteName })}
        >
          {t('today.todayView.scheduleVisit')}
        </Link>
      ) : null}
    </>
  )
}

/** Ponds whose coming window for a cleanout has no visit yet. */
export function CleanoutsToPlan({ data }: { data: TodayPageData }) {
  const t = useTexts()
  const { role } = usePerson()
  return (
    <section className="sheet">
      <h2>{t('today.todayView.cleanoutsDecide')}</h2>
      {data.toPlan.length === 0 ? (
        <p className="soft mb-0">
          {data.pondCount === 0 ? t('today.todayView.addFirstPondWindows') : t('today.todayView.everyPondWhoseWindow')}
        </p>
      ) : (
        <>
          <p className="soft small mb-1">
            {t('today.todayView.noCleanoutComingWindow', { toPlanCount: data.toPlanCount })}
          </p>
          <ul className="plain-list">
            {data.toPlan.map((w) => (
              <li key={w.pondId} className="d-flex flex-wrap gap-2 align-items-baseline">
                <Link href={`/ponds/${w.pondId}`}>
                  {w.siteName}: {w.pondName}
                </Link>
                <span className="soft small">
                  {t('today.todayView.best', {
                    earliest: t.shortDate(w.earliest),
                    latest: t.datedDay(w.latest),
                    best: t.shortDate(w.best),
                  })}
                </span>
                {may(role, 'visits.plan') ? (
                  <Link className="ms-auto small" href={`/ponds/${w.pondId}/plan`}>
                    {t('today.todayView.planCleanout')}
                  </Link>
                ) : null}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}
