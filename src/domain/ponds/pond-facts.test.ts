import { OutlineInput } from './pond'
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
  it('leave out a way to the volume that was set aside, and keep it on file', () => {
    const both = { ...survey(5), meteredFillM3: 9 }
    const reason = 'The meter was read at the wrong tap'
    const aside = pondFacts({ ...both, setAside: { method: 'metered-fill', reason } })
    expect(aside.ok && aside.value).toMatchObject({
      adopted: { volumeM3: volumeOf(survey(5)), conflicts: [] },
      setAside: [{ method: 'metered-fill', volumeM3: 9 }],
    })
    expect(volumeOf({ ...both, setAside: { method: 'geometry', reason } })).toBe(9)
    // the last way there is cannot be set aside
    expect(volumeOf({ ...survey(5), setAside: { method: 'geometry', reason } })).toBe(volumeOf(survey(5)))
  })
  it('takes a bay that lies across the tape', () => {
    const offsets = [
      { stationM: 0, leftM: 0, rightM: 0 },
      { stationM: 2, leftM: 2, rightM: 1 },
      { stationM: 4, leftM: 2.5, rightM: -0.5 },
      { stationM: 6, leftM: 0, rightM: 0 },
    ]
    const bay = pondFacts({ ...survey(5), outline: { kind: 'offsets', offsets } })
    // by trapezoids of the widths 0, 3, 2, 0
    expect(bay.ok && bay.value.basin.areaM2).toBeCloseTo(10, 9)
    expect(OutlineInput.safeParse({ kind: 'offsets', offsets }).success).toBe(true)
    const crossed = offsets.map((o, i) => (i === 2 ? { ...o, leftM: 0.2 } : o))
    expect(OutlineInput.safeParse({ kind: 'offsets', offsets: crossed }).error!.issues[0]!.path).toEqual([
      'offsets',
      2,
      'rightM',
    ])
  })
  it('are worked out again after very many others, and the same', () => {
    const before = volumeOf(survey(5))
    for (let i = 0; i < 450; i++) volumeOf(survey(2 + i / 100))
    expect(volumeOf(survey(5))).toBe(before)
  })
})
