'use client'
import { useEffect, useRef, useState } from 'react'
import type { DesignDraft } from '@/domain/design/design-draft'
import { send } from '@/ui/send'

const KEEP_AFTER_MS = 1500

export type KeepState = 'idle' | 'keeping' | 'kept' | 'offline'

/**
 * Keeps the draft on the server a moment after the last change, so that work goes on at another machine. Only drafts
 * that read well are sent.
 */
export function useKeptDraft(pondId: string, draft: DesignDraft | null): KeepState {
  const [state, setState] = useState<KeepState>('idle')
  const sent = useRef('')
  const body = draft ? JSON.stringify(draft) : ''
  useEffect(() => {
    if (body === '' || body === sent.current) return
    let current = true
    const timer = setTimeout(async () => {
      setState('keeping')
      const outcome = await send('PUT', `/api/v1/ponds/${pondId}/design-draft`, JSON.parse(body))
      if (!current) return
      if (outcome.ok) sent.current = body
      setState(outcome.ok ? 'kept' : 'offline')
    }, KEEP_AFTER_MS)
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [pondId, body])
  return state
}
