'use client'
import { usePathname, useRouter, useSearchParams } from 'next/navigation'
import { useEffect, useEffectEvent, useState } from 'react'
import { useConfirm } from '@/ui/kit/confirm'
import { useTexts } from '@/ui/kit/texts'
import { hasUnsaved } from '@/ui/kit/unsaved'

/** The page of the app that a press leads to; null where the press does something else. */
function pageOf(event: MouseEvent): URL | null {
  const link = event.target instanceof Element ? event.target.closest('a[href]') : null
  if (!(link instanceof HTMLAnchorElement) || event.defaultPrevented || event.button !== 0) return null
  if (event.metaKey || event.ctrlKey || event.shiftKey || event.altKey) return null
  if ((link.target && link.target !== '_self') || link.hasAttribute('download')) return null
  const to = new URL(link.href, window.location.href)
  const isHere = to.pathname === window.location.pathname && to.search === window.location.search
  return to.origin !== window.location.origin || isHere || to.pathname.startsWith('/api/') ? null : to
}

/** A press that led nowhere, such as to a file, is no longer waited for. */
const GIVEN_UP_MS = 15_000

/**
 * Going from page to page: a line at the top of the window while the next one is on its way, and a question before
 * something that was entered is lost.
 */
export function PageChange() {
  const t = useTexts()

  const confirm = useConfirm()
  const router = useRouter()
  const here = `${usePathname()}?${useSearchParams().toString()}`
  /** The page that was left; while it is still shown the next one is on its way. */
  const [left, setLeft] = useState<string | null>(null)
  // there: coming back to the page later is no going away from it
  if (left !== null && left !== here) setLeft(null)
  const pressed = useEffectEvent((event: MouseEvent) => {
    const to = pageOf(event)
    if (!to) return
    if (!hasUnsaved() || to.pathname === window.location.pathname) return setLeft(here)
    event.preventDefault()
    event.stopPropagation()
    void confirm({ words: t('shell.pageChange.notSaved'), goOn: t('shell.pageChange.leave'), danger: true }).then(
      (yes) => {
        if (!yes) return
        setLeft(here)
        router.push(to.pathname + to.search + to.hash)
      },
    )
  })
  useEffect(() => {
    const onPress = (event: MouseEvent) => pressed(event)
    // before a link takes the press for itself
    document.addEventListener('click', onPress, { capture: true })
    return () => document.removeEventListener('click', onPress, { capture: true })
  }, [])
  useEffect(() => {
    if (left === null) return
    const given = setTimeout(() => setLeft(null), GIVEN_UP_MS)
    return () => clearTimeout(given)
  }, [left])
  return left === here ? (
    <div className="page-change" role="progressbar" aria-label={t('shell.pageChange.loading')} />
  ) : null
}
