'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { KIT, SKILLS } from '@/core/visits/planning-facts'
import { CrewSetup } from '@/domain/people/crew-setup'
import type { Crew } from '@/domain/people/people'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

/** What a crew can do, carries and when it works: plans go by it. */
export function CrewSetupForm({ crew }: { crew: Crew }) {
  const t = useTexts()

  const [version, setVersion] = useState(crew.version)
  const {
    values: setup,
    put: change,
    submit,
    problem,
    saved,
    sending,
    ...form
  } = useSchemaForm({ schema: CrewSetup, values: crew.setup, part: 'setup' })
  const errorOf = (path: string) => form.errorOf(path) ?? form.errorOf(`${path}.0`)
  const shown = (value: number) => (Number.isFinite(value) ? value : null)
  const toggled = <Word extends string>(list: readonly Word[], word: Word, on: boolean): Word[] =>
    on ? [...list, word] : list.filter((w) => w !== word)
  return (
    <details className="mb-2">
      <summary>
        <strong>{crew.name}</strong>{' '}
        <span className="soft">
          {setup.starts}–{setup.ends},{' '}
          {setup.skills.map((s) => t(`people.skillNames.${s}`)).join(', ') || t('people.crewSetupForm.noSpecialSkills')}
        </span>
      </summary>
      <form
        method="post"
        noValidate
        onSubmit={submit(
          (body) => send('PUT', `/api/v1/crews/${crew.id}`, { version, setup: body }),
          () => setVersion(version + 1),
        )}
      >
        <div className="d-flex flex-wrap gap-4 mt-1">
          <fieldset>
            <legend className="fs-6 mb-0">{t('people.crewSetupForm.mayDo')}</legend>
            {SKILLS.map((skill) => (
              <CheckField
                key={skill}
                label={t(`people.skillNames.${skill}`)}
                checked={setup.skills.includes(skill)}
                onChange={(on) => change({ skills: toggled(setup.skills, skill, on) })}
              />
            ))}
          </fieldset>
          <fieldset>
            <legend className="fs-6 mb-0">{t('people.crewSetupForm.carries')}</legend>
            {KIT.map((kit) => (
              <CheckField
                key={kit}
                label={t(`people.kitNames.${kit}`)}
                checked={setup.kit.includes(kit)}
                onChange={(on) => change({ kit: toggled(setup.kit, kit, on) })}
              />
            ))}
          </fieldset>
          <div className="d-flex flex-wrap gap-4 w-100">
            <CheckField
              label={t('people.crewSetupForm.outdoorsOnlyDaylight')}
              checked={setup.daylightOnly}
              onChange={(daylightOnly) => change({ daylightOnly })}
            />
            <CheckField
              label={t('people.crewSetupForm.setsOutFromYard')}
              checked={setup.yard !== null}
              onChange={(on) => change({ yard: on ? { lat: Number.NaN, lon: Number.NaN } : null })}
            />
          </div>
          <div className="field-grid w-100">
            <TextField
              label={t('people.crewSetupForm.starts', { name: crew.name })}
              type="time"
              value={setup.starts}
              onChange={(e) => change({ starts: e.target.value })}
              error={errorOf('starts')}
            />
            <TextField
              label={t('people.crewSetupForm.ends', { name: crew.name })}
              type="time"
              value={setup.ends}
              onChange={(e) => change({ ends: e.target.value })}
              error={errorOf('ends')}
            />
            <QuantityField
              label={t('people.crewSetupForm.breakMinutes', { name: crew.name })}
              kind="number"
              value={setup.breakMin}
              onChange={(v) => change({ breakMin: v ?? Number.NaN })}
              error={errorOf('breakMin')}
            />
            <QuantityField
              label={t('people.crewSetupForm.overtimeMostMinutes', { name: crew.name })}
              kind="number"
              value={setup.overtimeMin}
              onChange={(v) => change({ overtimeMin: v ?? Number.NaN })}
              error={errorOf('overtimeMin')}
            />
            <QuantityField
              label={t('people.crewSetupForm.takesAwayDay', { name: crew.name })}
              kind="volume"
              value={setup.carriesM3}
              onChange={(v) => change({ carriesM3: v ?? Number.NaN })}
              error={errorOf('carriesM3')}
            />
            <QuantityField
              label={t('people.crewSetupForm.holdingTanks', { name: crew.name })}
              kind="volume"
              value={setup.tankM3}
              onChange={(v) => change({ tankM3: v ?? Number.NaN })}
              error={errorOf('tankM3')}
            />
            {setup.yard ? (
              <>
                <QuantityField
                  label={t('people.crewSetupForm.yardLatitude', { name: crew.name })}
                  kind="number"
                  value={shown(setup.yard.lat)}
                  onChange={(v) => change({ yard: { ...setup.yard!, lat: v ?? Number.NaN } })}
                  error={errorOf('yard.lat')}
                />
                <QuantityField
                  label={t('people.crewSetupForm.yardLongitude', { name: crew.name })}
                  kind="number"
                  value={shown(setup.yard.lon)}
                  onChange={(v) => change({ yard: { ...setup.yard!, lon: v ?? Number.NaN } })}
                  error={errorOf('yard.lon')}
                />
              </>
            ) : null}
          </div>
          <TextField
            label={t('people.crewSetupForm.daysOff202704', { name: crew.name })}
            value={setup.daysOff.join(', ')}
            onChange={(e) => change({ daysOff: e.target.value.split(/[,\s]+/).filter(Boolean) })}
            error={errorOf('daysOff')}
          />
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-sm btn-primary mt-2" disabled={sending}>
          {t('people.crewSetupForm.save', { name: crew.name })}
        </button>{' '}
        <span role="status">{saved ? t('people.crewSetupForm.saved') : ''}</span>
      </form>
    </details>
  )
}
