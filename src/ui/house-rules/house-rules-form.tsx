'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useState } from 'react'
import { SIZING_METHODS } from '@/core/filter/house-rules'
import { may } from '@/domain/people/roles'
import { HouseRules } from '@/domain/house-rules/house-rules'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { usePerson, useShow } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { choiceName, FIGURES, SWITCHES, type Figure } from './switches'

/** Both answers to whatever differs, after someone else saved first. */
function SavedMeanwhile({ mine, theirs }: { mine: HouseRules; theirs: HouseRules }) {
  const t = useTexts()

  const show = useShow()
  const word = (rules: HouseRules, key: Figure) => show(rules[key], FIGURES.find((f) => f.key === key)!.kind)
  return (
    <ul>
      {mine.sizingMethod === theirs.sizingMethod ? null : (
        <li>
          {t('houseRules.houseRulesForm.houseMethodYouChose', {
            sizingMethod: t(`design.methodNames.${mine.sizingMethod}`).toLowerCase(),
            sizingMethod2: t(`design.methodNames.${theirs.sizingMethod}`).toLowerCase(),
          })}
        </li>
      )}
      {SWITCHES.filter(({ key }) => mine[key] !== theirs[key]).map(({ key, label }) => (
        <li key={key}>
          {t('houseRules.houseRulesForm.youChoseSavedMeanwhile', {
            label: t(label),
            mine: t(choiceName(mine, key)).toLowerCase(),
            theirs: t(choiceName(theirs, key)).toLowerCase(),
          })}
        </li>
      ))}
      {FIGURES.filter(({ key }) => mine[key] !== theirs[key]).map(({ key, label }) => (
        <li key={key}>
          {t('houseRules.houseRulesForm.youEnteredSavedMeanwhile', {
            label: t(label),
            mine: word(mine, key),
            theirs: word(theirs, key),
          })}
        </li>
      ))}
      <li>{t('houseRules.houseRulesForm.openPageAgainGo')}</li>
    </ul>
  )
}

/** Where good contractors disagree, this firm's answers. */
export function HouseRulesForm({ rules, version }: { rules: HouseRules; version: number }) {
  const t = useTexts()

  const { role } = usePerson()
  // what this form last saw; a later save by someone else is then a conflict
  const [seenVersion, setSeenVersion] = useState(version)
  const {
    values: draft,
    put,
    errorOf,
    submit,
    problem,
    saved,
    sending,
    ready,
  } = useSchemaForm({ schema: HouseRules, values: rules, part: 'rules' })
  const locked = !may(role, 'houseRules.write')
  const stateText = () => {
    if (sending) return t('houseRules.houseRulesForm.saving')
    if (saved) return t('houseRules.houseRulesForm.savedSizesFollowOnce')
    return ''
  }
  return (
    <>
      <div className="page-head">
        <h1>{t('houseRules.houseRulesForm.houseRules')}</h1>
        <span className="soft">
          {locked ? t('houseRules.houseRulesForm.setOwner') : t('houseRules.houseRulesForm.whatYourFirmHas')}
        </span>
        <Link href="/house-rules/constants" className="btn btn-sm btn-outline-secondary ms-auto">
          {t('houseRules.constants.title')}
        </Link>
        <Link href="/visit-types" className="btn btn-sm btn-outline-secondary">
          {t('houseRules.houseRulesForm.stepsVisits')}
        </Link>
      </div>
      <form
        noValidate
        onSubmit={submit(
          (body) => send('PUT', '/api/v1/house-rules', { version: seenVersion, rules: body }),
          () => setSeenVersion(seenVersion + 1),
        )}
      >
        <fieldset className="sheet" disabled={locked || !ready}>
          <legend>{t('houseRules.houseRulesForm.filterSizeHouseMethod')}</legend>
          {SIZING_METHODS.map((sizingMethod) => (
            <label key={sizingMethod} className="d-block mb-2">
              <input
                type="radio"
                className="form-check-input me-2"
                name="sizing-method"
                checked={draft.sizingMethod === sizingMethod}
                onChange={() => put({ sizingMethod })}
              />
              <strong>{t(`design.methodNames.${sizingMethod}`)}</strong>
              <span className="soft d-block ms-4">{t(`design.methodArguments.${sizingMethod}`)}</span>
            </label>
          ))}
        </fieldset>
        {SWITCHES.map(({ key, label, options }) => (
          <fieldset key={key} className="sheet" disabled={locked || !ready}>
            <legend>{t(label)}</legend>
            {options.map((option) => (
              <label key={String(option.value)} className="d-block mb-2">
                <input
                  type="radio"
                  className="form-check-input me-2"
                  name={key}
                  checked={draft[key] === option.value}
                  onChange={() => put({ [key]: option.value })}
                />
                <strong>{t(option.name)}</strong>
                <span className="soft d-block ms-4">{t(option.argument)}</span>
              </label>
            ))}
          </fieldset>
        ))}
        <fieldset className="sheet" disabled={locked || !ready}>
          <legend>{t('houseRules.houseRulesForm.year')}</legend>
          <div className="field-grid" style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(13rem, 1fr))' }}>
            {FIGURES.map(({ key, label, kind }) => (
              <QuantityField
                key={key}
                label={t(label)}
                kind={kind}
                value={draft[key]}
                onChange={(v) => put({ [key]: v ?? Number.NaN })}
                error={errorOf(key)}
                disabled={locked}
              />
            ))}
          </div>
        </fieldset>
        <ProblemNote problem={problem} />
        {problem?.kind === 'conflict' ? (
          <SavedMeanwhile mine={draft} theirs={(problem.current as { rules: HouseRules }).rules} />
        ) : null}
        <p role="status" className="mb-2">
          {stateText()}
        </p>
        {locked ? null : (
          <button className="btn btn-primary" disabled={sending}>
            {t('houseRules.houseRulesForm.saveHouseRules')}
          </button>
        )}
      </form>
    </>
  )
}
