import type { ReactNode } from 'react'

/** A part of the field sheet that is opened when it is needed. */
export function Fold({ title, children }: { title: string; children: ReactNode }) {
  return (
    <details className="border-bottom">
      <summary>{title}</summary>
      <div className="pb-2">{children}</div>
    </details>
  )
}
