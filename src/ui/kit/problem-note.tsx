'use client'
import type { ProblemBody } from '@/domain/shared/problems'
import { useTexts, type Texts } from './texts'

/** What a problem says; those that arise on this side are codes only. */
export function problemTitle(problem: ProblemBody, t: Texts): string {
  if (problem.title !== '') return problem.title
  return problem.kind === 'offline' ? t('kit.problems.offline') : t('kit.problems.tooLarge')
}

/** What went wrong and how to mend it, announced to screen readers too. */
export function ProblemNote({ problem }: { problem: ProblemBody | null }) {
  const t = useTexts()
  if (!problem) return null
  const more = problem.fields?.filter((f) => f.message !== problem.title && f.code !== 'missing') ?? []
  return (
    <div className="alert alert-danger py-2" role="alert">
      {problemTitle(problem, t)}
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
