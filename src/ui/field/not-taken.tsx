'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { dropPhoto, letGo, tryAgain } from './device/field-device'
import type { VisitView } from './device/device-view'
import { problemTitle } from '@/ui/kit/problem-note'
import { useField } from './field-context'

const KIND_WORDS: Readonly<Record<string, TextId>> = {
  started: textId('field.notTaken.startVisit'),
  finished: textId('field.notTaken.endVisit'),
  note: textId('field.notTaken.note'),
  finding: textId('field.notTaken.finding'),
  part: textId('field.notTaken.part'),
  gear: textId('field.notTaken.seasonalGear'),
  left: textId('field.notTaken.leaving'),
  'timer-started': textId('field.notTaken.timer'),
}

/** What the office could not take, each with the reason: tried again once it is mended, or given up. */
export function NotTaken({ view }: { view: VisitView }) {
  const t = useTexts()

  const { sync } = useField()
  const titleOf = (line: VisitView['refused'][number]) =>
    'stepKey' in line.entry && line.entry.stepKey !== null
      ? (view.visit.job.steps.find((s) => 'stepKey' in line.entry && s.key === line.entry.stepKey)?.title ??
        t('field.notTaken.step'))
      : t(KIND_WORDS[line.entry.kind] ?? textId('field.notTaken.line'))
  if (view.refused.length + view.refusedPhotos.length === 0) return null
  return (
    <div className="safety-note" role="alert">
      <strong>{t('field.notTaken.notTakenOffice')}</strong>
      {view.refused.map((line) => (
        <div key={line.id} className="mt-2">
          <p className="mb-1">
            {titleOf(line)}: {line.problem ? problemTitle(line.problem, t) : ''}
          </p>
          <button
            type="button"
            className="btn btn-outline-primary me-2"
            onClick={() => void tryAgain(line.seq).then(sync)}
          >
            {t('field.notTaken.sendAgain')}
          </button>
          <button type="button" className="btn btn-outline-secondary" onClick={() => void letGo(line.seq)}>
            {t('field.notTaken.giveUp')}
          </button>
        </div>
      ))}
      {view.refusedPhotos.map((photo) => (
        <div key={photo.id} className="mt-2">
          <p className="mb-1">
            {t('field.notTaken.photo', { title: photo.problem ? problemTitle(photo.problem, t) : '' })}
          </p>
          <button type="button" className="btn btn-outline-secondary" onClick={() => void dropPhoto(photo.id)}>
            {t('field.notTaken.giveUp')}
          </button>
        </div>
      ))}
    </div>
  )
}
