'use client'
import { useState, type ReactNode } from 'react'

/** A button that unfolds what is below it; that is made only when it is first wanted, so that long lists stay light. */
export function Unfold({
  label,
  className = '',
  children,
}: {
  label: string
  className?: string
  children: ReactNode
}) {
  const [wanted, setWanted] = useState(false)
  return (
    <details className={className} onToggle={(e) => e.currentTarget.open && setWanted(true)}>
      <summary className="btn btn-sm btn-outline-secondary">{label}</summary>
      {wanted ? children : null}
    </details>
  )
}
