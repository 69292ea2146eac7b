import { EMPTY_SURVEY, type SurveyFormValues, type VolumeTestValues } from './survey-form-values'

type Num = number | null

/** What the form held of ways to the volume before each could be measured more than once. */
interface OneOfEach {
  readonly timedFill?: { readonly containerM3: Num; readonly seconds: Num; readonly minutes: Num }
  readonly salt?: { readonly saltKg: Num; readonly rise: Num }
  readonly drainDown?: { readonly flowM3PerH: Num; readonly minutes: Num }
}

/** A survey that a browser kept before it was saved, by whichever version of the form: nothing typed is lost. */
export function surveyOfDraft(kept: Partial<SurveyFormValues> & OneOfEach): SurveyFormValues {
  const { timedFill, salt, drainDown, ...rest } = kept
  const ones: VolumeTestValues[] = [
    ...(timedFill ? [{ method: 'timed-fill' as const, ...timedFill }] : []),
    ...(salt ? [{ method: 'salt-dilution' as const, ...salt }] : []),
    ...(drainDown ? [{ method: 'drain-down' as const, ...drainDown }] : []),
  ]
  const typed = ones.filter(({ method: _method, ...figures }) => Object.values(figures).some((f) => f !== null))
  // what an earlier version of the form did not hold is empty
  return { ...EMPTY_SURVEY, ...rest, volumeTests: rest.volumeTests ?? typed }
}
