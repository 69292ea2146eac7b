import Link from 'next/link'
import { Door } from '@/ui/people/door'

export default function NotFound() {
  return (
    <Door title="That is not here">
      <p>It may have been removed, or the link is incomplete.</p>
      <Link href="/">Back to today</Link>
    </Door>
  )
}
