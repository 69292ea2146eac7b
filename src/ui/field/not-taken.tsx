'use client'
import { dropPhoto, letGo, tryAgain } from './device/field-device'
import type { VisitView } from './device/device-view'
import { useField } from './field-context'

const KIND_WORDS: Readonly<Record<string, string>> = {
  started: 'Start of the visit',
  finished: 'End of the visit',
  note: 'Note',
  finding: 'Finding',
  part: 'Part',
  gear: 'Seasonal gear',
  left: 'Leaving',
  'timer-started': 'Timer',
}

/** What the office could not take, each with the reason: tried again once it is mended, or given up. */
export function NotTaken({ view }: { view: VisitView }) {
  const { sync } = useField()
  const titleOf = (line: VisitView['refused'][number]) =>
    'stepKey' in line.entry && line.entry.stepKey !== null
      ? (view.visit.job.steps.find((s) => 'stepKey' in line.entry && s.key === line.entry.stepKey)?.title ?? 'A step')
      : (KIND_WORDS[line.entry.kind] ?? 'A line')
  if (view.refused.length + view.refusedPhotos.length === 0) return null
  return (
    <div className="safety-note" role="alert">
      <strong>Not taken by the office</strong>
      {view.refused.map((line) => (
        <div key={line.id} className="mt-2">
          <p className="mb-1">
            {titleOf(line)}: {line.problem?.title}
          </p>
          <button type="button" className="btn btn-outline-primary me-2" onClick={() => void tryAgain(line.seq).then(sync)}>
            Send it again
          </button>
          <button type="button" className="btn btn-outline-secondary" onClick={() => void letGo(line.seq)}>
            Give it up
          </button>
        </div>
      ))}
      {view.refusedPhotos.map((photo) => (
        <div key={photo.id} className="mt-2">
          <p className="mb-1">Photo: {photo.problem?.title}</p>
          <button type="button" className="btn btn-outline-secondary" onClick={() => void dropPhoto(photo.id)}>
            Give it up
          </button>
        </div>
      ))}
    </div>
  )
}
