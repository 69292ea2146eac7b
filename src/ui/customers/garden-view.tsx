'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import { longDate, shortDate } from '@/domain/shared/dates'
import type { Garden, GardenPond } from '@/server/customers/customer-page'
import { waterColour } from '@/ui/drawing/water-colour'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { useShow } from '@/ui/person-context'
import { ReadingsTable } from '@/ui/water/readings-table'
import { AskForm } from './ask-form'

const VISITS_SHOWN = 6

/** A customer's own page: this week's advice first, then what is next, how the water is, and what was done. */
export function GardenView({ garden, token }: { garden: Garden; token: string }) {
  const t = useTexts()

  return (
    <>
      <header className="garden-head">
        <p className="mb-0 firm-words">{garden.firmName}</p>
        <h1 className="mb-0">{garden.customerName}</h1>
        <p className="soft mb-0">{longDate(garden.today)}</p>
      </header>
      {garden.ponds.length === 0 ? <p className="sheet">{t('customers.gardenView.noPondKeptHere')}</p> : null}
      {garden.ponds.map((pond) => (
        <Pond key={pond.id} pond={pond} token={token} firmName={garden.firmName} today={garden.today} />
      ))}
      <p className="soft small">{t('customers.gardenView.pageYoursAloneWhoever', { firmName: garden.firmName })}</p>
    </>
  )
}

function Pond({ pond, token, firmName, today }: { pond: GardenPond; token: string; firmName: string; today: string }) {
  const t = useTexts()

  const show = useShow()
  return (
    <section className="sheet" aria-label={`${pond.siteName}: ${pond.name}`}>
      <h2>
        {pond.siteName}: {pond.name}
      </h2>
      {pond.waterC === null ? null : (
        <div className="d-flex gap-3 align-items-center flex-wrap mb-2">
          <span className="garden-water" style={{ background: waterColour(pond.waterC) }} aria-hidden="true" />
          <span>
            {t('customers.gardenView.water', { measured: pond.measured ? t('customers.gardenView.measuredLately') : 'about' })}{' '}
            <strong>{show(pond.waterC, 'temperature')}</strong>
          </span>
          <WaterLegend />
        </div>
      )}
      <h3>{t('customers.gardenView.week')}</h3>
      <ul>
        {pond.advice.map((a) => (
          <li key={a.code}>
            {t(`customers.adviceWords.${a.code}`)}
            {a.mm !== undefined && pond.topUpM3 !== null ? (
              <span className="soft">
                {' '}
                {t('customers.gardenView.aboutEvaporateWeek', {
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
        <img className="garden-photo" src={`/api/v1/garden/${token}/photos/${pond.photo}`} alt={t('customers.gardenView.pondOurLastVisit')} />
      ) : null}
      <History pond={pond} token={token} />
    </section>
  )
}

function Next({ pond: { next, coming } }: { pond: GardenPond }) {
  const t = useTexts()

  return (
    <>
      <h3>{t('customers.gardenView.whatComesNext')}</h3>
      {next ? (
        <p>
          <strong>{next.jobName}</strong> {t('customers.gardenView.about', { day: longDate(next.day), startTime: next.startTime })}
        </p>
      ) : null}
      {coming.length > 0 ? (
        <ul>
          {coming.map((c) => (
            <li key={c.jobName}>
              {c.jobName}{' '}
              <span className="soft">
                {t('customers.gardenView.likelyBetween', { earliest: shortDate(c.earliest), latest: shortDate(c.latest), latest2: c.latest.slice(0, 4) })}
              </span>
            </li>
          ))}
        </ul>
      ) : null}
      {!next && coming.length === 0 ? <p className="soft">{t('customers.gardenView.nothingPlannedAskVisit')}</p> : null}
    </>
  )
}

function Water({ pond: { readings } }: { pond: GardenPond }) {
  const t = useTexts()

  if (readings.length === 0) return null
  return (
    <>
      <h3>{t('customers.gardenView.waterLastTested')}</h3>
      <ReadingsTable readings={readings} when={(takenAt) => shortDate(takenAt.slice(0, 10))} />
    </>
  )
}

function History({ pond, token }: { pond: GardenPond; token: string }) {
  const t = useTexts()

  const [all, setAll] = useState(false)
  const done = pond.visits.filter((v) => v.done)
  const shown = all ? done : done.slice(0, VISITS_SHOWN)
  return (
    <>
      <h3>{t('customers.gardenView.whatDone')}</h3>
      {done.length === 0 ? <p className="soft mb-0">{t('customers.gardenView.reportsVisitsGatherHere')}</p> : null}
      <ul className="plain-list">
        {shown.map((v) => (
          <li key={v.id}>
            <Link href={`/garden/${token}/visits/${v.id}`} className="garden-link">
              {v.jobName} <span className="soft">{longDate(v.day)}</span>
            </Link>
          </li>
        ))}
      </ul>
      {done.length > shown.length ? (
        <button type="button" className="btn btn-outline-secondary" onClick={() => setAll(true)}>
          {t('customers.gardenView.showAll', { count: done.length })}
        </button>
      ) : null}
    </>
  )
}
