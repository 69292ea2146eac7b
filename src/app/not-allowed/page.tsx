import Link from 'next/link'
import { Door } from '@/ui/people/door'

export default function NotAllowed() {
  return (
    <Door title="Not with this account">
      <p>Your role does not include this page. The owner of your firm can change that.</p>
      <Link href="/">Back to today</Link>
    </Door>
  )
}
