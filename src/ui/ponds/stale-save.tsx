'use client'
import type { SurveyFormValues } from '@/ui/survey/survey-form-values'

const NAMES: Readonly<Partial<Record<keyof SurveyFormValues, string>>> = {
  name: 'Pond name',
  use: 'Use',
  outlineKind: 'Waterline',
  lengthM: 'Length (m)',
  widthM: 'Width (m)',
  offsets: 'Offsets',
  zones: 'Depth zones',
  rockShare: 'Stone share',
  meteredFillM3: 'Metered fill (m³)',
  fish: 'Fish',
  waterSource: 'Water source',
  altitudeM: 'Height (m)',
  trees: 'Trees',
  freeboardM: 'Freeboard (m)',
  notes: 'Notes',
}

interface StaleSaveProps {
  readonly mine: SurveyFormValues
  readonly theirs: SurveyFormValues
  readonly onKeepMine: () => void
  readonly onTakeTheirs: () => void
}

const words = (value: unknown): string => {
  if (value === null || value === '') return '–'
  if (!Array.isArray(value)) return String(value)
  return value.map((item) => Object.values(item as object).join(' ')).join('; ') || '–'
}

/** Both versions of what differs, after someone else saved first. */
export function StaleSave({ mine, theirs, onKeepMine, onTakeTheirs }: StaleSaveProps) {
  const differing = (Object.keys(NAMES) as (keyof SurveyFormValues)[]).filter((key) => JSON.stringify(mine[key]) !== JSON.stringify(theirs[key]))
  return (
    <section className="alert alert-warning mt-3" role="alert">
      <p className="mb-2">Someone else saved this pond while you were working on it. Nothing of yours is lost.</p>
      <table className="table table-sm">
        <thead>
          <tr>
            <th />
            <th>Yours</th>
            <th>Saved meanwhile</th>
          </tr>
        </thead>
        <tbody>
          {differing.map((key) => (
            <tr key={key}>
              <th scope="row">{NAMES[key]}</th>
              <td>{words(mine[key])}</td>
              <td>{words(theirs[key])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <button type="button" className="btn btn-sm btn-primary me-2" onClick={onKeepMine}>
        Save mine over it
      </button>
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onTakeTheirs}>
        Take theirs
      </button>
    </section>
  )
}
