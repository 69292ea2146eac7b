'use client'
import { useTexts } from '@/ui/kit/texts'
import type { Customer, Site } from '@/domain/customers/customer'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import type { PlaceValues } from '@/ui/survey/survey-form-values'

export interface Places {
  readonly customers: readonly Customer[]
  readonly sites: readonly Site[]
  readonly stations: readonly { readonly id: string; readonly name: string; readonly altitudeM: number }[]
}

interface PlaceFieldsProps {
  readonly places: Places
  readonly value: PlaceValues
  readonly onChange: (value: PlaceValues) => void
  readonly errors: Readonly<Record<string, string>>
}

/** Whose pond it is and where: chosen from what exists, or entered new. */
export function PlaceFields({ places, value, onChange, errors }: PlaceFieldsProps) {
  const t = useTexts()

  const sites = places.sites.filter((s) => s.customerId === value.customerId)
  const customer = (change: Partial<PlaceValues['customer']>) =>
    onChange({ ...value, customer: { ...value.customer, ...change } })
  const site = (change: Partial<PlaceValues['site']>) => onChange({ ...value, site: { ...value.site, ...change } })
  return (
    <>
      <fieldset className="mt-0 border-0 pt-0">
        <legend>{t('ponds.placeFields.customer')}</legend>
        <ChoiceField
          label={t('ponds.placeFields.customer')}
          hideLabel
          className="mb-2"
          value={value.customerId}
          onChange={(e) =>
            onChange({ ...value, customerId: e.target.value as PlaceValues['customerId'], siteId: 'new' })
          }
          options={[
            { value: 'new', label: t('ponds.placeFields.newCustomer') },
            ...places.customers.map((c) => ({ value: c.id, label: c.name })),
          ]}
          error={errors['customer']}
        />
        {value.customerId === 'new' ? (
          <div className="field-grid">
            <TextField
              label={t('ponds.placeFields.customerName')}
              value={value.customer.name}
              onChange={(e) => customer({ name: e.target.value })}
              error={errors['customer.customer.name']}
            />
            <TextField
              label={t('ponds.placeFields.eMail')}
              type="email"
              value={value.customer.email}
              onChange={(e) => customer({ email: e.target.value })}
              error={errors['customer.customer.email']}
            />
            <TextField
              label={t('ponds.placeFields.phone')}
              value={value.customer.phone}
              onChange={(e) => customer({ phone: e.target.value })}
              error={errors['customer.customer.phone']}
            />
          </div>
        ) : null}
      </fieldset>
      <fieldset>
        <legend>{t('ponds.placeFields.site')}</legend>
        {sites.length > 0 ? (
          <ChoiceField
            label={t('ponds.placeFields.site')}
            hideLabel
            className="mb-2"
            value={value.siteId}
            onChange={(e) => onChange({ ...value, siteId: e.target.value as PlaceValues['siteId'] })}
            options={[
              { value: 'new', label: t('ponds.placeFields.newSite') },
              ...sites.map((s) => ({ value: s.id, label: `${s.name}, ${s.town}` })),
            ]}
          />
        ) : null}
        {value.siteId === 'new' ? (
          <div className="field-grid">
            <TextField
              label={t('ponds.placeFields.siteName')}
              value={value.site.name}
              onChange={(e) => site({ name: e.target.value })}
              error={errors['site.site.name']}
            />
            <TextField
              label={t('ponds.placeFields.address')}
              value={value.site.address}
              onChange={(e) => site({ address: e.target.value })}
              error={errors['site.site.address']}
            />
            <TextField
              label={t('ponds.placeFields.town')}
              value={value.site.town}
              onChange={(e) => site({ town: e.target.value })}
              error={errors['site.site.town']}
            />
            <ChoiceField
              label={t('ponds.placeFields.weatherStation')}
              value={value.site.stationId}
              onChange={(e) => site({ stationId: e.target.value })}
              options={places.stations.map((s) => ({ value: s.id, label: s.name }))}
              error={errors['site.site.stationId']}
            />
            <TextField
              label={t('ponds.placeFields.accessNotes')}
              value={value.site.accessNotes}
              onChange={(e) => site({ accessNotes: e.target.value })}
              error={errors['site.site.accessNotes']}
            />
            <QuantityField
              label={t('ponds.placeFields.latitude')}
              kind="number"
              value={value.site.lat}
              onChange={(lat) => site({ lat })}
              error={errors['site.site.lat']}
            />
            <QuantityField
              label={t('ponds.placeFields.longitude')}
              kind="number"
              value={value.site.lon}
              onChange={(lon) => site({ lon })}
              error={errors['site.site.lon']}
            />
          </div>
        ) : null}
      </fieldset>
    </>
  )
}
