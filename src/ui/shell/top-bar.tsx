'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { useState } from 'react'
import Nav from 'react-bootstrap/Nav'
import NavDropdown from 'react-bootstrap/NavDropdown'
import Navbar from 'react-bootstrap/Navbar'
import { Icon } from '@/ui/kit/icon'
import { usePerson } from '@/ui/person-context'
import { AccountMenu } from './account-menu'
import { isWithin, menuOf, type MenuArea } from './areas'
import { SearchButton } from './search/search-button'

/** The bar above every page of the desk: the menu by areas, search, the account; on a narrow screen it is folded. */
export function TopBar() {
  const t = useTexts()

  const { firmName, role } = usePerson()
  const path = usePathname()
  // where it was unfolded: a new page folds it again
  const [openAt, setOpenAt] = useState<string | null>(null)
  const open = openAt === path
  return (
    <Navbar
      as="header"
      role="banner"
      expand="xl"
      className="top-bar no-print"
      expanded={open}
      onToggle={(expanded) => setOpenAt(expanded ? path : null)}
    >
      <a className="skip-link" href="#main">
        {t('shell.topBar.skipPage')}
      </a>
      <Link href="/" className="navbar-brand firm">
        {firmName}
      </Link>
      <span className="top-tools">
        <SearchButton />
        <AccountMenu />
        <Navbar.Toggle aria-controls="main-menu" label={t('shell.topBar.menu')}>
          <Icon name="list" />
        </Navbar.Toggle>
      </span>
      <Navbar.Collapse id="main-menu">
        <Nav as="nav" aria-label={t('shell.topBar.mainViews')}>
          {menuOf(role).map((area) => (
            <Area key={area.pages[0]!.href} area={area} path={path} />
          ))}
        </Nav>
      </Navbar.Collapse>
    </Navbar>
  )
}

function Area({ area, path }: { area: MenuArea; path: string }) {
  const t = useTexts()

  const [page, ...others] = area.pages
  const current = (href: string) => (isWithin(path, href) ? ('page' as const) : undefined)
  if (others.length === 0)
    return (
      <Link href={page!.href} className="nav-link" aria-current={current(page!.href)}>
        {t(area.label)}
      </Link>
    )
  return (
    // a new page closes it
    <NavDropdown
      key={path}
      id={`menu-of-${page!.href.slice(1)}`}
      title={t(area.label)}
      active={area.pages.some(({ href }) => isWithin(path, href))}
    >
      {area.pages.map(({ href, label }) => (
        <NavDropdown.Item key={href} as={Link} href={href} active={false} aria-current={current(href)}>
          {t(label)}
        </NavDropdown.Item>
      ))}
    </NavDropdown>
  )
}
