'use client'
import type { ReactNode } from 'react'
import { goTo } from './use-field-place'

/** A link within the field sheet: works without signal, and opens in a new tab like any other. */
export function FieldLink({
  href,
  className,
  current,
  children,
}: {
  href: string
  className?: string
  current?: boolean
  children: ReactNode
}) {
  return (
    <a
      href={href}
      className={className}
      aria-current={current ? 'page' : undefined}
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
