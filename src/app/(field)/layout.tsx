import type { ReactNode } from 'react'
import { pageActor } from '@/server/platform/http/page-actor'

/**
 * The page is for who is signed in, but says nothing of them: it is kept on devices. What it shows comes from there.
 */
export default async function FieldLayout({ children }: { children: ReactNode }) {
  await pageActor()
  return children
}
