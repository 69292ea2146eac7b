import type { ReactNode } from 'react'

/** "How we got this": formula, inputs and source behind a computed number. */
export function Why({ title = 'How we got this', children }: { title?: string; children: ReactNode }) {
  return (
    <details className="why">
      <summary>{title}</summary>
      <div className="small mt-1">{children}</div>
    </details>
  )
}
