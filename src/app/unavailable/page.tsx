import { Door } from '@/ui/people/door'
import { WaitForDatabase } from '@/ui/shell/wait-for-database'

export default function Unavailable() {
  return (
    <Door title="The database cannot be reached">
      <p>Nothing that was saved is lost. This page looks again every few seconds and goes on by itself.</p>
      <WaitForDatabase />
    </Door>
  )
}
