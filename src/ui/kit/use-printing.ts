'use client'
import { useEffect, useState } from 'react'
import { flushSync } from 'react-dom'

/** Whether the page is just being printed: what is drawn only in sight is drawn whole then. */
export function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false)
  useEffect(() => {
    // the browser takes its picture as soon as this returns
    const begin = () => flushSync(() => setPrinting(true))
    const end = () => setPrinting(false)
    window.addEventListener('beforeprint', begin)
    window.addEventListener('afterprint', end)
    return () => {
      window.removeEventListener('beforeprint', begin)
      window.removeEventListener('afterprint', end)
    }
  }, [])
  return printing
}
