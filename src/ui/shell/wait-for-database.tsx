'use client'
import { useTexts } from '@/ui/kit/texts'
import { useEffect } from 'react'

const LOOK_AGAIN_MS = 3000

/** Goes back to where the person was as soon as the database answers. */
export function WaitForDatabase() {
  const t = useTexts()

  useEffect(() => {
    const timer = setInterval(async () => {
      const answer = await fetch('/api/v1/health').catch(() => null)
      if (answer?.ok) window.location.assign('/')
    }, LOOK_AGAIN_MS)
    return () => clearInterval(timer)
  }, [])
  return <p role="status">{t('shell.waitForDatabase.waiting')}</p>
}
