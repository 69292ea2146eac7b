'use client'
import { useRouter } from 'next/navigation'
import { useId, useState } from 'react'
import type { VisitId } from '@/domain/ids'
import type { VisitPhoto } from '@/domain/visit'
import { ProblemNote } from '@/ui/components/problem-note'
import { sendFile, type SendProblem } from '@/ui/send'

/** Photos of one step: take or choose, shown once they are kept. */
export function StepPhotos({ visitId, stepKey, photos }: { visitId: VisitId; stepKey: string; photos: readonly VisitPhoto[] }) {
  const router = useRouter()
  const id = useId()
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [sending, setSending] = useState(0)
  const add = async (files: FileList | null) => {
    setProblem(null)
    for (const file of files ?? []) {
      setSending((n) => n + 1)
      const outcome = await sendFile(`/api/v1/visits/${visitId}/photos?step=${encodeURIComponent(stepKey)}`, file)
      setSending((n) => n - 1)
      if (!outcome.ok) setProblem(outcome.problem)
    }
    router.refresh()
  }
  return (
    <div className="my-2">
      <div className="d-flex flex-wrap gap-2 mb-2">
        {photos.map((photo, i) => (
          // kept photos come from the app's own API with the session; next/image cannot ask for them
          // eslint-disable-next-line @next/next/no-img-element
          <img
            key={photo.id}
            src={`/api/v1/photos/${photo.id}?size=thumbnail`}
            alt={`Photo ${i + 1} of this step`}
            width={104}
            height={78}
            style={{ objectFit: 'cover' }}
          />
        ))}
      </div>
      <label htmlFor={id} className="btn btn-outline-primary w-100 d-flex align-items-center justify-content-center">
        {sending > 0 ? 'Keeping the photo…' : 'Take a photo'}
      </label>
      <input id={id} type="file" accept="image/*" multiple className="visually-hidden" onChange={(e) => void add(e.target.files)} />
      <ProblemNote problem={problem} />
    </div>
  )
}
