'use client'
import { useState } from 'react'
import { WEEKDAYS, type Site, type SiteInput } from '@/domain/customers/customer'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useSave } from '@/ui/use-save'

const DAY_NAMES = { mon: 'Monday', tue: 'Tuesday', wed: 'Wednesday', thu: 'Thursday', fri: 'Friday', sat: 'Saturday', sun: 'Sunday' } as const

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
        <TextField label="Site name" value={draft.name} onChange={(e) => put({ name: e.target.value })} error={errorOf('name')} />
        <TextField label="Address" value={draft.address} onChange={(e) => put({ address: e.target.value })} error={errorOf('address')} />
        <TextField label="Town" value={draft.town} onChange={(e) => put({ town: e.target.value })} error={errorOf('town')} />
        <TextField label="Access notes" value={draft.accessNotes} onChange={(e) => put({ accessNotes: e.target.value })} error={errorOf('accessNotes')} />
        <ChoiceField
          label="Weather station"
          value={draft.stationId}
          onChange={(e) => put({ stationId: e.target.value })}
          options={stations.map((s) => ({ value: s.id, label: s.name }))}
          error={errorOf('stationId')}
        />
        <QuantityField label="Latitude" kind="number" optional value={draft.lat} onChange={(lat) => put({ lat })} error={errorOf('lat')} />
        <QuantityField label="Longitude" kind="number" optional value={draft.lon} onChange={(lon) => put({ lon })} error={errorOf('lon')} />
        <TextField label="Work may begin from" type="time" value={draft.opens} onChange={(e) => put({ opens: e.target.value })} error={errorOf('opens')} />
        <TextField label="Work may begin until" type="time" value={draft.closes} onChange={(e) => put({ closes: e.target.value })} error={errorOf('closes')} />
        <ChoiceField
          label="In school holidays"
          value={draft.schoolHolidays}
          onChange={(e) => put({ schoolHolidays: e.target.value as SiteInput['schoolHolidays'] })}
          options={[
            { value: 'any', label: 'as at other times' },
            { value: 'only', label: 'visits only then' },
            { value: 'never', label: 'no visits then' },
          ]}
        />
      </div>
      <fieldset>
        <legend>Fill water</legend>
        <p className="soft small mb-1">
          What runs into the ponds here. Water changes and KH rises are judged by it; visits that test the tap keep it up to date.
        </p>
        <div className="field-grid">
          <QuantityField
            label="pH"
            kind="ph"
            optional
            value={draft.fill.ph}
            onChange={(ph) => put({ fill: { ...draft.fill, ph } })}
            error={errorOf('fill.ph')}
          />
          <QuantityField
            label="KH"
            kind="hardness"
            optional
            value={draft.fill.khDH}
            onChange={(khDH) => put({ fill: { ...draft.fill, khDH } })}
            error={errorOf('fill.khDH')}
          />
          <QuantityField
            label="Chlorine"
            kind="concentration"
            optional
            value={draft.fill.chlorineMgL}
            onChange={(chlorineMgL) => put({ fill: { ...draft.fill, chlorineMgL } })}
            error={errorOf('fill.chlorineMgL')}
          />
        </div>
      </fieldset>
      <fieldset>
        <legend>Closed on</legend>
        <div className="d-flex flex-wrap gap-3">
          {WEEKDAYS.map((day) => (
            <CheckField
              key={day}
              label={DAY_NAMES[day]}
              checked={draft.closedDays.includes(day)}
              onChange={(on) => put({ closedDays: WEEKDAYS.filter((d) => (d === day ? on : draft.closedDays.includes(d))) })}
            />
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend>Nobody wanted between</legend>
        {draft.blackouts.map((blackout, i) => {
          const change = (part: Partial<typeof blackout>) => put({ blackouts: draft.blackouts.map((b, n) => (n === i ? { ...b, ...part } : b)) })
          return (
            <div key={i} className="d-flex flex-wrap gap-2 align-items-end mb-1">
              <TextField
                label={`From (${i + 1})`}
                type="date"
                value={blackout.from}
                onChange={(e) => change({ from: e.target.value })}
                error={errorOf(`blackouts.${i}.from`)}
              />
              <TextField
                label={`To (${i + 1})`}
                type="date"
                value={blackout.to}
                onChange={(e) => change({ to: e.target.value })}
                error={errorOf(`blackouts.${i}.to`)}
              />
              <TextField label={`Why (${i + 1})`} value={blackout.note} onChange={(e) => change({ note: e.target.value })} />
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                aria-label={`Remove days ${i + 1}`}
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
          Add days
        </button>
      </fieldset>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">Save site</button>{' '}
      <span role="status" className="small">
        {saved ? 'Saved. The next plan reckons with it.' : ''}
      </span>
    </form>
  )
}
