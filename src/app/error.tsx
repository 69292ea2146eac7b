'use client'
import { Door } from '@/ui/people/door'

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <Door title="Something went wrong here">
      <p>It has been noted. What was saved is safe.</p>
      <button className="btn btn-primary" onClick={reset}>
        Try again
      </button>
    </Door>
  )
}
