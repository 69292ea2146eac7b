'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { WEEKDAYS, type SiteInput } from '@/domain/customers/customer'
import { CheckField } from '@/ui/kit/check-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'

const DAY_NAMES = {
  mon: textId('customers.siteForm.monday'),
  tue: textId('customers.siteForm.tuesday'),
  wed: textId('customers.siteForm.wednesday'),
  thu: textId('customers.siteForm.thursday'),
  fri: textId('customers.siteForm.friday'),
  sat: textId('customers.siteForm.saturday'),
  sun: textId('customers.siteForm.sunday'),
} as const

interface SiteFieldsProps {
  readonly draft: SiteInput
  readonly put: (part: Partial<SiteInput>) => void
  readonly errorOf: (path: string) => string | undefined
}

const FILL_FIELDS = [
  ['ph', textId('customers.siteForm.ph'), 'ph'],
  ['khDH', textId('customers.siteForm.kh'), 'hardness'],
  ['ghDH', textId('customers.siteForm.gh'), 'hardness'],
  ['nitrateMgL', textId('customers.siteForm.nitrate'), 'concentration'],
  ['phosphateMgL', textId('customers.siteForm.phosphate'), 'concentration'],
  ['chlorineMgL', textId('customers.siteForm.chlorine'), 'concentration'],
  ['chloramineMgL', textId('customers.siteForm.chloramine'), 'concentration'],
] as const

/** The water that ponds of a site are filled with. */
export function FillWaterFields({ draft, put, errorOf }: SiteFieldsProps) {
  const t = useTexts()

  return (
    <fieldset>
      <legend>{t('customers.siteForm.fillWater')}</legend>
      <p className="soft small mb-1">{t('customers.siteForm.whatRunsIntoPonds')}</p>
      <div className="field-grid">
        {FILL_FIELDS.map(([name, label, kind]) => (
          <QuantityField
            key={name}
            label={t(label)}
            kind={kind}
            optional
            value={draft.fill[name]}
            onChange={(value) => put({ fill: { ...draft.fill, [name]: value } })}
            error={errorOf(`fill.${name}`)}
          />
        ))}
      </div>
    </fieldset>
  )
}

/** When nobody is wanted at a site. */
export function ClosedDaysFields({ draft, put, errorOf }: SiteFieldsProps) {
  const t = useTexts()

  return (
    <>
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
    </>
  )
}
