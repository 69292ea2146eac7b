import { notFound } from 'next/navigation'
import { PersonProvider } from '@/ui/person-context'
import { Showcase } from '@/ui/kit/showcase/showcase'

/** What views are made of, in every theme at once: for who works on the app, while it runs in development. */
export default function KitPage() {
  if (process.env.NODE_ENV === 'production') notFound()
  return (
    <PersonProvider
      person={{
        name: '',
        role: 'owner',
        firmName: '',
        timeZone: 'Etc/UTC',
        preferences: { units: 'metric', theme: 'system', region: 'system' },
      }}
    >
      <Showcase />
    </PersonProvider>
  )
}
