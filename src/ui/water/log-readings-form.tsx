'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { VISIT_ONLY_READINGS, READING_KINDS, type ReadingKindName } from '@/core/water/readings'
import type { PondId } from '@/domain/shared/ids'
import { READING_METHODS, type ReadingMethod } from '@/core/water/test-methods'
import { LogReadingsInput } from '@/domain/visits/visit'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { ReadingField } from '@/ui/kit/reading-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

const KINDS = (Object.keys(READING_KINDS) as ReadingKindName[]).filter(
  (kind) => !VISIT_ONLY_READINGS.includes(kind) && kind !== 'sludgeDepth',
)
export const METHOD_NAMES = {
  strip: textId('water.logReadingsForm.strip'),
  drops: textId('water.logReadingsForm.drops'),
  meter: textId('water.logReadingsForm.meter'),
  probe: textId('water.logReadingsForm.probe'),
} as const

type Given = Partial<Record<ReadingKindName, { readonly value: number | null; readonly belowStep: boolean }>>
const NOTHING = { given: {} as Given, method: 'drops' as ReadingMethod, confirmedUnlikely: false }

/** Readings taken between visits. */
export function LogReadingsForm({ pondId, deepestM }: { pondId: PondId; deepestM: number | null }) {
  const t = useTexts()

  const [logged, setLogged] = useState(0)
  const { form, values, put, field, errorOf, submit, problem, sending } = useSchemaForm({
    schema: LogReadingsInput,
    values: NOTHING,
    bodyOf: ({ given, method, confirmedUnlikely }) => ({
      readings: Object.fromEntries(Object.entries(given).filter(([, reading]) => reading.value !== null)),
      method,
      at: new Date().toISOString(),
      confirmedUnlikely,
    }),
  })
  const unusual = problem?.fields?.some((f) => f.code === 'unusual') ?? false
  const save = submit(
    (body) => send('POST', `/api/v1/ponds/${pondId}/readings`, body),
    (_, { method }) => {
      form.reset({ ...NOTHING, method })
      setLogged((n) => n + 1)
    },
  )
  const saveAs = (confirmedUnlikely: boolean) => {
    put({ confirmedUnlikely })
    return save()
  }
  return (
    <form
      key={logged}
      noValidate
      onSubmit={(e) => {
        e.preventDefault()
        void saveAs(false)
      }}
    >
      <div className="field-grid">
        {KINDS.map((kind) => (
          <ReadingField
            key={kind}
            kind={kind}
            value={values.given[kind]?.value ?? null}
            deepestM={deepestM}
            onChange={(value, belowStep) => put({ given: { ...values.given, [kind]: { value, belowStep } } })}
            error={errorOf(`readings.${kind}.value`) ?? errorOf(`readings.${kind}`)}
          />
        ))}
        <ChoiceField
          label={t('water.logReadingsForm.tested')}
          options={READING_METHODS.map((m) => ({ value: m, label: t(METHOD_NAMES[m]) }))}
          {...field('method')}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary" disabled={sending}>
        {t('water.logReadingsForm.logReadings')}
      </button>
      {unusual ? (
        <button type="button" className="btn btn-sm btn-outline-secondary ms-2" onClick={() => void saveAs(true)}>
          {t('water.logReadingsForm.readAgainRight')}
        </button>
      ) : null}
    </form>
  )
}
