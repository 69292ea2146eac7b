'use client'
import { WentWrong } from '@/ui/shell/went-wrong'

/** What went wrong on a page of the desk leaves the menu standing. */
export default function DeskError({ reset }: { reset: () => void }) {
  return <WentWrong kept={null} onAgain={reset} />
}
