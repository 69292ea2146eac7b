import type { ReactNode } from 'react'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondHead } from '@/server/ponds/pond-pages'
import { PondHead } from '@/ui/ponds/workspace/pond-head'

interface PondLayoutProps {
  readonly params: Promise<{ pondId: string }>
  readonly children: ReactNode
}

/** Every page of a pond stands under its head with the same tabs. */
export default async function PondLayout({ params, children }: PondLayoutProps) {
  const id = idFrom(PondId, (await params).pondId)
  return (
    <>
      <PondHead head={await forPage((actor) => pondHead(actor, id))} />
      {children}
    </>
  )
}
