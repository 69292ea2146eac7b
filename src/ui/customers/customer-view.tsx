'use client'
import Link from 'next/link'
import { may } from '@/domain/people/roles'
import { fieldHref } from '@/domain/field/field-href'
import { jobName } from '@/messages/visits/visit-words'
import type { CustomerOnFile } from '@/server/customers/customers'
import { DataTable, type TableColumn } from '@/ui/kit/data-table'
import { useTexts } from '@/ui/kit/texts'
import { Unfold } from '@/ui/kit/unfold'
import { usePerson } from '@/ui/person-context'
import { PondChips } from '@/ui/ponds/pond-chips'
import { ProposalTable } from '@/ui/proposals/proposal-table'
import { CustomerForm } from './customer-form'
import { OwnPageLink } from './own-page-link'
import { SiteForm } from './site-form'

type Site = CustomerOnFile['sites'][number]

/** A customer: how to reach them, their sites with their ponds as they stand, visits, proposals, their own page. */
export function CustomerView({ data }: { data: CustomerOnFile }) {
  const t = useTexts()

  const { customer, sites } = data
  const { role } = usePerson()
  return (
    <>
      <div className="page-head">
        <h1>{customer.name}</h1>
        <span className="soft">
          {customer.email ? <a href={`mailto:${customer.email}`}>{customer.email}</a> : t('customers.view.noEmail')}
          {customer.phone ? (
            <>
              {' · '}
              <a href={`tel:${customer.phone}`}>{customer.phone}</a>
            </>
          ) : null}
        </span>
        <span className="actions">
          <Link className="btn btn-sm btn-outline-secondary no-print" href="/customers">
            {t('customers.view.allCustomers')}
          </Link>
        </span>
      </div>
      <div className="columns wide-left">
        <div>
          {sites.map((site) => (
            <SiteSheet key={site.id} site={site} stations={data.stations} />
          ))}
          <section className="sheet">
            <h2>{t('customers.view.visits')}</h2>
            <VisitTable data={data} />
          </section>
        </div>
        <div>
          <section className="sheet">
            <h2>{t('customers.view.contact')}</h2>
            <Unfold label={t('customers.view.edit', { name: customer.name })}>
              <CustomerForm customer={customer} />
            </Unfold>
          </section>
          <section className="sheet">
            <h2>{t('customers.view.customerPage')}</h2>
            <p className="soft small mb-1">{t('customers.view.whatItShows')}</p>
            <OwnPageLink customerId={customer.id} name={customer.name} link={customer.link} />
          </section>
          {may(role, 'prices.read') && data.proposals.length > 0 ? (
            <section className="sheet">
              <h2>{t('customers.view.proposals')}</h2>
              <ProposalTable proposals={data.proposals} today={data.today} brief />
            </section>
          ) : null}
        </div>
      </div>
    </>
  )
}

/** A site with its hours, and how its ponds stand. */
function SiteSheet({ site, stations }: { site: Site; stations: CustomerOnFile['stations'] }) {
  const t = useTexts()

  const anyTime = t('customers.view.anyTime')
  return (
    <section className="sheet" id={`site-${site.id}`}>
      <h2 className="mb-1">{site.name}</h2>
      <p className="soft mb-2">
        {[site.address, site.town].filter(Boolean).join(', ')}
        {site.opens || site.closes ? ` · ${site.opens || anyTime}–${site.closes || anyTime}` : ''}
        {site.closedDays.length > 0
          ? ` · ${t('customers.view.closed', { days: site.closedDays.map((day) => t(`customers.weekdays.${day}`)).join(', ') })}`
          : ''}
        {site.lat === null ? <span className="verdict look ms-2">{t('customers.view.notOnMap')}</span> : null}
      </p>
      <ul className="plain-list">
        {site.ponds.map((pond) => (
          <li key={pond.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <Link href={`/ponds/${pond.id}`}>{pond.name}</Link>
            <PondChips state={pond.state} />
            <span className="soft ms-auto">
              {pond.jobs.length === 0
                ? t('customers.view.nothingAgreed')
                : [...new Set(pond.jobs)].map((job) => jobName(job, t)).join(', ')}
            </span>
            <Link
              href={`/ponds/${pond.id}/service-plan`}
              aria-label={t('customers.view.servicePlanOf', { name: pond.name })}
            >
              {t('customers.view.servicePlan')}
            </Link>
          </li>
        ))}
      </ul>
      <Unfold label={t('customers.view.siteDetails', { name: site.name })} className="mt-2">
        <SiteForm site={site} stations={stations} />
      </Unfold>
    </section>
  )
}

type Visit = CustomerOnFile['visits'][number]

/** Visits at all sites, the newest first. */
function VisitTable({ data: { visits } }: { data: CustomerOnFile }) {
  const t = useTexts()

  if (visits.length === 0) return <p className="soft mb-0">{t('customers.view.noVisits')}</p>
  const columns: readonly TableColumn<Visit>[] = [
    { key: 'day', label: t('customers.view.day'), value: (v) => v.day, cell: (v) => t.longDate(v.day) },
    {
      key: 'visit',
      label: t('customers.view.visit'),
      value: (v) => v.jobName,
      cell: (v) => <Link href={v.state === 'done' ? `/visits/${v.id}/report` : fieldHref(v.id)}>{v.jobName}</Link>,
    },
    { key: 'pond', label: t('customers.view.pond'), value: (v) => `${v.siteName}: ${v.pondName}` },
    { key: 'crew', label: t('customers.view.crew'), value: (v) => v.crewName },
    { key: 'state', label: t('customers.view.state'), value: (v) => t(`visits.visitStateNames.${v.state}`) },
  ]
  return (
    <DataTable name={t('customers.view.visits')} columns={columns} rows={[...visits].reverse()} keyOf={(v) => v.id} />
  )
}
