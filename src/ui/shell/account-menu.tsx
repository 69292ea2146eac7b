'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import Dropdown from 'react-bootstrap/Dropdown'
import Form from 'react-bootstrap/Form'
import { REGION_CHOICES, THEME_CHOICES, UNIT_SYSTEMS, type Preferences } from '@/domain/people/people'
import { useConfirm } from '@/ui/kit/confirm'
import { Icon } from '@/ui/kit/icon'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'
import { usePreferences } from './use-preferences'

const THEME_NAMES: Readonly<Record<Preferences['theme'], TextId>> = {
  system: textId('shell.accountMenu.asDevice'),
  light: textId('shell.accountMenu.light'),
  dark: textId('shell.accountMenu.dark'),
  sun: textId('shell.accountMenu.sun'),
}
const REGION_NAMES: Readonly<Record<Preferences['region'], TextId>> = {
  system: textId('shell.accountMenu.asBrowser'),
  'en-GB': textId('shell.accountMenu.dayFirst'),
  'en-US': textId('shell.accountMenu.monthFirst'),
}
const UNIT_NAMES: Readonly<Record<Preferences['units'], TextId>> = {
  metric: textId('shell.accountMenu.metric'),
  us: textId('shell.accountMenu.usCustomary'),
}

/** Who is signed in, how this person likes the pages, and the way out. */
export function AccountMenu() {
  const t = useTexts()

  const { name, role, preferences } = usePerson()
  const { busy, prefer } = usePreferences()
  const signOut = useSignOut()
  return (
    <Dropdown align="end" autoClose="outside">
      <Dropdown.Toggle
        variant="link"
        size="sm"
        className="account-button"
        aria-label={t('shell.accountMenu.of', { name })}
      >
        <Icon name="person-circle" /> <span className="name">{name}</span>
      </Dropdown.Toggle>
      <Dropdown.Menu className="account-menu p-3">
        <p className="mb-0 fw-semibold">{name}</p>
        <p className="small soft mb-2">{t(`people.roleNames.${role}`)}</p>
        <Preference
          id="units-of-person"
          label={t('shell.accountMenu.units')}
          disabled={busy}
          value={preferences.units}
          options={UNIT_SYSTEMS.map((units) => [units, t(UNIT_NAMES[units])] as const)}
          onChoose={(units) => void prefer({ units })}
        />
        <Preference
          id="region-of-person"
          label={t('shell.accountMenu.region')}
          disabled={busy}
          value={preferences.region}
          options={REGION_CHOICES.map((region) => [region, t(REGION_NAMES[region])] as const)}
          onChoose={(region) => void prefer({ region })}
        />
        <Preference
          id="theme-of-person"
          label={t('shell.accountMenu.theme')}
          disabled={busy}
          value={preferences.theme}
          options={THEME_CHOICES.map((theme) => [theme, t(THEME_NAMES[theme])] as const)}
          onChoose={(theme) => void prefer({ theme })}
        />
        <button className="btn btn-sm btn-outline-secondary w-100 mt-2 mb-2" onClick={() => void signOut(false)}>
          <Icon name="box-arrow-right" /> {t('shell.accountMenu.signOut')}
        </button>
        <button className="btn btn-sm btn-outline-secondary w-100" onClick={() => void signOut(true)}>
          {t('shell.accountMenu.signOutEverywhere')}
        </button>
      </Dropdown.Menu>
    </Dropdown>
  )
}

interface PreferenceProps<Choice extends string> {
  readonly id: string
  readonly label: string
  readonly disabled: boolean
  readonly value: Choice
  readonly options: readonly (readonly [Choice, string])[]
  readonly onChoose: (choice: Choice) => void
}

/** One of the ways in which this person likes the pages. */
function Preference<Choice extends string>(props: PreferenceProps<Choice>) {
  const { id, label, disabled, value, options, onChoose } = props
  return (
    <>
      <Form.Label htmlFor={id} className="mb-0 small">
        {label}
      </Form.Label>
      <Form.Select
        id={id}
        size="sm"
        className="mb-2"
        disabled={disabled}
        value={value}
        onChange={(e) => onChoose(e.target.value as Choice)}
      >
        {options.map(([choice, name]) => (
          <option key={choice} value={choice}>
            {name}
          </option>
        ))}
      </Form.Select>
    </>
  )
}

/** Signs out here or everywhere; what this device has not sent yet is asked about first. */
function useSignOut() {
  const t = useTexts()

  const confirm = useConfirm()
  return async (everywhere: boolean) => {
    // the device's store is loaded for this alone
    const { forgetDevice, unsent } = await import('@/ui/field/device/field-device')
    const left = await unsent().catch(() => 0)
    const question = {
      words: t('shell.accountMenu.confirmSignOut', { left }),
      goOn: t('shell.accountMenu.signOutAnyway'),
      danger: true,
    }
    if (left > 0 && !(await confirm(question))) return
    await send('POST', '/api/v1/sign-out', { everywhere })
    // nothing of the firm stays on a device that is signed out
    await forgetDevice().catch(() => undefined)
    window.location.assign('/sign-in')
  }
}
