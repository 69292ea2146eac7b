'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import type { SurveyFormValues } from '@/ui/survey/survey-form-values'

const NAMES = {
  name: textId('ponds.staleSave.pondName'),
  use: textId('ponds.staleSave.use'),
  outlineKind: textId('ponds.staleSave.waterline'),
  lengthM: textId('ponds.staleSave.lengthM'),
  widthM: textId('ponds.staleSave.widthM'),
  waistM: textId('ponds.fields.waist'),
  points: textId('ponds.staleSave.corners'),
  offsets: textId('ponds.staleSave.offsets'),
  zones: textId('ponds.staleSave.depthZones'),
  rockShare: textId('ponds.staleSave.stoneShare'),
  meteredFillM3: textId('ponds.staleSave.meteredFillM'),
  volumeTests: textId('survey.volumeTestFields.legend'),
  setAside: textId('survey.setAsideFields.method'),
  streams: textId('ponds.staleSave.streams'),
  boxes: textId('ponds.staleSave.boxes'),
  guests: textId('survey.guestFields.legend'),
  roomTempC: textId('ponds.fields.roomTemperature'),
  fish: textId('ponds.staleSave.fish'),
  waterSource: textId('ponds.staleSave.waterSource'),
  lining: textId('survey.surveyFields.lining'),
  altitudeM: textId('ponds.staleSave.heightM'),
  trees: textId('ponds.staleSave.trees'),
  freeboardM: textId('ponds.staleSave.freeboardM'),
  notes: textId('ponds.staleSave.notes'),
} as const satisfies Readonly<Record<keyof SurveyFormValues, TextId>>

interface StaleSaveProps {
  readonly mine: SurveyFormValues
  readonly theirs: SurveyFormValues
  readonly onKeepMine: () => void
  readonly onTakeTheirs: () => void
}

const words = (value: unknown): string => {
  if (value === null || value === '') return '–'
  if (Array.isArray(value)) return value.map((item) => Object.values(item as object).join(' ')).join('; ') || '–'
  if (typeof value === 'object' && value !== null)
    return (
      Object.values(value)
        .map((item) => item ?? '–')
        .join(' ') || '–'
    )
  return String(value)
}

/** Both versions of what differs, after someone else saved first. */
export function StaleSave({ mine, theirs, onKeepMine, onTakeTheirs }: StaleSaveProps) {
  const t = useTexts()

  const differing = (Object.keys(NAMES) as (keyof typeof NAMES)[]).filter(
    (key) => JSON.stringify(mine[key]) !== JSON.stringify(theirs[key]),
  )
  return (
    <section className="alert alert-warning mt-3" role="alert">
      <p className="mb-2">{t('ponds.staleSave.someoneElseSavedPond')}</p>
      <table className="table table-sm">
        <thead>
          <tr>
            <th />
            <th>{t('ponds.staleSave.yours')}</th>
            <th>{t('ponds.staleSave.savedMeanwhile')}</th>
          </tr>
        </thead>
        <tbody>
          {differing.map((key) => (
            <tr key={key}>
              <th scope="row">{t(NAMES[key])}</th>
              <td>{words(mine[key])}</td>
              <td>{words(theirs[key])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <KeepOrTake onKeepMine={onKeepMine} onTakeTheirs={onTakeTheirs} />
    </section>
  )
}

interface KeepOrTakeProps {
  readonly onKeepMine: () => void
  readonly onTakeTheirs: () => void
}

/** What can be done when someone else saved first. */
export function KeepOrTake({ onKeepMine, onTakeTheirs }: KeepOrTakeProps) {
  const t = useTexts()
  return (
    <>
      <button type="button" className="btn btn-sm btn-primary me-2" onClick={onKeepMine}>
        {t('ponds.staleSave.saveMineOver')}
      </button>
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onTakeTheirs}>
        {t('ponds.staleSave.takeTheirs')}
      </button>
    </>
  )
}
