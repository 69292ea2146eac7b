'use client'
import { useTexts } from '@/ui/kit/texts'
import { FirmPeriodInput, PERIOD_EFFECTS, type FirmPeriod } from '@/domain/firm/firm-period'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useRemoval } from '@/ui/use-removal'
import { useSchemaForm } from '@/ui/use-schema-form'

const EMPTY: FirmPeriodInput = { name: '', from: '', to: '', effect: 'closed' }

/** Holidays of the firm and of schools, and times in which ponds may not be filled: plans go by them. */
export function FirmPeriods({ periods }: { periods: readonly FirmPeriod[] }) {
  const t = useTexts()

  const removal = useRemoval()
  const added = useSchemaForm({ schema: FirmPeriodInput, values: EMPTY })
  return (
    <details className="sheet">
      <summary>
        <strong>{t('schedule.firmPeriods.holidaysRestrictions')}</strong>{' '}
        <span className="soft">
          {periods.length === 0
            ? t('schedule.firmPeriods.noneEntered')
            : t('schedule.firmPeriods.next', { name: periods[0]!.name, from: t.shortDate(periods[0]!.from) })}
        </span>
      </summary>
      <ul className="plain-list mt-2">
        {periods.map((p) => (
          <li key={p.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <strong>{p.name}</strong>
            <span>
              {t.shortDate(p.from)} – {t.datedDay(p.to)}
            </span>
            <span className="soft">{t(`firm.periodEffectNames.${p.effect}`)}</span>
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary ms-auto"
              aria-label={t('schedule.firmPeriods.remove', { name: p.name })}
              onClick={() =>
                void removal.remove(`/api/v1/firm-periods/${p.id}`, p.name, () =>
                  send('POST', '/api/v1/firm-periods', { name: p.name, from: p.from, to: p.to, effect: p.effect }),
                )
              }
            >
              {t('schedule.firmPeriods.remove2')}
            </button>
          </li>
        ))}
      </ul>
      <form
        className="field-grid mt-2"
        noValidate
        onSubmit={added.submit(
          (body) => send('POST', '/api/v1/firm-periods', body),
          () => added.form.reset(EMPTY),
        )}
      >
        <TextField label={t('schedule.firmPeriods.name')} {...added.field('name')} />
        <TextField label={t('schedule.firmPeriods.begins')} type="date" {...added.field('from')} />
        <TextField label={t('schedule.firmPeriods.ends')} type="date" {...added.field('to')} />
        <ChoiceField
          label={t('schedule.firmPeriods.theseDays')}
          options={PERIOD_EFFECTS.map((value) => ({ value, label: t(`firm.periodEffectNames.${value}`) }))}
          {...added.field('effect')}
        />
        <div className="align-self-end">
          <button className="btn btn-sm btn-primary" disabled={added.sending}>
            {t('schedule.firmPeriods.addDays')}
          </button>{' '}
          <span role="status" className="small">
            {added.saved ? t('schedule.firmPeriods.keptNextPlanReckons') : ''}
          </span>
        </div>
      </form>
      <ProblemNote problem={added.problem ?? removal.problem} />
    </details>
  )
}
