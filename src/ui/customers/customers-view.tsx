'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import type { CustomersData } from '@/server/customers/customers'
import { Unfold } from '@/ui/kit/unfold'
import { TextField } from '@/ui/kit/text-field'
import { jobName } from '@/messages/visits/visit-words'
import { CustomerForm } from './customer-form'
import { OwnPageLink } from './own-page-link'
import { SiteForm } from './site-form'

type CustomerRow = CustomersData['customers'][number]

const holds = (customer: CustomerRow, text: string): boolean =>
  [customer.name, customer.email, ...customer.sites.flatMap((s) => [s.name, s.town, s.address])].some((field) =>
    field.toLowerCase().includes(text.toLowerCase()),
  )

/** Customers with how to reach them, their sites with hours and days off, and what is agreed for each pond. */
export function CustomersView({ data }: { data: CustomersData }) {
  const t = useTexts()

  const [text, setText] = useState('')
  const shown = data.customers.filter((c) => holds(c, text))
  return (
    <>
      <div className="page-head">
        <h1>{t('customers.customersView.customersPlans')}</h1>
        <span className="soft">{t('customers.customersView.count', { count: data.customers.length })}</span>
        <span className="actions no-print">
          <TextField
            label={t('customers.customersView.searchCustomers')}
            hideLabel
            placeholder={t('customers.customersView.nameSiteTown')}
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
        </span>
      </div>
      {data.customers.length === 0 ? (
        <p className="sheet">{t('customers.customersView.customersComeTheirFirst')}</p>
      ) : null}
      {shown.map((customer) => (
        <Customer key={customer.id} customer={customer} stations={data.stations} />
      ))}
    </>
  )
}

function Customer({ customer, stations }: { customer: CustomerRow; stations: CustomersData['stations'] }) {
  const t = useTexts()

  return (
    <section className="sheet py-2">
      <div className="d-flex flex-wrap gap-3 align-items-baseline">
        <h2 className="mb-0">{customer.name}</h2>
        <span className="soft">
          {customer.email || t('customers.customersView.noEmail')}
          {customer.phone ? ` · ${customer.phone}` : ''}
        </span>
        <Unfold label={t('customers.customersView.change', { name: customer.name })} className="ms-auto w-auto">
          <CustomerForm customer={customer} />
        </Unfold>
      </div>
      <OwnPageLink customerId={customer.id} name={customer.name} link={customer.link} />
      {customer.sites.map((site) => (
        <div key={site.id} className="mt-1">
          <strong>{site.name}</strong>{' '}
          <span className="soft">{[site.address, site.town].filter(Boolean).join(', ')}</span>
          {site.lat === null ? <span className="verdict look ms-2">{t('customers.customersView.notMap')}</span> : null}
          {site.closedDays.length > 0 || site.opens || site.closes ? (
            <span className="soft small ms-2">
              {site.opens || site.closes
                ? `${site.opens || t('customers.customersView.anyTime')}–${site.closes || t('customers.customersView.anyTime')}`
                : ''}
              {site.closedDays.length > 0
                ? t('customers.customersView.closed', { closedDays: site.closedDays.join(', ') })
                : ''}
            </span>
          ) : null}
          <ul className="mb-1">
            {site.ponds.map((pond) => (
              <li key={pond.id} className="among-words">
                <Link href={`/ponds/${pond.id}`}>{pond.name}</Link>{' '}
                <span className="soft">
                  {pond.jobs.length === 0
                    ? t('customers.customersView.nothingAgreed')
                    : [...new Set(pond.jobs)].map((job) => jobName(job, t)).join(', ')}
                </span>{' '}
                <Link
                  href={`/ponds/${pond.id}/service-plan`}
                  aria-label={t('customers.customersView.servicePlan', { name: pond.name })}
                >
                  {t('customers.customersView.servicePlan2')}
                </Link>
              </li>
            ))}
          </ul>
          <Unfold label={t('customers.customersView.hoursDaysOffPlace', { name: site.name })}>
            <SiteForm site={site} stations={stations} />
          </Unfold>
        </div>
      ))}
    </section>
  )
}
