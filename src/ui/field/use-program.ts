'use client'
import { useEffect, useEffectEvent } from 'react'
import { useTexts } from '@/ui/kit/texts'
import { useToast } from '@/ui/kit/toasts'

const reload = () => window.location.reload()

/**
 * Keeps the pages and programs of the field sheet on the device, looks for newer ones whenever the phone is taken up
 * again, and says when one has come: the page shown is the old one until it is loaded anew.
 */
export function useProgram(): void {
  const t = useTexts()

  const tell = useToast()
  const changed = useEffectEvent(() =>
    tell({ words: t('field.program.newVersion'), act: { name: t('field.program.reload'), run: reload } }),
  )
  useEffect(() => {
    const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
    if (!workers) return
    // the first program of all replaces none
    let isFirst = workers.controller === null
    const onChange = () => {
      if (!isFirst) changed()
      isFirst = false
    }
    const lookForNewer = () => {
      if (document.visibilityState === 'visible')
        void workers
          .getRegistration('/field')
          .then((registration) => registration?.update())
          .catch(() => undefined)
    }
    workers.addEventListener('controllerchange', onChange)
    document.addEventListener('visibilitychange', lookForNewer)
    void workers.register('/sw.js', { scope: '/field' }).catch(() => undefined)
    return () => {
      workers.removeEventListener('controllerchange', onChange)
      document.removeEventListener('visibilitychange', lookForNewer)
    }
  }, [])
}
