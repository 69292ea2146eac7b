'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { VISIT_ONLY_READINGS, READING_KINDS, type ReadingKindName } from '@/core/water/readings'
import type { PondId } from '@/domain/shared/ids'
import { READING_METHODS } from '@/domain/visits/visit'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { ReadingField } from '@/ui/kit/reading-field'
import { send, type SendProblem } from '@/ui/send'

const KINDS = (Object.keys(READING_KINDS) as ReadingKindName[]).filter(
  (kind) => !VISIT_ONLY_READINGS.includes(kind) && kind !== 'sludgeDepth',
)
export const METHOD_NAMES = {
  strip: textId('water.logReadingsForm.strip'),
  drops: textId('water.logReadingsForm.drops'),
  meter: textId('water.logReadingsForm.meter'),
  probe: textId('water.logReadingsForm.probe'),
} as const

/** Readings taken between visits. */
export function LogReadingsForm({ pondId, deepestM }: { pondId: PondId; deepestM: number | null }) {
  const t = useTexts()

  const router = useRouter()
  const [values, setValues] = useState<Partial<Record<ReadingKindName, number | null>>>({})
  const [below, setBelow] = useState<Partial<Record<ReadingKindName, boolean>>>({})
  const [method, setMethod] = useState<(typeof READING_METHODS)[number]>('drops')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(0)
  const errorOf = (kind: ReadingKindName) => problem?.fields?.find((f) => f.path === `readings.${kind}`)?.message
  const unusual = problem?.fields?.some((f) => f.code === 'unusual') ?? false
  const save = async (confirmedUnlikely: boolean) => {
    const wrong = Object.keys(values).filter((kind) => Number.isNaN(values[kind as ReadingKindName]))
    if (wrong.length > 0)
      return setProblem({
        title: t('water.logReadingsForm.somethingHereCannotRead'),
        status: 422,
        kind: 'bad-input',
        fields: wrong.map((kind) => ({ path: `readings.${kind}`, message: t('water.logReadingsForm.cannotRead') })),
      })
    const given = Object.fromEntries(
      Object.entries(values)
        .filter(([, v]) => v !== null && v !== undefined)
        .map(([kind, value]) => [kind, { value, belowStep: below[kind as ReadingKindName] ?? false }]),
    )
    const outcome = await send('POST', `/api/v1/ponds/${pondId}/readings`, {
      readings: given,
      method,
      at: new Date().toISOString(),
      confirmedUnlikely,
    })
    if (!outcome.ok) return setProblem(outcome.problem)
    setProblem(null)
    setValues({})
    setBelow({})
    setSaved((n) => n + 1)
    router.refresh()
  }
  return (
    <form
      key={saved}
      onSubmit={(e) => {
        e.preventDefault()
        void save(false)
      }}
    >
      <div className="field-grid">
        {KINDS.map((kind) => (
          <ReadingField
            key={kind}
            kind={kind}
            value={values[kind] ?? null}
            deepestM={deepestM}
            onChange={(v, belowStep) => {
              setValues({ ...values, [kind]: v })
              setBelow({ ...below, [kind]: belowStep })
            }}
            error={errorOf(kind)}
          />
        ))}
        <ChoiceField
          label={t('water.logReadingsForm.tested')}
          value={method}
          onChange={(e) => setMethod(e.target.value as typeof method)}
          options={READING_METHODS.map((m) => ({ value: m, label: t(METHOD_NAMES[m]) }))}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">{t('water.logReadingsForm.logReadings')}</button>
      {unusual ? (
        <button type="button" className="btn btn-sm btn-outline-secondary ms-2" onClick={() => void save(true)}>
          {t('water.logReadingsForm.readAgainRight')}
        </button>
      ) : null}
    </form>
  )
}
