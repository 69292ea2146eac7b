'use client'
import { useSyncExternalStore } from 'react'
import { THEMES } from '@/domain/people/people'
import type { Theme } from './theme'

/** Told whenever the page is dressed anew. */
function onDress(run: () => void): () => void {
  const observer = new MutationObserver(run)
  observer.observe(document.documentElement, { attributes: true, attributeFilter: ['data-bs-theme'] })
  return () => observer.disconnect()
}
const worn = (): Theme => THEMES.find((theme) => theme === document.documentElement.dataset.bsTheme) ?? 'light'

/** The theme that the page wears just now, for what is painted rather than styled. */
export const useShownTheme = (): Theme => useSyncExternalStore(onDress, worn, () => 'light')
