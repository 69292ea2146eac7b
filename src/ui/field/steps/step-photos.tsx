'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { useId, useState } from 'react'
import type { VisitStep } from '@/core/visits/step'
import { ProblemNote } from '@/ui/kit/problem-note'
import { dropPhoto, keepPhoto, type PhotoTrouble } from '@/ui/field/device/field-device'
import type { VisitView } from '@/ui/field/device/device-view'
import { useField } from '@/ui/field/field-context'
import { PhotoSketch } from './photo-sketch'
import { PhotoThumb } from './photo-thumb'

export const PHOTO_TROUBLE: Readonly<Record<PhotoTrouble, TextId>> = {
  'no-picture': textId('field.stepPhotos.fileNotPictureCan'),
  'device-full': textId('field.stepPhotos.deviceHasNoRoom'),
}

type Photo = VisitView['photos'][number]

/**
 * Photos of one step: taken or chosen, made small, kept on the device at once; drawn on, and taken again from the
 * same place.
 */
export function StepPhotos({ view, step }: { view: VisitView; step: VisitStep }) {
  const t = useTexts()

  const { person, sync } = useField()
  const [trouble, setTrouble] = useState<PhotoTrouble | null>(null)
  const [keeping, setKeeping] = useState(0)
  const [drawing, setDrawing] = useState<Photo | null>(null)
  const photos = view.photos.filter((p) => p.stepKey === step.key)
  // views of earlier steps that have no counterpart yet
  const before = view.photos.filter(
    (p) =>
      p.stepKey !== step.key && p.sketchOf === null && p.pairOf === null && !view.photos.some((q) => q.pairOf === p.id),
  )
  const isAfter = step.key.includes('after')
  const add = async (files: readonly File[], pairOf?: string) => {
    setTrouble(null)
    for (const file of files) {
      setKeeping((n) => n + 1)
      const outcome = await keepPhoto(
        { userId: person.userId, visitId: view.visit.id, stepKey: step.key, pairOf },
        file,
      )
      setKeeping((n) => n - 1)
      if ('trouble' in outcome) setTrouble(outcome.trouble)
    }
    void sync()
  }
  return (
    <div className="my-2">
      <div className="d-flex flex-wrap gap-2 mb-2">
        {photos.map((photo, i) => (
          <div key={photo.id} className="photo-kept">
            <PhotoThumb photo={photo} alt={t('field.stepPhotos.photoStep', { i: i + 1 })} />
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              onClick={() => setDrawing(photo)}
              aria-label={t('field.stepPhotos.drawPhoto', { i: i + 1 })}
            >
              {t('field.stepPhotos.draw')}
            </button>
            {photo.own?.state === 'waiting' ? (
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() => void dropPhoto(photo.id)}
                aria-label={t('field.stepPhotos.takePhotoAway', { i: i + 1 })}
              >
                {t('field.stepPhotos.away')}
              </button>
            ) : null}
          </div>
        ))}
      </div>
      <Camera
        label={keeping > 0 ? t('field.stepPhotos.keepingPhoto') : t('field.stepPhotos.takePhoto')}
        multiple
        onFiles={(files) => void add(files)}
      />
      {isAfter && before.length > 0 ? (
        <div className="mt-2">
          <p className="soft mb-1">{t('field.stepPhotos.sameViewAgainLay')}</p>
          {before.map((photo, i) => (
            <div key={photo.id} className="d-flex gap-2 align-items-center mb-1">
              <PhotoThumb photo={photo} alt={t('field.stepPhotos.viewFound', { i: i + 1 })} />
              <Camera
                label={t('field.stepPhotos.takeViewAgain', { i: i + 1 })}
                onFiles={(files) => void add(files, photo.id)}
              />
            </div>
          ))}
        </div>
      ) : null}
      <ProblemNote problem={trouble && { title: t(PHOTO_TROUBLE[trouble]), status: 0, kind: trouble }} />
      {drawing ? (
        <PhotoSketch
          photo={drawing}
          onClose={() => setDrawing(null)}
          onKeep={async (sketch) => {
            const outcome = await keepPhoto(
              { userId: person.userId, visitId: view.visit.id, stepKey: step.key, sketchOf: drawing.id },
              sketch,
            )
            setTrouble('trouble' in outcome ? outcome.trouble : null)
            setDrawing(null)
            void sync()
          }}
        />
      ) : null}
    </div>
  )
}

function Camera({
  label,
  multiple = false,
  onFiles,
}: {
  label: string
  multiple?: boolean
  onFiles: (files: readonly File[]) => void
}) {
  const id = useId()
  return (
    <span className="flex-grow-1 d-block">
      <label htmlFor={id} className="btn btn-outline-primary w-100 d-flex align-items-center justify-content-center">
        {label}
      </label>
      <input
        id={id}
        type="file"
        accept="image/*"
        multiple={multiple}
        className="visually-hidden"
        aria-label={label}
        onChange={(e) => {
          // a list of its own: the input's empties with it
          onFiles([...(e.target.files ?? [])])
          // the same file may be chosen again
          e.target.value = ''
        }}
      />
    </span>
  )
}
