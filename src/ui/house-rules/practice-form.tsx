'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { SCHOOLS } from '@/core/filter/house-rules'
import { may } from '@/domain/people/roles'
import type { HousePractice } from '@/domain/house-rules/house-rules'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { usePerson, useShow } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'
import { choiceName, FIGURES, SWITCHES, type Figure } from './switches'

/** Both answers to whatever differs, after someone else saved first. */
function SavedMeanwhile({ mine, theirs }: { mine: HousePractice; theirs: HousePractice }) {
  const t = useTexts()

  const show = useShow()
  const word = (practice: HousePractice, key: Figure) => show(practice[key], FIGURES.find((f) => f.key === key)!.kind)
  return (
    <ul>
      {mine.school === theirs.school ? null : (
        <li>
          {t('houseRules.practiceForm.houseSchoolYouChose', {
            school: t(`design.schoolNames.${mine.school}`).toLowerCase(),
            school2: t(`design.schoolNames.${theirs.school}`).toLowerCase(),
          })}
        </li>
      )}
      {SWITCHES.filter(({ key }) => mine[key] !== theirs[key]).map(({ key, label }) => (
        <li key={key}>
          {t('houseRules.practiceForm.youChoseSavedMeanwhile', {
            label: t(label),
            mine: t(choiceName(mine, key)).toLowerCase(),
            theirs: t(choiceName(theirs, key)).toLowerCase(),
          })}
        </li>
      ))}
      {FIGURES.filter(({ key }) => mine[key] !== theirs[key]).map(({ key, label }) => (
        <li key={key}>{t('houseRules.practiceForm.youEnteredSavedMeanwhile', { label: t(label), mine: word(mine, key), theirs: word(theirs, key) })}</li>
      ))}
      <li>{t('houseRules.practiceForm.openPageAgainGo')}</li>
    </ul>
  )
}

/** Where good contractors disagree, this firm's answers. */
export function PracticeForm({ practice, version }: { practice: HousePractice; version: number }) {
  const t = useTexts()

  const router = useRouter()
  const { role } = usePerson()
  const [draft, setDraft] = useState(practice)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [state, setState] = useState<'open' | 'saving' | 'saved'>('open')
  // what this form last saw; a later save by someone else is then a conflict
  const [seenVersion, setSeenVersion] = useState(version)
  const locked = !may(role, 'practice.write')
  const save = async () => {
    setState('saving')
    const outcome = await send('PUT', '/api/v1/practice', { version: seenVersion, practice: draft })
    setProblem(outcome.ok ? null : outcome.problem)
    setState(outcome.ok ? 'saved' : 'open')
    if (!outcome.ok) return
    setSeenVersion(seenVersion + 1)
    router.refresh()
  }
  return (
    <>
      <div className="page-head">
        <h1>{t('houseRules.practiceForm.housePractice')}</h1>
        <span className="soft">{locked ? t('houseRules.practiceForm.setOwner') : t('houseRules.practiceForm.whatYourFirmHas')}</span>
        <Link href="/practice/jobs" className="btn btn-sm btn-outline-secondary ms-auto">
          {t('houseRules.practiceForm.stepsVisits')}
        </Link>
      </div>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          void save()
        }}
      >
        <fieldset className="sheet" disabled={locked}>
          <legend>{t('houseRules.practiceForm.filterSizeHouseSchool')}</legend>
          {SCHOOLS.map((school) => (
            <label key={school} className="d-block mb-2">
              <input
                type="radio"
                className="form-check-input me-2"
                name="school"
                checked={draft.school === school}
                onChange={() => setDraft({ ...draft, school })}
              />
              <strong>{t(`design.schoolNames.${school}`)}</strong>
              <span className="soft d-block ms-4">{t(`design.schoolArguments.${school}`)}</span>
            </label>
          ))}
        </fieldset>
        {SWITCHES.map(({ key, label, options }) => (
          <fieldset key={key} className="sheet" disabled={locked}>
            <legend>{t(label)}</legend>
            {options.map((option) => (
              <label key={String(option.value)} className="d-block mb-2">
                <input
                  type="radio"
                  className="form-check-input me-2"
                  name={key}
                  checked={draft[key] === option.value}
                  onChange={() => setDraft({ ...draft, [key]: option.value })}
                />
                <strong>{t(option.name)}</strong>
                <span className="soft d-block ms-4">{t(option.argument)}</span>
              </label>
            ))}
          </fieldset>
        ))}
        <fieldset className="sheet" disabled={locked}>
          <legend>{t('houseRules.practiceForm.year')}</legend>
          <div className="field-grid" style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(13rem, 1fr))' }}>
            {FIGURES.map(({ key, label, kind }) => (
              <QuantityField
                key={key}
                label={t(label)}
                kind={kind}
                value={draft[key]}
                onChange={(v) => setDraft({ ...draft, [key]: v ?? Number.NaN })}
                error={problem?.fields?.find((f) => f.path === `practice.${key}`)?.message}
                disabled={locked}
              />
            ))}
          </div>
        </fieldset>
        <ProblemNote problem={problem} />
        {problem?.kind === 'conflict' ? <SavedMeanwhile mine={draft} theirs={(problem.current as { practice: HousePractice }).practice} /> : null}
        <p role="status" className="mb-2">
          {state === 'saving' ? t('houseRules.practiceForm.saving') : state === 'saved' ? t('houseRules.practiceForm.savedSizesFollowOnce') : ''}
        </p>
        {locked ? null : (
          <button className="btn btn-primary" disabled={state === 'saving'}>
            {t('houseRules.practiceForm.saveHousePractice')}
          </button>
        )}
      </form>
    </>
  )
}
