'use client'
import { useEffect } from 'react'
import { onSystemTheme, wear, type ThemeChoice } from '@/ui/kit/theme'

/** Keeps the page dressed as the person chose, and with the device where that was chosen. */
export function FollowTheme({ choice }: { choice: ThemeChoice }) {
  useEffect(() => {
    wear(choice)
    return onSystemTheme(() => wear(choice))
  }, [choice])
  return null
}
