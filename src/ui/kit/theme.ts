import { THEMES, type Preferences } from '@/domain/people/people'

export type Theme = (typeof THEMES)[number]
export type ThemeChoice = Preferences['theme']

const DARK = '(prefers-color-scheme: dark)'

/** The theme that a choice comes to on this device. */
export const themeOf = (choice: ThemeChoice): Theme => {
  if (choice !== 'system') return choice
  return window.matchMedia(DARK).matches ? 'dark' : 'light'
}

/** Dresses the page. */
export const wear = (choice: ThemeChoice): void => {
  document.documentElement.dataset.bsTheme = themeOf(choice)
}

/** Runs whenever the device turns light or dark. @returns ends that */
export function onSystemTheme(run: () => void): () => void {
  const query = window.matchMedia(DARK)
  query.addEventListener('change', run)
  return () => query.removeEventListener('change', run)
}

/** Dresses the page before its first paint; a page that is dark only after a moment dazzles. */
export const WEAR_SYSTEM_THEME = `if(matchMedia('${DARK}').matches)document.documentElement.dataset.bsTheme='dark'`
