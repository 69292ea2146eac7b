'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { usePathname, useRouter } from 'next/navigation'
import { useState } from 'react'
import { THEMES, UNIT_SYSTEMS, type Preferences } from '@/domain/people/people'
import { type Role } from '@/domain/people/roles'
import { send } from '@/ui/send'
import { usePerson } from '@/ui/person-context'
import { useConfirm } from '@/ui/kit/confirm'

const VIEWS: readonly { href: string; label: TextId; roles?: readonly Role[] }[] = [
  { href: '/', label: textId('shell.topBar.today') },
  { href: '/season', label: textId('shell.topBar.season') },
  { href: '/planning', label: textId('shell.topBar.plan'), roles: ['owner', 'office'] },
  { href: '/rounds', label: textId('shell.topBar.rounds') },
  { href: '/ponds', label: textId('shell.topBar.ponds') },
  { href: '/field', label: textId('shell.topBar.fieldSheet') },
  { href: '/customers', label: textId('shell.topBar.customers'), roles: ['owner', 'office'] },
]
/** Looked into now and then: behind one button. */
const MORE: typeof VIEWS = [
  { href: '/forecasts', label: textId('shell.topBar.forecasts') },
  { href: '/trainer', label: textId('shell.topBar.trainingPond') },
  { href: '/map', label: textId('shell.topBar.map') },
  { href: '/plants', label: textId('shell.topBar.plants') },
  { href: '/stores', label: textId('shell.topBar.stores') },
  { href: '/messages', label: textId('shell.topBar.messages'), roles: ['owner', 'office'] },
  { href: '/import-export', label: textId('shell.topBar.exchange'), roles: ['owner', 'office'] },
  { href: '/prices', label: textId('shell.topBar.prices'), roles: ['owner', 'office', 'designer'] },
  { href: '/house-rules', label: textId('shell.topBar.houseRules'), roles: ['owner', 'office', 'designer'] },
  { href: '/people', label: textId('shell.topBar.people') },
]
const THEME_NAMES = {
  light: textId('shell.topBar.light'),
  dark: textId('shell.topBar.dark'),
  sun: textId('shell.topBar.sun'),
} as const
const UNIT_NAMES = { metric: textId('shell.topBar.mC'), us: textId('shell.topBar.ftF') } as const

export function TopBar() {
  const t = useTexts()

  const person = usePerson()
  const path = usePathname()
  const router = useRouter()
  const [busy, setBusy] = useState(false)
  const here = (href: string) => (href === '/' ? path === '/' : path === href || path.startsWith(`${href}/`))

  const mine = (view: (typeof VIEWS)[number]) => !view.roles || view.roles.includes(person.role)

  const prefer = async (change: Partial<Preferences>) => {
    setBusy(true)
    if (change.theme) document.documentElement.dataset.bsTheme = change.theme
    await send('PUT', '/api/v1/preferences', { ...person.preferences, ...change })
    setBusy(false)
    router.refresh()
  }
  const confirm = useConfirm()
  const signOut = async (everywhere: boolean) => {
    // the device's store is loaded for this alone
    const { forgetDevice, unsent } = await import('@/ui/field/device/field-device')
    const left = await unsent().catch(() => 0)
    const question = {
      words: t('shell.topBar.confirmSignOut', { left }),
      goOn: t('shell.topBar.signOutAnyway'),
      danger: true,
    }
    if (left > 0 && !(await confirm(question))) return
    await send('POST', '/api/v1/sign-out', { everywhere })
    // nothing of the firm stays on a device that is signed out
    await forgetDevice().catch(() => undefined)
    window.location.assign('/sign-in')
  }
  return (
    <header className="top-bar">
      <a className="skip-link" href="#main">
        {t('shell.topBar.skipPage')}
      </a>
      <span className="firm">{person.firmName}</span>
      <nav aria-label={t('shell.topBar.mainViews')}>
        {VIEWS.filter(mine).map((view) => (
          <Link key={view.href} href={view.href} aria-current={here(view.href) ? 'page' : undefined}>
            {t(view.label)}
          </Link>
        ))}
        {/* a new page closes it */}
        <details key={path} className="more" data-here={MORE.some((view) => here(view.href))}>
          <summary>{t('shell.topBar.more')}</summary>
          <div>
            {MORE.filter(mine).map((view) => (
              <Link key={view.href} href={view.href} aria-current={here(view.href) ? 'page' : undefined}>
                {t(view.label)}
              </Link>
            ))}
          </div>
        </details>
      </nav>
      <div className="tools">
        <select
          className="form-select form-select-sm w-auto"
          aria-label={t('shell.topBar.units')}
          disabled={busy}
          value={person.preferences.units}
          onChange={(e) => void prefer({ units: e.target.value as Preferences['units'] })}
        >
          {UNIT_SYSTEMS.map((u) => (
            <option key={u} value={u}>
              {t(UNIT_NAMES[u])}
            </option>
          ))}
        </select>
        <select
          className="form-select form-select-sm w-auto"
          aria-label={t('shell.topBar.theme')}
          disabled={busy}
          value={person.preferences.theme}
          onChange={(e) => void prefer({ theme: e.target.value as Preferences['theme'] })}
        >
          {THEMES.map((theme) => (
            <option key={theme} value={theme}>
              {t(THEME_NAMES[theme])}
            </option>
          ))}
        </select>
        <details className="dropdown">
          <summary className="btn btn-sm btn-outline-secondary">{person.name}</summary>
          <div className="dropdown-menu show end-0 p-2" style={{ minWidth: '13rem' }}>
            <p className="small soft mb-2">{t(`people.roleNames.${person.role}`)}</p>
            <button className="btn btn-sm btn-outline-secondary w-100 mb-1" onClick={() => void signOut(false)}>
              {t('shell.topBar.signOut')}
            </button>
            <button className="btn btn-sm btn-outline-secondary w-100" onClick={() => void signOut(true)}>
              {t('shell.topBar.signOutEverywhere')}
            </button>
          </div>
        </details>
      </div>
    </header>
  )
}
