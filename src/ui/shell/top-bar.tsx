'use client'
import Link from 'next/link'
import { usePathname, useRouter } from 'next/navigation'
import { useState } from 'react'
import { THEMES, UNIT_SYSTEMS, type Preferences } from '@/domain/people/people'
import { ROLE_NAMES, type Role } from '@/domain/people/roles'
import { send } from '@/ui/send'
import { usePerson } from '@/ui/person-context'

const VIEWS: readonly { href: string; label: string; roles?: readonly Role[] }[] = [
  { href: '/', label: 'Today' },
  { href: '/season', label: 'Season' },
  { href: '/planning', label: 'Plan', roles: ['owner', 'office'] },
  { href: '/rounds', label: 'Rounds' },
  { href: '/ponds', label: 'Ponds' },
  { href: '/field', label: 'Field sheet' },
  { href: '/customers', label: 'Customers', roles: ['owner', 'office'] },
]
/** Looked into now and then: behind one button. */
const MORE: typeof VIEWS = [
  { href: '/water', label: 'Water lab' },
  { href: '/practice-pond', label: 'Practice pond' },
  { href: '/map', label: 'Map' },
  { href: '/plants', label: 'Plants' },
  { href: '/stores', label: 'Stores' },
  { href: '/letters', label: 'Letters', roles: ['owner', 'office'] },
  { href: '/exchange', label: 'Exchange', roles: ['owner', 'office'] },
  { href: '/prices', label: 'Prices', roles: ['owner', 'office', 'designer'] },
  { href: '/practice', label: 'House practice', roles: ['owner', 'office', 'designer'] },
  { href: '/people', label: 'People' },
]
const THEME_NAMES = { light: 'Light', dark: 'Dark', sun: 'Sun' } as const
const UNIT_NAMES = { metric: 'm, °C', us: 'ft, °F' } as const

export function TopBar() {
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
  const signOut = async (everywhere: boolean) => {
    // the device's store is loaded for this alone
    const { forgetDevice, unsent } = await import('@/ui/field/device/field-device')
    const left = await unsent().catch(() => 0)
    if (left > 0 && !window.confirm(`${left} things of the field sheet are not sent yet. Signing out forgets them. Sign out all the same?`)) return
    await send('POST', '/api/v1/sign-out', { everywhere })
    // nothing of the firm stays on a device that is signed out
    await forgetDevice().catch(() => undefined)
    window.location.assign('/sign-in')
  }
  return (
    <header className="top-bar">
      <a className="skip-link" href="#main">
        Skip to the page
      </a>
      <span className="firm">{person.firmName}</span>
      <nav aria-label="Main views">
        {VIEWS.filter(mine).map((view) => (
          <Link key={view.href} href={view.href} aria-current={here(view.href) ? 'page' : undefined}>
            {view.label}
          </Link>
        ))}
        {/* a new page closes it */}
        <details key={path} className="more" data-here={MORE.some((view) => here(view.href))}>
          <summary>More</summary>
          <div>
            {MORE.filter(mine).map((view) => (
              <Link key={view.href} href={view.href} aria-current={here(view.href) ? 'page' : undefined}>
                {view.label}
              </Link>
            ))}
          </div>
        </details>
      </nav>
      <div className="tools">
        <select
          className="form-select form-select-sm w-auto"
          aria-label="Units"
          disabled={busy}
          value={person.preferences.units}
          onChange={(e) => void prefer({ units: e.target.value as Preferences['units'] })}
        >
          {UNIT_SYSTEMS.map((u) => (
            <option key={u} value={u}>
              {UNIT_NAMES[u]}
            </option>
          ))}
        </select>
        <select
          className="form-select form-select-sm w-auto"
          aria-label="Theme"
          disabled={busy}
          value={person.preferences.theme}
          onChange={(e) => void prefer({ theme: e.target.value as Preferences['theme'] })}
        >
          {THEMES.map((t) => (
            <option key={t} value={t}>
              {THEME_NAMES[t]}
            </option>
          ))}
        </select>
        <details className="dropdown">
          <summary className="btn btn-sm btn-outline-secondary">{person.name}</summary>
          <div className="dropdown-menu show end-0 p-2" style={{ minWidth: '13rem' }}>
            <p className="small soft mb-2">{ROLE_NAMES[person.role]}</p>
            <button className="btn btn-sm btn-outline-secondary w-100 mb-1" onClick={() => void signOut(false)}>
              Sign out
            </button>
            <button className="btn btn-sm btn-outline-secondary w-100" onClick={() => void signOut(true)}>
              Sign out everywhere
            </button>
          </div>
        </details>
      </div>
    </header>
  )
}
