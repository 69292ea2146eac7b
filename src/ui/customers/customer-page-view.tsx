'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import type { CustomerPage, CustomerPagePond } from '@/server/customers/customer-page'
import { waterColour } from '@/ui/drawing/water-colour'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { useShow } from '@/ui/person-context'
import { ReadingsTable } from '@/ui/water/readings-table'
import { AskForm } from './ask-form'

const VISITS_SHOWN = 6

/** A customer's own page: this week's advice first, then what is next, how the water is, and what was done. */
export function CustomerPageView({ customerPage, token }: { customerPage: CustomerPage; token: string }) {
  const t = useTexts()

  return (
    <>
      <header className="customer-page-head">
        <p className="mb-0 firm-words">{customerPage.firmName}</p>
        <h1 className="mb-0">{customerPage.customerName}</h1>
        <p className="soft mb-0">{t.longDate(customerPage.today)}</p>
      </header>
      {customerPage.ponds.length === 0 ? (
        <p className="sheet">{t('customers.customerPageView.noPondKeptHere')}</p>
      ) : null}
      {customerPage.ponds.map((pond) => (
        <Pond key={pond.id} pond={pond} token={token} firmName={customerPage.firmName} today={customerPage.today} />
      ))}
      <p className="soft small">
        {t('customers.customerPageView.pageYoursAloneWhoever', { firmName: customerPage.firmName })}
      </p>
    </>
  )
}

function Pond({
  pond,
  token,
  firmName,
  today,
}: {
  pond: CustomerPagePond
  token: string
  firmName: string
  today: string
}) {
  const t = useTexts()

  const show = useShow()
  return (
    <section className="sheet" aria-label={`${pond.siteName}: ${pond.name}`}>
      <h2>
        {pond.siteName}: {pond.name}
      </h2>
      {pond.waterC === null ? null : (
        <div className="d-flex gap-3 align-items-center flex-wrap mb-2">
          <span className="customer-page-water" style={{ background: waterColour(pond.waterC) }} aria-hidden="true" />
          <span>
            {t('customers.customerPageView.water', {
              measured: pond.measured ? t('customers.customerPageView.measuredLately') : 'about',
            })}{' '}
            <strong>{show(pond.waterC, 'temperature')}</strong>
          </span>
          <WaterLegend />
        </div>
      )}
      <h3>{t('customers.customerPageView.week')}</h3>
      <ul>
        {pond.advice.map((a) => (
          <li key={a.code}>
            {t(`customers.adviceWords.${a.code}`)}
            {a.mm !== undefined && pond.topUpM3 !== null ? (
              <span className="soft">
                {' '}
                {t('customers.customerPageView.aboutEvaporateWeek', {
                  mm: show(a.mm / 1000, 'length', { scale: 'small' }),
                  topUpM3: show(pond.topUpM3, 'volume', { scale: 'small' }),
                })}
              </span>
            ) : null}
          </li>
        ))}
      </ul>
      <Next pond={pond} />
      <AskForm pondId={pond.id} already={pond.asked} token={token} firmName={firmName} today={today} />
      <Water pond={pond} />
      {pond.photo ? (
        // the photo comes through the link's own address, which next/image does not know
        // eslint-disable-next-line @next/next/no-img-element
        <img
          className="customer-page-photo"
          src={`/api/v1/customer-page/${token}/photos/${pond.photo}`}
          alt={t('customers.customerPageView.pondOurLastVisit')}
        />
      ) : null}
      <History pond={pond} token={token} />
    </section>
  )
}

function Next({ pond: { next, coming } }: { pond: CustomerPagePond }) {
  const t = useTexts()

  return (
    <>
      <h3>{t('customers.customerPageView.whatComesNext')}</h3>
      {next ? (
        <p>
          <strong>{next.jobName}</strong>{' '}
          {t('customers.customerPageView.about', { day: t.longDate(next.day), startTime: next.startTime })}
        </p>
      ) : null}
      {coming.length > 0 ? (
        <ul>
          {coming.map((c) => (
            <li key={c.jobName}>
              {c.jobName}{' '}
              <span className="soft">
                {t('customers.customerPageView.likelyBetween', {
                  earliest: t.shortDate(c.earliest),
                  latest: t.datedDay(c.latest),
                })}
              </span>
            </li>
          ))}
        </ul>
      ) : null}
      {!next && coming.length === 0 ? (
        <p className="soft">{t('customers.customerPageView.nothingPlannedAskVisit')}</p>
      ) : null}
    </>
  )
}

function Water({ pond: { readings } }: { pond: CustomerPagePond }) {
  const t = useTexts()

  if (readings.length === 0) return null
  return (
    <>
      <h3>{t('customers.customerPageView.waterLastTested')}</h3>
      <ReadingsTable readings={readings} when={(takenAt) => t.shortDate(takenAt.slice(0, 10))} />
    </>
  )
}

function History({ pond, token }: { pond: CustomerPagePond; token: string }) {
  const t = useTexts()

  const [all, setAll] = useState(false)
  const done = pond.visits.filter((v) => v.done)
  const shown = all ? done : done.slice(0, VISITS_SHOWN)
  return (
    <>
      <h3>{t('customers.customerPageView.whatDone')}</h3>
      {done.length === 0 ? (
        <p className="soft mb-0">{t('customers.customerPageView.reportsVisitsGatherHere')}</p>
      ) : null}
      <ul className="plain-list">
        {shown.map((v) => (
          <li key={v.id}>
            <Link href={`/customer-page/${token}/visits/${v.id}`} className="customer-page-link">
              {v.jobName} <span className="soft">{t.longDate(v.day)}</span>
            </Link>
          </li>
        ))}
      </ul>
      {done.length > shown.length ? (
        <button type="button" className="btn btn-outline-secondary" onClick={() => setAll(true)}>
          {t('customers.customerPageView.showAll', { count: done.length })}
        </button>
      ) : null}
    </>
  )
}
