'use client'
import { useTexts } from '@/ui/kit/texts'
import type { ReactNode } from 'react'

/** "How we got this": formula, inputs and source behind a computed number. */
export function Why({ title, children }: { title?: string; children: ReactNode }) {
  const t = useTexts()

  return (
    <details className="why">
      <summary>{title ?? t('kit.why.howWeGot')}</summary>
      <div className="small mt-1">{children}</div>
    </details>
  )
}
