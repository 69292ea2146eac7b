import type { SendProblem } from '@/ui/send'

/** What went wrong and how to mend it, announced to screen readers too. */
export function ProblemNote({ problem }: { problem: SendProblem | null }) {
  if (!problem) return null
  const more = problem.fields?.filter((f) => f.message !== problem.title && f.code !== 'missing') ?? []
  return (
    <div className="alert alert-danger py-2" role="alert">
      {problem.title}
      {more.length > 0 ? (
        <ul className="mb-0 ps-3">
          {more.slice(0, 5).map((field) => (
            <li key={field.path + field.message}>{field.message}</li>
          ))}
        </ul>
      ) : null}
    </div>
  )
}
