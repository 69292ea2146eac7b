import { NotHere } from '@/ui/shell/not-here'

/** What is not there is said below the menu, so that the way on stays in sight. */
export default function DeskNotFound() {
  return <NotHere />
}
