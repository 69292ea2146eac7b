'use client'
import { useRouter } from 'next/navigation'
import { useHotkeys } from 'react-hotkeys-hook'
import { usePerson } from '@/ui/person-context'
import { menuOf, type MenuPage } from '../areas'

/** The second key after "g", by the page that it goes to. */
const KEYS: Readonly<Record<string, string>> = {
  '/': 't',
  '/season': 's',
  '/planning': 'b',
  '/rounds': 'r',
  '/map': 'm',
  '/ponds': 'p',
  '/customers': 'c',
  '/proposals': 'o',
  '/forecasts': 'w',
  '/field': 'f',
}

export interface PageKey {
  readonly key: string
  readonly page: MenuPage
}

/** Pages that this person reaches by two keys, in the order of the menu. */
export function usePageKeyList(): readonly PageKey[] {
  const { role } = usePerson()
  return menuOf(role)
    .flatMap(({ pages }) => pages)
    .flatMap((page) => (KEYS[page.href] ? [{ key: KEYS[page.href]!, page }] : []))
}

/** Goes to a page by "g" and its key, one after the other. */
export function usePageKeys(): void {
  const router = useRouter()
  const pages = usePageKeyList()
  useHotkeys(
    pages.map(({ key }) => `g>${key}`),
    (_, { keys }) => {
      const wanted = pages.find(({ key }) => key === keys?.at(-1))
      if (wanted) router.push(wanted.page.href)
    },
    [pages],
  )
}
