'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { VISIT_ONLY_READINGS, READING_KINDS, type ReadingKindName } from '@/core/water/readings'
import type { PondId } from '@/domain/ids'
import { READING_NAMES, readingQuantity, readingScale } from '@/domain/reading-names'
import { READING_METHODS } from '@/domain/visit'
import { ChoiceField } from '@/ui/components/choice-field'
import { ProblemNote } from '@/ui/components/problem-note'
import { QuantityField } from '@/ui/components/quantity-field'
import { send, type SendProblem } from '@/ui/send'

const KINDS = (Object.keys(READING_KINDS) as ReadingKindName[]).filter((kind) => !VISIT_ONLY_READINGS.includes(kind) && kind !== 'sludgeDepth')
export const METHOD_NAMES = { strip: 'Strip', drops: 'Drops', meter: 'Meter', probe: 'Probe' } as const

/** Readings taken between visits. */
export function LogReadingsForm({ pondId }: { pondId: PondId }) {
  const router = useRouter()
  const [values, setValues] = useState<Partial<Record<ReadingKindName, number | null>>>({})
  const [method, setMethod] = useState<(typeof READING_METHODS)[number]>('drops')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(0)
  const errorOf = (kind: ReadingKindName) => problem?.fields?.find((f) => f.path === `readings.${kind}`)?.message
  const unusual = problem?.fields?.some((f) => f.code === 'unusual') ?? false
  const save = async (confirmedUnlikely: boolean) => {
    const given = Object.fromEntries(
      Object.entries(values)
        .filter(([, v]) => v !== null && v !== undefined && !Number.isNaN(v))
        .map(([kind, value]) => [kind, { value }]),
    )
    const outcome = await send('POST', `/api/v1/ponds/${pondId}/readings`, { readings: given, method, at: new Date().toISOString(), confirmedUnlikely })
    if (!outcome.ok) return setProblem(outcome.problem)
    setProblem(null)
    setValues({})
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
          <QuantityField
            key={kind}
            label={READING_NAMES[kind]}
            kind={readingQuantity(kind)}
            scale={readingScale(kind)}
            value={values[kind] ?? null}
            onChange={(v) => setValues({ ...values, [kind]: v })}
            error={errorOf(kind)}
          />
        ))}
        <ChoiceField
          label="Tested with"
          value={method}
          onChange={(e) => setMethod(e.target.value as typeof method)}
          options={READING_METHODS.map((m) => ({ value: m, label: METHOD_NAMES[m] }))}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">Log the readings</button>
      {unusual ? (
        <button type="button" className="btn btn-sm btn-outline-secondary ms-2" onClick={() => void save(true)}>
          Read again: it is right
        </button>
      ) : null}
    </form>
  )
}
