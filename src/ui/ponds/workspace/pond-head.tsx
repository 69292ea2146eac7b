'use client'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import Dropdown from 'react-bootstrap/Dropdown'
import { may } from '@/domain/people/roles'
import type { PondHeadData } from '@/server/ponds/pond-pages'
import { Icon } from '@/ui/kit/icon'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'
import { PondChips } from '../pond-chips'
import { isOfTab, pondTabs, SUB_PAGES } from './tabs'

/** What stands above every page of a pond: whose it is, how it stands, what to do next, and its tabs. */
export function PondHead({ head }: { head: PondHeadData }) {
  const t = useTexts()

  const { role } = usePerson()
  const base = `/ponds/${head.id}`
  const below = usePathname().slice(base.length)
  const tabs = pondTabs(role)
  const open = tabs.find((tab) => isOfTab(tab, below))
  const subPages = (open && SUB_PAGES[open.key])?.filter(({ right }) => !right || may(role, right)) ?? []
  return (
    <div className="workspace-head">
      <div className="page-head mb-1">
        <h1>{head.name}</h1>
        <span className="soft among-words">
          {head.siteName}
          {head.address ? `, ${head.address}` : ''} ·{' '}
          {may(role, 'visits.plan') ? (
            <Link href={`/customers/${head.customer.id}`}>{head.customer.name}</Link>
          ) : (
            head.customer.name
          )}
          {head.onMap ? (
            <>
              {' · '}
              <Link href={`/map?pond=${head.id}`}>
                <Icon name="geo-alt" /> {t('ponds.workspace.onMap')}
              </Link>
            </>
          ) : null}
        </span>
        <PondActions head={head} />
      </div>
      <p className="chips mb-2">
        <PondChips state={head.state} />
        <Visits head={head} />
      </p>
      <nav className="tabs no-print" aria-label={t('ponds.workspace.pagesOfPond')}>
        {tabs.map((tab) => (
          <Link key={tab.key} href={`${base}${tab.path}`} aria-current={tab === open ? 'page' : undefined}>
            {t(tab.label)}
          </Link>
        ))}
      </nav>
      {subPages.length > 0 ? (
        <nav className="sub-tabs no-print" aria-label={t('ponds.workspace.pagesOfTab', { tab: t(open!.label) })}>
          {subPages.map(({ path, label }) => (
            <Link key={path} href={`${base}${path}`} aria-current={path === below ? 'page' : undefined}>
              {t(label)}
            </Link>
          ))}
        </nav>
      ) : null}
    </div>
  )
}

/** The next visit, and the last with its report. */
function Visits({ head: { state } }: { head: PondHeadData }) {
  const t = useTexts()

  const { lastVisit, nextVisit } = state
  return (
    <>
      <span className="soft">
        {nextVisit
          ? t('ponds.workspace.next', { job: nextVisit.jobName, day: t.shortDate(nextVisit.day) })
          : t('ponds.workspace.noNext')}
      </span>
      {lastVisit ? (
        <Link href={`/visits/${lastVisit.id}/report`}>
          {t('ponds.workspace.last', { job: lastVisit.jobName, day: t.shortDate(lastVisit.day) })}
        </Link>
      ) : null}
    </>
  )
}

/** One main action, the rest behind a button. */
function PondActions({ head }: { head: PondHeadData }) {
  const t = useTexts()

  const { role } = usePerson()
  const base = `/ponds/${head.id}`
  const plans = may(role, 'visits.plan')
  return (
    <span className="actions no-print">
      {plans ? (
        <Link className="btn btn-sm btn-primary" href={`${base}/plan`}>
          <Icon name="calendar-plus" /> {t('ponds.workspace.scheduleCleanout')}
        </Link>
      ) : null}
      <Dropdown align="end">
        <Dropdown.Toggle variant="outline-secondary" size="sm">
          {t('ponds.workspace.more')}
        </Dropdown.Toggle>
        <Dropdown.Menu>
          {plans ? (
            <>
              <Dropdown.Item as={Link} href={`${base}/plan?job=routine`}>
                {t('ponds.workspace.scheduleOther')}
              </Dropdown.Item>
              <Dropdown.Item as={Link} href={`${base}/rescue`}>
                {t('ponds.workspace.planRescue')}
              </Dropdown.Item>
            </>
          ) : null}
          <Dropdown.Item as={Link} href={`${base}/diagnosis`}>
            {t('ponds.workspace.diagnoseProblem')}
          </Dropdown.Item>
          <Dropdown.Item as={Link} href={`${base}/house-rules`}>
            {head.ownRules > 0 ? t('ponds.workspace.rulesOwn', { count: head.ownRules }) : t('ponds.workspace.rules')}
          </Dropdown.Item>
        </Dropdown.Menu>
      </Dropdown>
    </span>
  )
}
