import { Door } from '@/ui/people/door'

/** For customers: nothing here leads into the firm's own pages. */
export default function GardenNotFound() {
  return (
    <Door title="This page is not here any more">
      <p className="mb-0">The link may be incomplete, or it has been renewed. Please ask your pond contractor for the current one.</p>
    </Door>
  )
}
