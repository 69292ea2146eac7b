'use client'
import { PLANT_CONDITIONS, type CareTask } from '@/core/plants/care-rules'
import { LogPlantInput, PLANT_ACTIONS, type PatchNow, type PlantAction } from '@/domain/plants/plants'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

const AS_BEFORE = ''

/** What was done to a group of plants, and how it looks. */
export function PatchLogForm({ patch, tasks, today }: { patch: PatchNow; tasks: readonly CareTask[]; today: string }) {
  const t = useTexts()

  const { form, values, field, control, submit, problem, saved, sending } = useSchemaForm({
    schema: LogPlantInput,
    values: {
      line: {
        action: (tasks[0]?.action ?? 'look') as PlantAction,
        condition: AS_BEFORE,
        count: null as number | null,
        kept: null as number | null,
        note: '',
      },
      on: today,
    },
    bodyOf: ({ line, on }) => ({
      line: { ...line, condition: line.condition === AS_BEFORE ? null : line.condition, kept: line.kept ?? 0 },
      on,
    }),
  })
  const { action } = values.line
  return (
    <form
      noValidate
      onSubmit={submit(
        (body) => send('POST', `/api/v1/plants/${patch.id}/log`, body),
        (_, { line, on }) =>
          form.reset({ line: { action: line.action, condition: AS_BEFORE, count: null, kept: null, note: '' }, on }),
      )}
    >
      <div className="field-grid">
        <ChoiceField
          label={t('plants.patchSheet.done')}
          options={PLANT_ACTIONS.map((a) => ({ value: a, label: t(`plants.plantActionNames.${a}`) }))}
          {...field('line.action')}
        />
        <ChoiceField
          label={t('plants.patchSheet.looks')}
          options={[
            {
              value: AS_BEFORE,
              label: t('plants.patchSheet.before', {
                condition: t(`plants.plantConditionNames.${patch.condition}`).toLowerCase(),
              }),
            },
            ...PLANT_CONDITIONS.map((c) => ({ value: c, label: t(`plants.plantConditionNames.${c}`) })),
          ]}
          {...field('line.condition')}
        />
        <QuantityField
          label={action === 'planted' ? t('plants.patchSheet.plantsSet') : t('plants.patchSheet.plantsNow')}
          kind="number"
          optional={action !== 'planted'}
          {...control('line.count')}
        />
        <QuantityField
          label={t('plants.patchSheet.rootedPiecesKept')}
          kind="number"
          optional
          {...control('line.kept')}
        />
        <TextField label={t('plants.patchSheet.day')} type="date" {...field('on')} />
        <TextField
          label={action === 'lift' ? t('plants.patchSheet.whereStored') : t('plants.patchSheet.note')}
          {...field('line.note')}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary mt-2" disabled={sending}>
        {t('plants.patchSheet.writeDown')}
      </button>{' '}
      <span role="status" className="soft">
        {saved ? t('plants.patchSheet.writtenDown') : ''}
      </span>
    </form>
  )
}
