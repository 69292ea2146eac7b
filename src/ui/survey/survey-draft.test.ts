import { EMPTY_SURVEY } from './survey-form-values'
import { surveyOfDraft } from './survey-draft'

describe('a survey that a browser kept', () => {
  it('keeps the ways to the volume that an earlier form held one of each', () => {
    const { volumeTests: _none, ...before } = EMPTY_SURVEY
    const kept = {
      ...before,
      name: 'Half measured',
      timedFill: { containerM3: null, seconds: null, minutes: null },
      salt: { saltKg: 5, rise: null },
      drainDown: { flowM3PerH: null, minutes: null },
    }
    expect(surveyOfDraft(kept)).toEqual({
      ...EMPTY_SURVEY,
      name: 'Half measured',
      volumeTests: [{ method: 'salt-dilution', saltKg: 5, rise: null }],
    })
  })
  it('is given back as it is by this form', () => {
    const kept = { ...EMPTY_SURVEY, volumeTests: [{ method: 'drain-down' as const, flowM3PerH: 6, minutes: 90 }] }
    expect(surveyOfDraft(JSON.parse(JSON.stringify(kept)))).toEqual(kept)
  })
})
