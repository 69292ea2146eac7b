'use client'
import { useEffect, useState } from 'react'
import { flushSync } from 'react-dom'

/** Whether the page is being printed: paper shows every row of a list, however the print was asked for. */
export function useWholeOnPaper(): boolean {
  const [printing, setPrinting] = useState(false)
  useEffect(() => {
    // it must stand before the browser takes its picture
    const whole = () => flushSync(() => setPrinting(true))
    const part = () => setPrinting(false)
    window.addEventListener('beforeprint', whole)
    window.addEventListener('afterprint', part)
    return () => {
      window.removeEventListener('beforeprint', whole)
      window.removeEventListener('afterprint', part)
    }
  }, [])
  return printing
}
