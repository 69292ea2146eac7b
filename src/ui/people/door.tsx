'use client'
import { useTexts } from '@/ui/kit/texts'
import type { ReactNode } from 'react'

/** The frame of the pages before sign-in. */
export function Door({ title, children }: { title: string; children: ReactNode }) {
  const t = useTexts()

  return (
    <main id="main" className="d-flex flex-column align-items-center pt-5">
      <svg viewBox="0 0 220 60" width="220" aria-hidden="true">
        <path
          d="M0 46 q18 -7 37 0 t37 0 t37 0 t37 0 t37 0 t37 0"
          fill="none"
          stroke="var(--water-line)"
          strokeWidth="2"
        />
        <path
          d="M30 46 V18 M40 46 V8 M52 46 V22 M170 46 V14 M182 46 V26"
          stroke="var(--reed)"
          strokeWidth="3"
          strokeLinecap="round"
        />
      </svg>
      <p className="wordmark fs-4 mb-4">{t('people.door.slowReed')}</p>
      <section className="sheet" style={{ width: 'min(24rem, 94vw)' }}>
        <h1 className="fs-4">{title}</h1>
        {children}
      </section>
    </main>
  )
}
