'use client'
import dynamic from 'next/dynamic'
import { usePathname } from 'next/navigation'
import { useEffect, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Icon } from '@/ui/kit/icon'
import { useTexts } from '@/ui/kit/texts'
import { usePageKeys } from './page-keys'

// looked at now and then: neither is part of what a page loads first
const loadPalette = () => import('./search-palette').then((m) => m.SearchPalette)
const SearchPalette = dynamic(loadPalette)
const ShortcutList = dynamic(() => import('./shortcut-list').then((m) => m.ShortcutList))

const SETTLED_MS = 1500

type Opened = 'search' | 'shortcuts'

/** The way to everything: a press, Ctrl or ⌘ K, or "/"; "?" lists the shortcuts. */
export function SearchButton() {
  const t = useTexts()

  const path = usePathname()
  // belongs to the page it was opened on: whoever went on from there sees the next page
  const [{ what, at }, setOpened] = useState<{ what: Opened | null; at: string }>({ what: null, at: '' })
  const opened = at === path ? what : null
  const open = (wanted: Opened) => setOpened({ what: wanted, at: path })
  const close = () => setOpened({ what: null, at: '' })
  useHotkeys('mod+k', () => open('search'), { preventDefault: true, enableOnFormTags: true })
  useHotkeys('/', () => open('search'), { preventDefault: true, useKey: true, ignoreModifiers: true })
  useHotkeys('?', () => open('shortcuts'), { preventDefault: true, useKey: true, ignoreModifiers: true })
  usePageKeys()
  // fetched once the page has settled: whoever types on at once after the keys loses none of it
  useEffect(() => {
    const timer = setTimeout(() => void loadPalette().catch(() => undefined), SETTLED_MS)
    return () => clearTimeout(timer)
  }, [])
  return (
    <>
      <button type="button" className="btn btn-sm search-button" onClick={() => open('search')}>
        <Icon name="search" /> <span className="word">{t('search.palette.search')}</span>{' '}
        <kbd aria-hidden="true">{t('search.palette.keys')}</kbd>
      </button>
      {opened === 'search' ? <SearchPalette onClose={close} onShortcuts={() => open('shortcuts')} /> : null}
      {opened === 'shortcuts' ? <ShortcutList onClose={close} /> : null}
    </>
  )
}
