import { pondFacts, type SurveyFigures } from './pond-facts'

const survey = (lengthM: number): SurveyFigures => ({
  outline: { kind: 'rectangle', lengthM, widthM: 3 },
  zones: [{ name: 'Basin', floorDepthM: 1, surfaceShare: 1, sideSlope: 0 }],
  rockShare: 0,
  meteredFillM3: null,
})
const volumeOf = (figures: SurveyFigures) => {
  const facts = pondFacts(figures)
  return facts.ok ? facts.value.adopted.volumeM3 : null
}

describe('facts of a survey', () => {
  it('are given again for the same figures, wherever they come from', () => {
    expect(pondFacts(structuredClone(survey(5)))).toBe(pondFacts(survey(5)))
    expect(volumeOf(survey(5))).toBeCloseTo(15, 6)
  })
  it('follow every figure that is changed', () => {
    expect(volumeOf({ ...survey(5), rockShare: 0.1 })).toBeCloseTo(13.5, 6)
    expect(volumeOf(survey(6))).toBeCloseTo(18, 6)
    const metered = pondFacts({ ...survey(5), meteredFillM3: 14 })
    expect(metered.ok && metered.value.evidence.map(({ method }) => method)).toEqual([
      'geometry-rectangle',
      'metered-fill',
    ])
    const drained = pondFacts({
      ...survey(5),
      volumeTests: [{ method: 'drain-down', flowM3PerH: 6, minutes: 140 }] as never,
    })
    expect(drained.ok && drained.value.evidence).toHaveLength(2)
  })
  it('are worked out again after very many others, and the same', () => {
    const before = volumeOf(survey(5))
    for (let i = 0; i < 450; i++) volumeOf(survey(2 + i / 100))
    expect(volumeOf(survey(5))).toBe(before)
  })
})
