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
        <TextField
          label={t('customers.siteForm.siteName')}
          value={draft.name}
          onChange={(e) => put({ name: e.target.value })}
          error={errorOf('name')}
        />
        <TextField
          label={t('customers.siteForm.address')}
          value={draft.address}
          onChange={(e) => put({ address: e.target.value })}
          error={errorOf('address')}
        />
        <TextField
          label={t('customers.siteForm.town')}
          value={draft.town}
          onChange={(e) => put({ town: e.target.value })}
          error={errorOf('town')}
        />
        <TextField
          label={t('customers.siteForm.accessNotes')}
          value={draft.accessNotes}
          onChange={(e) => put({ accessNotes: e.target.value })}
          error={errorOf('accessNotes')}
        />
        <ChoiceField
          label={t('customers.siteForm.weatherStation')}
          value={draft.stationId}
          onChange={(e) => put({ stationId: e.target.value })}
          options={stations.map((s) => ({ value: s.id, label: s.name }))}
          error={errorOf('stationId')}
        />
        <QuantityField
          label={t('customers.siteForm.latitude')}
          kind="number"
          optional
          value={draft.lat}
          onChange={(lat) => put({ lat })}
          error={errorOf('lat')}
        />
        <QuantityField
          label={t('customers.siteForm.longitude')}
          kind="number"
          optional
          value={draft.lon}
          onChange={(lon) => put({ lon })}
          error={errorOf('lon')}
        />
        <TextField
          label={t('customers.siteForm.workMayBeginFrom')}
          type="time"
          value={draft.opens}
          onChange={(e) => put({ opens: e.target.value })}
          error={errorOf('opens')}
        />
        <TextField
          label={t('customers.siteForm.workMayBeginUntil')}
          type="time"
          value={draft.closes}
          onChange={(e) => put({ closes: e.target.value })}
          error={errorOf('closes')}
        />
        <ChoiceField
          label={t('customers.siteForm.schoolHolidays')}
          value={draft.schoolHolidays}
          onChange={(e) => put({ schoolHolidays: e.target.value as SiteInput['schoolHolidays'] })}
          options={[
            { value: 'any', label: t('customers.siteForm.otherTimes') },
            { value: 'only', label: t('customers.siteForm.visitsOnlyThen') },
            { value: 'never', label: t('customers.siteForm.noVisitsThen') },
          ]}
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
