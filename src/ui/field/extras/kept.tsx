/** What was kept just now, for the eye and for who listens. */
export const Kept = ({ text }: { text: string }) => (
  <p role="status" className="soft mb-0">
    {text}
  </p>
)
