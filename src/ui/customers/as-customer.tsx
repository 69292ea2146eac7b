'use client'
import type { ReactNode } from 'react'
import { PersonProvider } from '@/ui/person-context'

/** Shows a view to a customer: no account and no rights. */
export function AsCustomer({
  name,
  firmName,
  timeZone,
  children,
}: {
  name: string
  firmName: string
  timeZone: string
  children: ReactNode
}) {
  return (
    <PersonProvider
      person={{
        name,
        role: 'technician',
        firmName,
        timeZone,
        preferences: { units: 'metric', theme: 'light', region: 'system' },
      }}
    >
      <main id="main" className="customer-page">
        {children}
      </main>
    </PersonProvider>
  )
}
