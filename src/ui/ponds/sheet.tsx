import type { ReactNode } from 'react'

/** One subject of a pond, under its title. */
export function Sheet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="sheet">
      <h2>{title}</h2>
      {children}
    </section>
  )
}
