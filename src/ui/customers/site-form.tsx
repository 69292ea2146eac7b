'use client'
import { useTexts } from '@/ui/kit/texts'
import { SiteInput, type Site } from '@/domain/customers/customer'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { ClosedDaysFields, FillWaterFields } from './site-fields'

/** Only what a form may send: the page hands over more than that. */
const inputOf = (site: Site): SiteInput => ({
  name: site.name,
  address: site.address,
  town: site.town,
  accessNotes: site.accessNotes,
  stationId: site.stationId,
  lat: site.lat,
  lon: site.lon,
  opens: site.opens,
  closes: site.closes,
  closedDays: site.closedDays,
  blackouts: site.blackouts,
  schoolHolidays: site.schoolHolidays,
  fill: site.fill,
})

interface SiteFormProps {
  readonly site: Site
  readonly stations: readonly { readonly id: string; readonly name: string }[]
}

/** Where a site is, when somebody may come, and when nobody is wanted. */
export function SiteForm({ site, stations }: SiteFormProps) {
  const t = useTexts()

  const {
    values: draft,
    put,
    field,
    control,
    errorOf,
    submit,
    problem,
    saved,
    sending,
  } = useSchemaForm({ schema: SiteInput, values: inputOf(site), part: 'site' })
  return (
    <form
      className="mt-2"
      noValidate
      onSubmit={submit((body) => send('PUT', `/api/v1/sites/${site.id}`, { version: site.version, site: body }))}
    >
      <div className="field-grid">
        <TextField label={t('customers.siteForm.siteName')} {...field('name')} />
        <TextField label={t('customers.siteForm.address')} {...field('address')} />
        <TextField label={t('customers.siteForm.town')} {...field('town')} />
        <TextField label={t('customers.siteForm.accessNotes')} {...field('accessNotes')} />
        <ChoiceField
          label={t('customers.siteForm.weatherStation')}
          options={stations.map((s) => ({ value: s.id, label: s.name }))}
          {...field('stationId')}
        />
        <QuantityField label={t('customers.siteForm.latitude')} kind="number" optional {...control('lat')} />
        <QuantityField label={t('customers.siteForm.longitude')} kind="number" optional {...control('lon')} />
        <TextField label={t('customers.siteForm.workMayBeginFrom')} type="time" {...field('opens')} />
        <TextField label={t('customers.siteForm.workMayBeginUntil')} type="time" {...field('closes')} />
        <ChoiceField
          label={t('customers.siteForm.schoolHolidays')}
          options={[
            { value: 'any', label: t('customers.siteForm.otherTimes') },
            { value: 'only', label: t('customers.siteForm.visitsOnlyThen') },
            { value: 'never', label: t('customers.siteForm.noVisitsThen') },
          ]}
          {...field('schoolHolidays')}
        />
      </div>
      <FillWaterFields draft={draft} put={put} errorOf={errorOf} />
      <ClosedDaysFields draft={draft} put={put} errorOf={errorOf} />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary" disabled={sending}>
        {t('customers.siteForm.saveSite')}
      </button>{' '}
      <span role="status" className="small">
        {saved ? t('customers.siteForm.savedNextPlanReckons') : ''}
      </span>
    </form>
  )
}
