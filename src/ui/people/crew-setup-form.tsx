'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { KIT, SKILLS } from '@/core/visits/planning-facts'
import type { CrewSetup } from '@/domain/people/crew-setup'
import { KIT_NAMES, SKILL_NAMES } from '@/domain/people/crew-setup'
import type { Crew } from '@/domain/people/people'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'

/** What a crew can do, carries and when it works: plans go by it. */
export function CrewSetupForm({ crew }: { crew: Crew }) {
  const router = useRouter()
  const [setup, setSetup] = useState<CrewSetup>(crew.setup)
  const [version, setVersion] = useState(crew.version)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(false)
  const change = (part: Partial<CrewSetup>) => {
    setSaved(false)
    setSetup({ ...setup, ...part })
  }
  const errorOf = (path: string) => problem?.fields?.find((f) => f.path.startsWith(`setup.${path}`))?.message
  const save = async () => {
    const outcome = await send('PUT', `/api/v1/crews/${crew.id}`, { version, setup })
    setProblem(outcome.ok ? null : outcome.problem)
    setSaved(outcome.ok)
    if (!outcome.ok) return
    setVersion(version + 1)
    router.refresh()
  }
  const shown = (value: number) => (Number.isFinite(value) ? value : null)
  const toggled = <Word extends string>(list: readonly Word[], word: Word, on: boolean): Word[] => (on ? [...list, word] : list.filter((w) => w !== word))
  return (
    <details className="mb-2">
      <summary>
        <strong>{crew.name}</strong>{' '}
        <span className="soft">
          {setup.starts}–{setup.ends}, {setup.skills.map((s) => SKILL_NAMES[s]).join(', ') || 'no special skills'}
        </span>
      </summary>
      <div className="d-flex flex-wrap gap-4 mt-1">
        <fieldset>
          <legend className="fs-6 mb-0">May do</legend>
          {SKILLS.map((skill) => (
            <CheckField
              key={skill}
              label={SKILL_NAMES[skill]}
              checked={setup.skills.includes(skill)}
              onChange={(on) => change({ skills: toggled(setup.skills, skill, on) })}
            />
          ))}
        </fieldset>
        <fieldset>
          <legend className="fs-6 mb-0">Carries</legend>
          {KIT.map((kit) => (
            <CheckField key={kit} label={KIT_NAMES[kit]} checked={setup.kit.includes(kit)} onChange={(on) => change({ kit: toggled(setup.kit, kit, on) })} />
          ))}
        </fieldset>
        <div className="d-flex flex-wrap gap-4 w-100">
          <CheckField label="outdoors only in daylight" checked={setup.daylightOnly} onChange={(daylightOnly) => change({ daylightOnly })} />
          <CheckField
            label="sets out from a yard of its own"
            checked={setup.yard !== null}
            onChange={(on) => change({ yard: on ? { lat: Number.NaN, lon: Number.NaN } : null })}
          />
        </div>
        <div className="field-grid w-100">
          <TextField
            label={`${crew.name} starts`}
            type="time"
            value={setup.starts}
            onChange={(e) => change({ starts: e.target.value })}
            error={errorOf('starts')}
          />
          <TextField label={`${crew.name} ends`} type="time" value={setup.ends} onChange={(e) => change({ ends: e.target.value })} error={errorOf('ends')} />
          <QuantityField
            label={`${crew.name}: break, minutes`}
            kind="number"
            value={setup.breakMin}
            onChange={(v) => change({ breakMin: v ?? Number.NaN })}
            error={errorOf('breakMin')}
          />
          <QuantityField
            label={`${crew.name}: overtime at most, minutes`}
            kind="number"
            value={setup.overtimeMin}
            onChange={(v) => change({ overtimeMin: v ?? Number.NaN })}
            error={errorOf('overtimeMin')}
          />
          <QuantityField
            label={`${crew.name}: takes away a day`}
            kind="volume"
            value={setup.carriesM3}
            onChange={(v) => change({ carriesM3: v ?? Number.NaN })}
            error={errorOf('carriesM3')}
          />
          <QuantityField
            label={`${crew.name}: holding tanks`}
            kind="volume"
            value={setup.tankM3}
            onChange={(v) => change({ tankM3: v ?? Number.NaN })}
            error={errorOf('tankM3')}
          />
          {setup.yard ? (
            <>
              <QuantityField
                label={`${crew.name}: yard latitude`}
                kind="number"
                value={shown(setup.yard.lat)}
                onChange={(v) => change({ yard: { ...setup.yard!, lat: v ?? Number.NaN } })}
                error={errorOf('yard.lat')}
              />
              <QuantityField
                label={`${crew.name}: yard longitude`}
                kind="number"
                value={shown(setup.yard.lon)}
                onChange={(v) => change({ yard: { ...setup.yard!, lon: v ?? Number.NaN } })}
                error={errorOf('yard.lon')}
              />
            </>
          ) : null}
        </div>
        <TextField
          label={`${crew.name}: days off, as 2027-04-09 with commas`}
          value={setup.daysOff.join(', ')}
          onChange={(e) => change({ daysOff: e.target.value.split(/[,\s]+/).filter(Boolean) })}
          error={errorOf('daysOff')}
        />
      </div>
      <ProblemNote problem={problem} />
      <button type="button" className="btn btn-sm btn-primary mt-2" onClick={() => void save()}>
        Save {crew.name}
      </button>{' '}
      <span role="status">{saved ? 'Saved.' : ''}</span>
    </details>
  )
}
