'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { WEEKDAYS, type Site, type SiteInput } from '@/domain/customers/customer'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'

const DAY_NAMES = {
  mon: textId('customers.siteForm.monday'),
  tue: textId('customers.siteForm.tuesday'),
  wed: textId('customers.siteForm.wednesday'),
  thu: textId('customers.siteForm.thursday'),
  fri: textId('customers.siteForm.friday'),
  sat: textId('customers.siteForm.saturday'),
  sun: textId('customers.siteForm.sunday'),
} as const

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

  const [draft, setDraft] = useState(() => inputOf(site))
  const { problem, saved, errorOf, touched, save } = useSave('site')
  const put = (part: Partial<SiteInput>) => {
    touched()
    setDraft({ ...draft, ...part })
  }
  return (
    <form
      className="mt-2"
      onSubmit={(e) => {
        e.preventDefault()
        void save('PUT', `/api/v1/sites/${site.id}`, { version: site.version, site: draft })
      }}
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
      <fieldset>
        <legend>{t('customers.siteForm.fillWater')}</legend>
        <p className="soft small mb-1">{t('customers.siteForm.whatRunsIntoPonds')}</p>
        <div className="field-grid">
          <QuantityField
            label={t('customers.siteForm.ph')}
            kind="ph"
            optional
            value={draft.fill.ph}
            onChange={(ph) => put({ fill: { ...draft.fill, ph } })}
            error={errorOf('fill.ph')}
          />
          <QuantityField
            label={t('customers.siteForm.kh')}
            kind="hardness"
            optional
            value={draft.fill.khDH}
            onChange={(khDH) => put({ fill: { ...draft.fill, khDH } })}
            error={errorOf('fill.khDH')}
          />
          <QuantityField
            label={t('customers.siteForm.chlorine')}
            kind="concentration"
            optional
            value={draft.fill.chlorineMgL}
            onChange={(chlorineMgL) => put({ fill: { ...draft.fill, chlorineMgL } })}
            error={errorOf('fill.chlorineMgL')}
          />
        </div>
      </fieldset>
      <fieldset>
        <legend>{t('customers.siteForm.closed')}</legend>
        <div className="d-flex flex-wrap gap-3">
          {WEEKDAYS.map((day) => (
            <CheckField
              key={day}
              label={t(DAY_NAMES[day])}
              checked={draft.closedDays.includes(day)}
              onChange={(on) =>
                put({ closedDays: WEEKDAYS.filter((d) => (d === day ? on : draft.closedDays.includes(d))) })
              }
            />
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend>{t('customers.siteForm.nobodyWantedBetween')}</legend>
        {draft.blackouts.map((blackout, i) => {
          const change = (part: Partial<typeof blackout>) =>
            put({ blackouts: draft.blackouts.map((b, n) => (n === i ? { ...b, ...part } : b)) })
          return (
            <div key={i} className="d-flex flex-wrap gap-2 align-items-end mb-1">
              <TextField
                label={t('customers.siteForm.from', { i: i + 1 })}
                type="date"
                value={blackout.from}
                onChange={(e) => change({ from: e.target.value })}
                error={errorOf(`blackouts.${i}.from`)}
              />
              <TextField
                label={t('customers.siteForm.to', { i: i + 1 })}
                type="date"
                value={blackout.to}
                onChange={(e) => change({ to: e.target.value })}
                error={errorOf(`blackouts.${i}.to`)}
              />
              <TextField
                label={t('customers.siteForm.why', { i: i + 1 })}
                value={blackout.note}
                onChange={(e) => change({ note: e.target.value })}
              />
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                aria-label={t('customers.siteForm.removeDays', { i: i + 1 })}
                onClick={() => put({ blackouts: draft.blackouts.filter((_, n) => n !== i) })}
              >
                ×
              </button>
            </div>
          )
        })}
        <button
          type="button"
          className="btn btn-sm btn-outline-primary"
          onClick={() => put({ blackouts: [...draft.blackouts, { from: '', to: '', note: '' }] })}
        >
          {t('customers.siteForm.addDays')}
        </button>
      </fieldset>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">{t('customers.siteForm.saveSite')}</button>{' '}
      <span role="status" className="small">
        {saved ? t('customers.siteForm.savedNextPlanReckons') : ''}
      </span>
    </form>
  )
}
