'use client'
import Link from 'next/link'
import { useState } from 'react'
import { PLANT_CONDITIONS, type CareTask } from '@/core/plants/care-rules'
import { hardinessZone, plantSpecies } from '@/core/plants/species'
import { shortDate } from '@/domain/shared/dates'
import { PLANT_ACTION_NAMES, PLANT_ACTIONS, PLANT_CONDITION_NAMES, PLANT_DONE_NAMES, type PatchNow, type PlantAction } from '@/domain/plants/plants'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { ROLE_OF_PLANT } from '@/messages/en/filters'
import { WINTER_OF_PLANT } from '@/messages/en/plants'
import { useShow } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'
import type { PondPlantsData } from './pond-plants-view'

const AS_BEFORE = ''

/** One group: what it is, what was seen and done, and the next line of that. */
export function PatchSheet({ patch, tasks, data }: { patch: PatchNow; tasks: readonly CareTask[]; data: PondPlantsData }) {
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
          {ROLE_OF_PLANT[species.role]}, {show(species.heightM, 'length')} high, zone {hardinessZone(species.hardyToC)}; {WINTER_OF_PLANT[species.winter]}.
          {species.toxicTo === 'none' ? '' : ` Toxic to ${species.toxicTo === 'people' ? 'people and pets' : 'livestock'}: gloves.`}
          {species.regulatedSomewhere ? ' Regulated in some places: check your state or national list before any is taken along.' : ''}
        </p>
      ) : null}
      {patch.condition === 'pale' && patch.place === 'bed' ? (
        <p className="stop-note among-words">
          Pale or stunted: dig a hand deep. Roots wet: they are crowded, shaded, or the water holds too little to feed on. Roots dry: the water runs under them;
          the <Link href={`/ponds/${data.pond.id}/design`}>filter bench</Link> says how much of the flow passes where roots are, and what mends it.
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
              label="Done"
              value={action}
              onChange={(e) => setAction(e.target.value as PlantAction)}
              options={PLANT_ACTIONS.map((a) => ({ value: a, label: PLANT_ACTION_NAMES[a] }))}
              error={errorOf('action')}
            />
            <ChoiceField
              label="Looks"
              value={condition}
              onChange={(e) => setCondition(e.target.value)}
              options={[
                { value: AS_BEFORE, label: `As before (${PLANT_CONDITION_NAMES[patch.condition].toLowerCase()})` },
                ...PLANT_CONDITIONS.map((c) => ({ value: c, label: PLANT_CONDITION_NAMES[c] })),
              ]}
            />
            <QuantityField
              label={action === 'planted' ? 'Plants set' : 'Plants now'}
              kind="number"
              value={count}
              onChange={setCount}
              optional={action !== 'planted'}
              error={errorOf('count')}
            />
            <QuantityField label="Rooted pieces kept" kind="number" value={kept} onChange={setKept} optional error={errorOf('kept')} />
            <TextField label="Day" type="date" value={on} onChange={(e) => setOn(e.target.value)} />
            <TextField
              label={action === 'lift' ? 'Where it is stored' : 'Note'}
              value={note}
              onChange={(e) => setNote(e.target.value)}
              error={errorOf('note')}
            />
          </div>
          <ProblemNote problem={problem} />
          <button className="btn btn-sm btn-primary mt-2">Write it down</button>{' '}
          <span role="status" className="soft">
            {saved ? 'Written down.' : ''}
          </span>
        </form>
      ) : null}
      <h3 className="mt-3">So far</h3>
      <ul className="plain-list">
        {patch.history.map((e) => (
          <li key={e.id}>
            {PLANT_DONE_NAMES[e.action]}
            {e.condition ? `: ${PLANT_CONDITION_NAMES[e.condition].toLowerCase()}` : ''}
            {e.count !== null ? `, ${e.count} ${e.count === 1 ? 'plant' : 'plants'}` : ''}
            {e.kept > 0 ? `, ${e.kept} pieces kept` : ''}
            {e.note ? ` (${e.note})` : ''}{' '}
            <span className="soft small">
              {shortDate(e.day)} {e.day.slice(0, 4)}, {e.byName}
            </span>
          </li>
        ))}
      </ul>
      {data.mayWrite ? (
        <>
          <button className="btn btn-sm btn-link px-0" onClick={() => void removal.save('DELETE', `/api/v1/plants/${patch.id}`)}>
            Written down by mistake: take it away
          </button>
          <ProblemNote problem={removal.problem} />
        </>
      ) : null}
    </section>
  )
}
