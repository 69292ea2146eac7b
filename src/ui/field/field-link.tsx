'use client'
import type { ReactNode } from 'react'
import { goTo } from './use-field-place'

/** A link within the field sheet: works without signal, and opens in a new tab like any other. */
export function FieldLink({ href, className, children }: { href: string; className?: string; children: ReactNode }) {
  return (
    <a
      href={href}
      className={className}
      onClick={(e) => {
        if (e.metaKey || e.ctrlKey || e.shiftKey || e.button !== 0) return
        e.preventDefault()
        goTo(href)
      }}
    >
      {children}
    </a>
  )
}
