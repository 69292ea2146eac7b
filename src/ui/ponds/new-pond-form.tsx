'use client'
import { useTexts } from '@/ui/kit/texts'
import { ALWAYS_OPEN } from '@/domain/customers/customer'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { FormProvider, useForm, useWatch, type FieldPath } from 'react-hook-form'
import { NewPondInput } from '@/domain/customers/customer'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send, type SendProblem } from '@/ui/send'
import { PlaceFields, type Places } from './place-fields'
import { SurveyDrawing } from '@/ui/survey/survey-drawing'
import { surveyOfDraft } from '@/ui/survey/survey-draft'
import { SurveyFields } from '@/ui/survey/survey-fields'
import {
  firstSurvey,
  formPath,
  newPondBody,
  toPondInput,
  type PlaceValues,
  type SurveyFormValues,
} from '@/ui/survey/survey-form-values'
import { useDraft } from '@/ui/use-draft'
import { zodFields } from '@/messages/problem-body'

const DRAFT_KEY = 'slow-reed:new-pond'

/** A new pond from first tape measure: customer, site and survey on one page, drawn as it is typed. */
export function NewPondForm({ places }: { places: Places }) {
  const t = useTexts()

  const router = useRouter()
  const form = useForm<SurveyFormValues>({
    // a pond lies about as high as its weather station, until someone says otherwise
    defaultValues: {
      ...firstSurvey(t('survey.surveyFields.firstZone')),
      altitudeM: places.stations[0]?.altitudeM ?? null,
    },
  })
  const values = useWatch({ control: form.control }) as SurveyFormValues
  const [place, setPlace] = useState<PlaceValues>({
    customerId: 'new',
    siteId: 'new',
    customer: { name: '', email: '', phone: '' },
    site: {
      name: '',
      address: '',
      town: '',
      accessNotes: '',
      stationId: places.stations[0]?.id ?? '',
      lat: null,
      lon: null,
      ...ALWAYS_OPEN,
    },
  })
  const altitudeOf = (at: PlaceValues) => places.stations.find((s) => s.id === at.site.stationId)?.altitudeM ?? null
  const changePlace = (next: PlaceValues) => {
    // a height that was typed stays
    if (form.getValues('altitudeM') === altitudeOf(place)) form.setValue('altitudeM', altitudeOf(next))
    setPlace(next)
  }
  const [placeErrors, setPlaceErrors] = useState<Record<string, string>>({})
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [restored, setRestored] = useState(false)
  const draft = useDraft(DRAFT_KEY, { values, place }, (kept) => {
    form.reset(surveyOfDraft(kept.values))
    setPlace(kept.place)
    setRestored(true)
  })

  const showErrors = (fields: readonly { path: string; message: string }[]) => {
    form.clearErrors()
    for (const f of fields.filter((f) => f.path.startsWith('pond')))
      form.setError(formPath(f.path, form.getValues()) as FieldPath<SurveyFormValues>, { message: f.message })
    setPlaceErrors(Object.fromEntries(fields.filter((f) => !f.path.startsWith('pond')).map((f) => [f.path, f.message])))
  }
  const submit = async () => {
    const body = newPondBody(place, toPondInput(form.getValues()) as NewPondInput['pond'])
    const read = NewPondInput.safeParse(body)
    if (!read.success) {
      const fields = zodFields(read.error, t)
      showErrors(fields)
      return setProblem({
        title: t('ponds.newPondForm.thingsStillMissingWrong', { count: fields.length }),
        status: 422,
        kind: 'bad-input',
        fields,
      })
    }
    const outcome = await send<{ id: string }>('POST', '/api/v1/ponds', read.data)
    if (!outcome.ok) {
      showErrors(outcome.problem.fields ?? [])
      return setProblem(outcome.problem)
    }
    draft.clear()
    router.push(`/ponds/${outcome.value.id}`)
  }
  const startOver = () => {
    form.reset(firstSurvey(t('survey.surveyFields.firstZone')))
    draft.clear()
    window.location.reload()
  }
  return (
    <FormProvider {...form}>
      <form
        className="columns form-and-drawing"
        method="post"
        noValidate
        onSubmit={(e) => {
          // an error at a place without a field of its own would otherwise hold the form for good
          form.clearErrors()
          void form.handleSubmit(submit)(e)
        }}
      >
        <div className="sheet">
          {restored ? (
            <p className="small soft">
              {t('ponds.newPondForm.yourUnsavedEntriesBack')}{' '}
              <button type="button" className="btn btn-link btn-sm p-0" onClick={startOver}>
                {t('ponds.newPondForm.startOver')}
              </button>
            </p>
          ) : null}
          <PlaceFields places={places} value={place} onChange={changePlace} errors={placeErrors} />
          <fieldset>
            <legend>{t('ponds.newPondForm.pond')}</legend>
            <SurveyFields />
          </fieldset>
          <ProblemNote problem={problem} />
          <button className="btn btn-primary" disabled={form.formState.isSubmitting}>
            {t('ponds.newPondForm.savePond')}
          </button>
        </div>
        <div className="sheet stick">
          <SurveyDrawing values={values} />
        </div>
      </form>
    </FormProvider>
  )
}
