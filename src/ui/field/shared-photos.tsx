'use client'
import { useState, useSyncExternalStore } from 'react'
import { SHARE_LOST } from '@/domain/field/share-target'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import type { VisitView } from './device/device-view'
import { keepPhoto, type PhotoTrouble } from './device/field-device'
import { dropShared, sharedPictures } from './device/shared-pictures'
import { useLive } from './device/use-live'
import { useField } from './field-context'
import { PHOTO_TROUBLE } from './steps/step-photos'

const nothing = () => () => undefined

/** Pictures that another app shared, and the visit they are put to. */
export function SharedPhotos({ views }: { views: readonly VisitView[] }) {
  const t = useTexts()

  const { person, sync } = useField()
  const pictures = useLive(sharedPictures, 'shared')
  // the office takes photos of what was begun
  const visits = views.filter(({ visit }) => visit.state === 'under-way' || visit.state === 'done')
  const [chosen, setChosen] = useState<string | null>(null)
  const [trouble, setTrouble] = useState<PhotoTrouble | null>(null)
  const [busy, setBusy] = useState(false)
  // where the crew is now is what was photographed
  const view =
    visits.find((v) => v.visit.id === chosen) ?? visits.find((v) => v.visit.state === 'under-way') ?? visits[0]
  const step = view?.visit.job.steps.find(({ kind }) => kind === 'photo')
  const lost = useSyncExternalStore(
    nothing,
    () => SHARE_LOST === window.location.pathname + window.location.search,
    () => false,
  )
  if (!pictures || pictures.length === 0)
    return lost ? (
      <ProblemNote problem={{ title: t('field.sharedPhotos.lost'), status: 0, kind: 'device-full' }} />
    ) : null
  const add = async () => {
    if (!view || !step) return
    setBusy(true)
    setTrouble(null)
    for (const { id, bytes, type } of pictures) {
      const outcome = await keepPhoto(
        { userId: person.userId, visitId: view.visit.id, stepKey: step.key },
        new Blob([bytes], { type }),
      )
      if ('trouble' in outcome) setTrouble(outcome.trouble)
      // a device that is full keeps them where they are
      if (!('trouble' in outcome) || outcome.trouble === 'no-picture') await dropShared([id])
    }
    setBusy(false)
    void sync()
  }
  return (
    <section className="sheet" aria-label={t('field.sharedPhotos.title', { count: pictures.length })}>
      <h2 className="fs-4">{t('field.sharedPhotos.title', { count: pictures.length })}</h2>
      {view && step ? (
        <>
          <ChoiceField
            label={t('field.sharedPhotos.visit')}
            value={view.visit.id}
            onChange={(e) => setChosen(e.target.value)}
            options={visits.map(({ visit: v }) => ({
              value: v.id,
              label: t('field.sharedPhotos.visitAt', {
                day: t.shortDate(v.day),
                time: v.startTime,
                site: v.siteName,
                job: v.job.name,
              }),
            }))}
          />
          <p className="soft small">{t('field.sharedPhotos.step', { step: step.title })}</p>
        </>
      ) : (
        <p>{t('field.sharedPhotos.noVisit')}</p>
      )}
      <ProblemNote problem={trouble && { title: t(PHOTO_TROUBLE[trouble]), status: 0, kind: trouble }} />
      <div className="d-flex flex-wrap gap-2">
        {view && step ? (
          <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void add()}>
            {t('field.sharedPhotos.add')}
          </button>
        ) : null}
        <button
          type="button"
          className="btn btn-outline-secondary"
          disabled={busy}
          onClick={() => void dropShared(pictures.map(({ id }) => id))}
        >
          {t('field.sharedPhotos.discard')}
        </button>
      </div>
    </section>
  )
}
