'use client'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { usePathname } from 'next/navigation'
import { useEffect, useState } from 'react'
import { may } from '@/domain/people/roles'
import { fieldHref } from '@/domain/field/field-href'
import { wordsOf, type SearchHit } from '@/domain/search/search'
import { speciesName } from '@/messages/plants/species-name'
import { useTexts, textId, type TextId, type Texts } from '@/ui/kit/texts'
import type { Theme } from '@/ui/kit/theme'
import { fetchJson } from '@/ui/send'
import { usePerson } from '@/ui/person-context'
import { pondTabs } from '@/ui/ponds/workspace/tabs'
import { menuOf } from '../areas'
import { usePreferences } from '../use-preferences'

export type Group = SearchHit['kind'] | 'page' | 'thisPond' | 'action'

/** A line of the list: where it leads, or what it does. */
export interface Entry {
  readonly key: string
  readonly group: Group
  readonly title: string
  readonly detail: string
  readonly href?: string
  readonly act?: () => void
}

/** In the order that they are shown in. */
export const GROUPS: readonly { group: Group; label: TextId }[] = [
  { group: 'pond', label: textId('search.palette.pond') },
  { group: 'thisPond', label: textId('search.palette.thisPond') },
  { group: 'page', label: textId('search.palette.page') },
  { group: 'visit', label: textId('search.palette.visit') },
  { group: 'customer', label: textId('search.palette.customer') },
  { group: 'proposal', label: textId('search.palette.proposal') },
  { group: 'equipment', label: textId('search.palette.equipment') },
  { group: 'plant', label: textId('search.palette.plant') },
  { group: 'stock', label: textId('search.palette.stock') },
  { group: 'action', label: textId('search.palette.action') },
]

/** A moment without a key before the office is asked: a word is not asked for letter by letter. */
const PAUSE_MS = 120

/** What the office finds for a query; what it found last stays until the next answer. */
export function useHits(q: string): { entries: readonly Entry[]; looking: boolean; failed: boolean } {
  const t = useTexts()

  const [asked, setAsked] = useState('')
  useEffect(() => {
    const timer = setTimeout(() => setAsked(q.trim()), PAUSE_MS)
    return () => clearTimeout(timer)
  }, [q])
  const { data, isFetching, isError } = useQuery<readonly SearchHit[]>({
    queryKey: ['search', asked],
    enabled: asked !== '',
    placeholderData: keepPreviousData,
    queryFn: async ({ signal }) => {
      const answer = await fetchJson<{ hits: readonly SearchHit[] }>(
        `/api/v1/search?q=${encodeURIComponent(asked)}`,
        signal,
      )
      if (!answer.ok) throw new Error(answer.problem.title)
      return answer.value.hits
    },
  })
  if (asked === '') return { entries: [], looking: false, failed: false }
  return { entries: (data ?? []).map((hit) => entryOf(hit, t)), looking: isFetching, failed: isError }
}

const at = ({ siteName, pondName }: { siteName: string; pondName: string }) => `${siteName}: ${pondName}`

function entryOf(hit: SearchHit, t: Texts): Entry {
  const line = { key: `${hit.kind} ${hit.id}`, group: hit.kind }
  switch (hit.kind) {
    case 'pond':
      return { ...line, title: at(hit), detail: `${hit.customerName} · ${hit.town}`, href: `/ponds/${hit.id}` }
    case 'visit':
      return {
        ...line,
        title: t('search.palette.visitOn', { job: hit.jobName, day: t.datedDay(hit.day) }),
        detail: at(hit),
        href: hit.done ? `/visits/${hit.id}/report` : fieldHref(hit.id),
      }
    case 'customer':
      return { ...line, title: hit.name, detail: hit.sites.join(' · '), href: `/customers/${hit.id}` }
    case 'proposal':
      return {
        ...line,
        title: t('search.palette.proposalNumber', {
          number: hit.number,
          state: t(`proposals.stateNames.${hit.state}`),
        }),
        detail: at(hit),
        href: `/ponds/${hit.pondId}/design?part=price`,
      }
    case 'equipment':
      return { ...line, title: hit.name, detail: at(hit), href: `/ponds/${hit.pondId}/equipment` }
    case 'plant':
      return {
        ...line,
        title: speciesName(hit.speciesKey, t),
        detail: at(hit),
        href: `/ponds/${hit.pondId}/plants`,
      }
    case 'stock':
      return { ...line, title: hit.name, detail: hit.place, href: '/stores' }
  }
}

/** Pages, tabs of the pond that is open, and actions whose words hold what is typed. */
export function useOwnEntries(q: string, onShortcuts: () => void): readonly Entry[] {
  const t = useTexts()

  const { role } = usePerson()
  const { prefer } = usePreferences()
  const path = usePathname()
  const pondId = /^\/ponds\/([0-9a-f-]{36})/.exec(path)?.[1]
  const wearing = (theme: Theme, label: TextId): Entry => ({
    key: `wear ${theme}`,
    group: 'action',
    title: t(label),
    detail: '',
    act: () => void prefer({ theme }),
  })
  const pages = menuOf(role).flatMap((area) =>
    area.pages.map(({ href, label }): Entry => ({
      key: `page ${href}`,
      group: 'page',
      title: t(label),
      detail: area.pages.length > 1 ? t(area.label) : '',
      href,
    })),
  )
  const tabs = pondId
    ? pondTabs(role).map(({ key, path: below, label }): Entry => ({
        key: `tab ${key}`,
        group: 'thisPond',
        title: t(label),
        detail: '',
        href: `/ponds/${pondId}${below}`,
      }))
    : []
  const actions: Entry[] = [
    ...(may(role, 'ponds.write')
      ? [
          {
            key: 'add pond',
            group: 'action' as const,
            title: t('search.palette.addPond'),
            detail: '',
            href: '/ponds/new',
          },
        ]
      : []),
    wearing('light', textId('search.palette.wearLight')),
    wearing('dark', textId('search.palette.wearDark')),
    wearing('sun', textId('search.palette.wearSun')),
    {
      key: 'shortcuts',
      group: 'action',
      title: t('search.palette.showShortcuts'),
      detail: '?',
      // this list closes first
      act: () => setTimeout(onShortcuts),
    },
  ]
  const words = wordsOf(q)
  return [...tabs, ...pages, ...actions].filter(({ title, detail }) =>
    words.every((word) => `${title} ${detail}`.toLowerCase().includes(word)),
  )
}
