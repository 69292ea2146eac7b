/** For customers: nothing here leads into the firm's own pages. */
export default function GardenNotFound() {
  return (
    <main id="main" className="sheet m-3">
      <h1 className="fs-3">This page is not here any more</h1>
      <p className="mb-0">The link may be incomplete, or it has been renewed. Please ask your pond contractor for the current one.</p>
    </main>
  )
}
