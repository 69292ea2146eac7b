'use client'
import { useEffect } from 'react'

/** Forms on the page in which something was entered that is not kept yet. */
const unsaved = new Set<symbol>()

/** Whether something on the page would be lost by leaving it. */
export const hasUnsaved = (): boolean => unsaved.size > 0

const askBrowser = (event: BeforeUnloadEvent) => event.preventDefault()

/**
 * Holds a page back while something in a form is not kept: the browser asks before the page is closed or loaded anew,
 * and links within the app ask through `PageChange`.
 */
export function useUnsaved(isUnsaved: boolean): void {
  useEffect(() => {
    if (!isUnsaved) return
    const form = Symbol('form')
    unsaved.add(form)
    window.addEventListener('beforeunload', askBrowser)
    return () => {
      unsaved.delete(form)
      if (unsaved.size === 0) window.removeEventListener('beforeunload', askBrowser)
    }
  }, [isUnsaved])
}
