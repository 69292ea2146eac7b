'use client'
import { useRouter } from 'next/navigation'
import { useState, useSyncExternalStore } from 'react'
import {
  get,
  useForm,
  useWatch,
  type DefaultValues,
  type FieldPath,
  type FieldPathValue,
  type FieldValues,
  type PathValue,
} from 'react-hook-form'
import type { z } from 'zod'
import { schemaResolver } from './kit/schema-resolver'
import { useTexts } from './kit/texts'
import { useUnsaved } from './kit/unsaved'
import type { SendOutcome, SendProblem } from './send'

interface SchemaForm<Values extends FieldValues> {
  /** What the server checks the body by. */
  readonly schema: z.ZodType
  readonly values: Values
  /** The body made of the form's values, where they differ: an empty choice that is sent as null. */
  readonly bodyOf?: (values: Values) => object
  /** Name of the part of a request that the body lies in, such as "site": problems name their fields within it. */
  readonly part?: string
}

const nothing = () => () => undefined
const same = <Values>(values: Values): Values => values

/**
 * A form checked by the schema that the server checks by, before it is sent and as it is mended; what the server
 * refuses is said at its field. Nothing entered is lost by a refusal.
 */
export function useSchemaForm<Values extends FieldValues>({ schema, values, bodyOf, part }: SchemaForm<Values>) {
  const t = useTexts()
  const router = useRouter()
  const form = useForm<Values>({
    resolver: schemaResolver(schema, t, bodyOf),
    defaultValues: values as DefaultValues<Values>,
  })
  useWatch({ control: form.control })
  const ready = useSyncExternalStore(
    nothing,
    () => true,
    () => false,
  )
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(false)
  const { errors, isSubmitting, isDirty } = form.formState
  useUnsaved(isDirty && !isSubmitting)
  const errorOf = (path: string): string | undefined =>
    form.getFieldState(path as FieldPath<Values>, { ...form.formState, errors }).error?.message

  /**
   * Sends what was entered.
   * @param sent asks the server
   * @param then what follows once it was kept; the page is read anew after it
   */
  const submit = <Answer>(
    sent: (body: object, values: Values) => Promise<SendOutcome<Answer>>,
    then?: (answer: Answer, values: Values) => void,
  ) =>
    form.handleSubmit(async (values) => {
      const outcome = await sent((bodyOf ?? same)(values), values)
      setProblem(outcome.ok ? null : outcome.problem)
      setSaved(outcome.ok)
      if (outcome.ok) {
        form.reset(values)
        then?.(outcome.value, values)
        return router.refresh()
      }
      for (const { path, message } of outcome.problem.fields ?? [])
        form.setError((part ? path.replace(`${part}.`, '') : path) as FieldPath<Values>, { type: 'server', message })
    })

  return {
    form,
    values: form.getValues(),
    problem,
    /** False until the page has come to life: a choice made before it would be lost where others follow from it. */
    ready,
    /** It was kept, and nothing was changed since. */
    saved: saved && !isDirty,
    sending: isSubmitting,
    errorOf,
    submit,
    /** Changes parts of what is entered. */
    put: (part: Partial<Values>) => {
      for (const [path, value] of Object.entries(part))
        form.setValue(path as FieldPath<Values>, value as PathValue<Values, FieldPath<Values>>, {
          shouldDirty: true,
          shouldValidate: form.formState.isSubmitted,
        })
    },
    /** For a line of text or a choice. */
    field: (path: FieldPath<Values>) => ({
      ...form.register(path),
      // in the page that the server writes: what somebody enters before it comes to life is then taken for a change
      defaultValue: String(get(values, path) ?? ''),
      error: errorOf(path),
    }),
    /** For a control with a value of its own: a quantity, a tick. */
    control: <Path extends FieldPath<Values>>(path: Path) => ({
      value: form.getValues(path) as FieldPathValue<Values, Path>,
      onChange: (value: FieldPathValue<Values, Path>) =>
        form.setValue(path, value as PathValue<Values, Path>, {
          shouldDirty: true,
          shouldValidate: form.formState.isSubmitted,
        }),
      error: errorOf(path),
    }),
  }
}
