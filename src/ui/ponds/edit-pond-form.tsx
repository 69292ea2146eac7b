'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { FormProvider, useForm, useWatch, type FieldPath } from 'react-hook-form'
import type { PondInContext } from '@/domain/ponds/pond'
import { PondInput } from '@/domain/ponds/pond'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send, type SendProblem } from '@/ui/send'
import { SurveyDrawing } from '@/ui/survey/survey-drawing'
import { surveyOfDraft } from '@/ui/survey/survey-draft'
import { SurveyFields } from '@/ui/survey/survey-fields'
import { formPath, readSurvey, toFormValues, type SurveyFormValues } from '@/ui/survey/survey-form-values'
import { StaleSave } from './stale-save'
import { useDraft } from '@/ui/use-draft'
import { zodFields } from '@/messages/problem-body'

const surveyOf = ({
  id: _id,
  siteId: _site,
  version: _version,
  ownRules: _ownRules,
  ownConstants: _ownConstants,
  siteSurvey: _siteSurvey,
  siteName: _siteName,
  town: _town,
  customerName: _customer,
  ...survey
}: PondInContext): PondInput => survey

/** Changes a pond's survey; when someone else saved meanwhile, both are shown. */
export function EditPondForm({ pond }: { pond: PondInContext }) {
  const t = useTexts()

  const router = useRouter()
  const form = useForm<SurveyFormValues>({ defaultValues: toFormValues(surveyOf(pond)) })
  const values = useWatch({ control: form.control }) as SurveyFormValues
  const [version, setVersion] = useState(pond.version)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const draft = useDraft(`slow-reed:pond:${pond.id}:${pond.version}`, values, (kept) => form.reset(surveyOfDraft(kept)))
  const showErrors = (fields: readonly { path: string; message: string }[]) => {
    form.clearErrors()
    for (const f of fields)
      form.setError(formPath(f.path, form.getValues()) as FieldPath<SurveyFormValues>, { message: f.message })
  }
  const save = async (onVersion: number) => {
    const read = readSurvey(form.getValues())
    if (!read.success) {
      const fields = zodFields(read.error, t)
      showErrors(fields)
      return setProblem({
        title: t('ponds.editPondForm.someFiguresStillMissing'),
        status: 422,
        kind: 'bad-input',
        fields,
      })
    }
    const outcome = await send('PUT', `/api/v1/ponds/${pond.id}`, { version: onVersion, pond: read.data })
    if (!outcome.ok) {
      showErrors(outcome.problem.fields ?? [])
      return setProblem(outcome.problem)
    }
    draft.clear()
    router.push(`/ponds/${pond.id}`)
    router.refresh()
  }
  const theirs = problem?.kind === 'conflict' ? (problem.current as PondInContext) : null
  return (
    <FormProvider {...form}>
      <form
        className="columns form-and-drawing"
        method="post"
        noValidate
        onSubmit={(e) => {
          // an error at a place without a field of its own would otherwise hold the form for good
          form.clearErrors()
          void form.handleSubmit(() => save(version))(e)
        }}
      >
        <div className="sheet">
          <SurveyFields />
          {theirs ? (
            <StaleSave
              mine={values}
              theirs={toFormValues(surveyOf(theirs))}
              onKeepMine={() => {
                setVersion(theirs.version)
                void save(theirs.version)
              }}
              onTakeTheirs={() => {
                form.reset(toFormValues(surveyOf(theirs)))
                setVersion(theirs.version)
                setProblem(null)
              }}
            />
          ) : (
            <ProblemNote problem={problem} />
          )}
          <button className="btn btn-primary mt-2" disabled={form.formState.isSubmitting}>
            {t('ponds.editPondForm.saveSurvey')}
          </button>
        </div>
        <div className="sheet stick">
          <SurveyDrawing values={values} />
        </div>
      </form>
    </FormProvider>
  )
}
