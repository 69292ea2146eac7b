'use client'
import { useEffect, useState } from 'react'
import { THEMES } from '@/domain/people/people'
import { onSystemTheme, themeOf, type Theme, type ThemeChoice } from '@/ui/kit/theme'

const KEY = 'slow-reed:field-theme'

/** This device's own theme, the person's until another is chosen: sunlight changes faster than preferences. */
export function useFieldTheme(preferred: ThemeChoice | undefined): [Theme, () => void] {
  const [own, setOwn] = useState<Theme | null>(null)
  const [asPreferred, setAsPreferred] = useState<Theme>('light')
  useEffect(() => {
    const kept = window.localStorage.getItem(KEY)
    // only the browser knows what this device keeps
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (THEMES.includes(kept as Theme)) setOwn(kept as Theme)
  }, [])
  useEffect(() => {
    const follow = () => setAsPreferred(themeOf(preferred ?? 'light'))
    follow()
    return onSystemTheme(follow)
  }, [preferred])
  const theme = own ?? asPreferred
  useEffect(() => {
    document.documentElement.dataset.bsTheme = theme
  }, [theme])
  const next = () => {
    const following = THEMES[(THEMES.indexOf(theme) + 1) % THEMES.length]!
    window.localStorage.setItem(KEY, following)
    setOwn(following)
  }
  return [theme, next]
}
