'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import { PLANT_CONDITIONS, type CareTask } from '@/core/plants/care-rules'
import { hardinessZone, plantSpecies } from '@/core/plants/species'
import { shortDate } from '@/domain/shared/dates'
import { PLANT_ACTIONS, type PatchNow, type PlantAction } from '@/domain/plants/plants'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { useShow } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'
import type { PondPlantsData } from './pond-plants-view'

const AS_BEFORE = ''

/** One group: what it is, what was seen and done, and the next line of that. */
export function PatchSheet({
  patch,
  tasks,
  data,
}: {
  patch: PatchNow
  tasks: readonly CareTask[]
  data: PondPlantsData
}) {
  const t = useTexts()

  const show = useShow()
  const species = plantSpecies(patch.species)
  const { problem, errorOf, save, saved } = useSave('line')
  const removal = useSave()
  const [action, setAction] = useState<PlantAction>(tasks[0]?.action ?? 'look')
  const [condition, setCondition] = useState<string>(AS_BEFORE)
  const [count, setCount] = useState<number | null>(null)
  const [kept, setKept] = useState<number | null>(null)
  const [note, setNote] = useState('')
  const [on, setOn] = useState(data.today)
  const keep = async () => {
    const line = { action, condition: condition === AS_BEFORE ? null : condition, count, kept: kept ?? 0, note }
    if (!(await save('POST', `/api/v1/plants/${patch.id}/log`, { line, on }))) return
    setCount(null)
    setKept(null)
    setNote('')
    setCondition(AS_BEFORE)
  }
  return (
    <section className="sheet" aria-label={species?.common ?? patch.species}>
      <h2>
        {species?.common} <em className="soft small">{species?.botanical}</em>
      </h2>
      {species ? (
        <p className="soft">
          {t('plants.patchSheet.highZone', {
            role: t(`design.roleOfPlant.${species.role}`),
            heightM: show(species.heightM, 'length'),
            hardyToC: hardinessZone(species.hardyToC),
            winter: t(`plants.winterOfPlant.${species.winter}`),
            toxicTo:
              species.toxicTo === 'none'
                ? ''
                : t('plants.patchSheet.toxicGloves', {
                    toxicTo: species.toxicTo === 'people' ? t('plants.patchSheet.peoplePets') : 'livestock',
                  }),
            regulatedSomewhere: species.regulatedSomewhere ? t('plants.patchSheet.regulatedSomePlacesCheck') : '',
          })}
        </p>
      ) : null}
      {patch.condition === 'pale' && patch.place === 'bed' ? (
        <p className="stop-note among-words">
          {t('plants.patchSheet.paleStuntedDigHand')}{' '}
          <Link href={`/ponds/${data.pond.id}/design`}>{t('plants.patchSheet.filterDesign')}</Link>{' '}
          {t('plants.patchSheet.saysHowMuchFlow')}
        </p>
      ) : null}
      {data.mayLog ? (
        <form
          onSubmit={(e) => {
            e.preventDefault()
            void keep()
          }}
        >
          <div className="field-grid">
            <ChoiceField
              label={t('plants.patchSheet.done')}
              value={action}
              onChange={(e) => setAction(e.target.value as PlantAction)}
              options={PLANT_ACTIONS.map((a) => ({ value: a, label: t(`plants.plantActionNames.${a}`) }))}
              error={errorOf('action')}
            />
            <ChoiceField
              label={t('plants.patchSheet.looks')}
              value={condition}
              onChange={(e) => setCondition(e.target.value)}
              options={[
                {
                  value: AS_BEFORE,
                  label: t('plants.patchSheet.before', {
                    condition: t(`plants.plantConditionNames.${patch.condition}`).toLowerCase(),
                  }),
                },
                ...PLANT_CONDITIONS.map((c) => ({ value: c, label: t(`plants.plantConditionNames.${c}`) })),
              ]}
            />
            <QuantityField
              label={action === 'planted' ? t('plants.patchSheet.plantsSet') : t('plants.patchSheet.plantsNow')}
              kind="number"
              value={count}
              onChange={setCount}
              optional={action !== 'planted'}
              error={errorOf('count')}
            />
            <QuantityField
              label={t('plants.patchSheet.rootedPiecesKept')}
              kind="number"
              value={kept}
              onChange={setKept}
              optional
              error={errorOf('kept')}
            />
            <TextField
              label={t('plants.patchSheet.day')}
              type="date"
              value={on}
              onChange={(e) => setOn(e.target.value)}
            />
            <TextField
              label={action === 'lift' ? t('plants.patchSheet.whereStored') : t('plants.patchSheet.note')}
              value={note}
              onChange={(e) => setNote(e.target.value)}
              error={errorOf('note')}
            />
          </div>
          <ProblemNote problem={problem} />
          <button className="btn btn-sm btn-primary mt-2">{t('plants.patchSheet.writeDown')}</button>{' '}
          <span role="status" className="soft">
            {saved ? t('plants.patchSheet.writtenDown') : ''}
          </span>
        </form>
      ) : null}
      <h3 className="mt-3">{t('plants.patchSheet.soFar')}</h3>
      <ul className="plain-list">
        {patch.history.map((e) => (
          <li key={e.id}>
            {t(`plants.plantDoneNames.${e.action}`)}
            {e.condition ? `: ${t(`plants.plantConditionNames.${e.condition}`).toLowerCase()}` : ''}
            {e.count !== null ? t('plants.patchSheet.count', { count: e.count }) : ''}
            {e.kept > 0 ? t('plants.patchSheet.piecesKept', { kept: e.kept }) : ''}
            {e.note ? ` (${e.note})` : ''}{' '}
            <span className="soft small">
              {shortDate(e.day)} {e.day.slice(0, 4)}, {e.byName}
            </span>
          </li>
        ))}
      </ul>
      {data.mayWrite ? (
        <>
          <button
            className="btn btn-sm btn-link px-0"
            onClick={() => void removal.save('DELETE', `/api/v1/plants/${patch.id}`)}
          >
            {t('plants.patchSheet.writtenDownMistakeTake')}
          </button>
          <ProblemNote problem={removal.problem} />
        </>
      ) : null}
    </section>
  )
}
