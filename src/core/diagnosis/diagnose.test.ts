import fc from 'fast-check'
import { BUILDING_CASES } from '../../../tests/fixtures/diagnosis/building-cases'
import { JUDGING_CASES } from '../../../tests/fixtures/diagnosis/judging-cases'
import { findingsOf, type WrittenCase } from '../../../tests/fixtures/diagnosis/written-case'
import { visitType } from '../visits/visit-types'
import { CAUSE_KEYS, CAUSES, causeOf, isUrgent, type CauseKey } from './causes'
import { diagnose } from './diagnose'
import { anythingWrong, FINDING_KEYS, FINDINGS, findingOf, type FindingKey, type Findings } from './findings'

const placeOf = (written: WrittenCase): number =>
  diagnose(findingsOf(written)).ranked.findIndex((r) => r.cause === written.cause)
const likelihoodOf = (cause: CauseKey, findings: Findings): number =>
  diagnose(findings).ranked.find((r) => r.cause === cause)!.likelihood

describe.each([
  ['that it was built with', BUILDING_CASES],
  ['that it is judged by', JUDGING_CASES],
])('written cases %s', (_which, cases) => {
  it('have their cause first in nine of ten', () => {
    const missed = cases.filter((c) => placeOf(c) !== 0).map((c) => c.words)
    expect({ share: 1 - missed.length / cases.length >= 0.9, missed }).toEqual({ share: true, missed })
  })
  it.each(cases.map((c) => [c.words, c] as const))('among the first three: %s', (_words, written) =>
    expect(placeOf(written)).toBeLessThan(3),
  )
  it('ask next what separates them, in nine of ten', () => {
    const asked = cases.filter((c) => c.separating.length > 0)
    const missed = asked
      .map((c) => ({ words: c.words, asks: diagnose(findingsOf(c)).next?.finding, wanted: c.separating }))
      .filter(({ asks, wanted }) => !wanted.includes(asks!))
    expect({ share: 1 - missed.length / asked.length >= 0.9, missed }).toEqual({ share: true, missed })
  })
  it.each(cases.filter((c) => c.also.length > 0).map((c) => [c.words, c] as const))(
    'have what is wrong beside it among the first three too: %s',
    (_words, written) =>
      expect(
        diagnose(findingsOf(written))
          .ranked.slice(0, 3)
          .map(({ cause }) => cause),
      ).toEqual(expect.arrayContaining([...written.also])),
  )
})
it('there are at least sixty written cases, no call twice, and every cause has one', () => {
  const all = [...BUILDING_CASES, ...JUDGING_CASES]
  expect(all.length).toBeGreaterThanOrEqual(60)
  expect(JUDGING_CASES.length).toBeGreaterThanOrEqual(30)
  expect(new Set(all.map(({ yes, no }) => [yes, no].map((keys) => keys.toSorted().join()).join('|'))).size).toBe(
    all.length,
  )
  expect(CAUSE_KEYS.filter((cause) => !all.some((c) => c.cause === cause))).toEqual([])
})

describe('what was got wrong once', () => {
  it('KH of 1 belongs to a cause', () => expect(diagnose({ 'kh-low': true }).ranked[0]!.cause).toBe('ph-crash'))
  it('ammonia past the line with calm fish is not ranked behind green water', () =>
    expect(
      isUrgent(
        diagnose({ 'water-green': true, 'ammonia-high': true, 'fish-gasp': false, 'fish-many': false }).ranked[0]!
          .cause,
      ),
    ).toBe(true))
  it('overstock comes first where there are too many fish and the tests show it', () =>
    expect(diagnose({ 'fish-many': true, 'nitrate-high': true, 'water-green': true }).ranked[0]!.cause).toBe(
      'overstocked',
    ))
  it('red fins ask for a water test', () =>
    expect(diagnose({ 'red-streaks': true }).next?.finding).toBe('ammonia-high'))
  it('milky water after a treatment asks for an oxygen test at once', () =>
    expect(diagnose({ 'water-milky': true, 'treated-lately': true }).next?.finding).toBe('oxygen-low'))
  it('a small filter, too many fish and few plants add up', () => {
    const [one, two, three] = ['filter-small', 'fish-many', 'plants-few'] as const
    const causes = ['green-filter-small', 'overstocked', 'green-few-plants'] as const
    const seen = { 'water-green': true, 'filter-new': false, 'cleaned-lately': false, 'fed-much': false }
    expect(diagnose({ ...seen, [one]: true, [two]: true, [three]: true }).together.toSorted()).toEqual(
      causes.toSorted(),
    )
  })
  it.each(FINDING_KEYS.filter((key) => findingOf(key).kind === 'test' && findingOf(key).role === 'sign'))(
    'the abnormal test %s belongs to a cause',
    (finding) => expect(CAUSE_KEYS.some((cause) => causeOf(cause).shows[finding] !== undefined)).toBe(true),
  )
  it('rival explanations are not said together', () => expect(diagnose({ 'level-falls': true }).together).toEqual([]))
  it('names what can kill and is not ruled out, until a test does', () => {
    expect(diagnose({ 'fish-gasp': true }).notRuledOut).toEqual(expect.arrayContaining(['nitrite-poisoning']))
    expect(diagnose({ 'fish-gasp': true, 'nitrite-high': false }).notRuledOut).not.toContain('nitrite-poisoning')
  })
})

describe('something wrong', () => {
  it('is what is seen or tested', () => {
    expect(anythingWrong({ 'water-green': true })).toBe(true)
    expect(anythingWrong({ 'kh-low': true })).toBe(true)
    expect(anythingWrong({ 'level-falls': true, 'hot-days': true })).toBe(true)
  })
  it('is not how a pond lies, is stocked or was kept, nor what was denied', () => {
    expect(anythingWrong({})).toBe(false)
    expect(
      anythingWrong({
        'filter-small': true,
        'fish-many': true,
        'cleaned-lately': true,
        'leaves-in': true,
        'nitrate-low': true,
      }),
    ).toBe(false)
    expect(anythingWrong({ 'water-green': false, 'ammonia-high': false })).toBe(false)
  })
})

describe('a diagnosis', () => {
  const anyFindings = fc
    .array(fc.tuple(fc.constantFrom(...FINDING_KEYS), fc.boolean()), { maxLength: 12 })
    .map((list) => Object.fromEntries(list) as Findings)

  it('always gives likelihoods between nought and one, what explains something first, whatever is told', () => {
    fc.assert(
      fc.property(anyFindings, (findings) => {
        const { ranked, together, next } = diagnose(findings)
        expect(ranked.map(({ cause }) => cause).toSorted()).toEqual(CAUSE_KEYS.toSorted())
        for (const { likelihood } of ranked) expect(likelihood >= 0 && likelihood <= 1).toBe(true)
        const groups = ranked.map((r) => (r.explains ? 0 : 2) + (isUrgent(r.cause) && r.likelihood >= 0.3 ? 0 : 1))
        expect(groups).toEqual(groups.toSorted((a, b) => a - b))
        expect(together.length).not.toBe(1)
        if (next) expect(findings[next.finding]).toBeUndefined()
      }),
      { numRuns: 60, seed: 2 },
    )
  })
  it('with nothing told goes by how common things are, and asks the most telling glance first', () => {
    const { ranked, next } = diagnose({})
    expect(ranked[0]!.likelihood).toBeLessThan(0.2)
    expect(ranked.some((r) => r.explains)).toBe(false)
    expect(FINDINGS[next!.finding].minutes).toBeLessThanOrEqual(3)
  })
  it('says what speaks for and against, with what was found', () => {
    const [first] = diagnose({ 'water-green': true, 'filter-small': true, 'filter-new': false }).ranked
    expect(first!.cause).toBe('green-filter-small')
    expect(first!.for.map((e) => e.finding)).toEqual(expect.arrayContaining(['water-green', 'filter-small']))
    const young = diagnose({ 'water-green': true, 'filter-new': false }).ranked.find(
      (r) => r.cause === 'green-filter-young',
    )!
    expect(young.against.map((e) => e.finding)).toContain('filter-new')
  })
  it('grows surer with evidence for a cause', () => {
    const likelihood = (findings: Findings) => likelihoodOf('leak-shell', findings)
    expect(likelihood({ 'level-falls': true, 'falls-pump-off': true })).toBeGreaterThan(
      likelihood({ 'level-falls': true }),
    )
    expect(likelihood({ 'level-falls': true, 'bucket-falls': true })).toBeLessThan(likelihood({ 'level-falls': true }))
  })
})

describe('the knowledge', () => {
  it.each(CAUSE_KEYS)('%s: shows findings that there are, as chances, and has a way out', (key) => {
    const cause = causeOf(key)
    for (const [finding, p] of Object.entries(cause.shows)) {
      expect(FINDINGS[finding as FindingKey]).toBeDefined()
      expect(p).toBeGreaterThan(0)
      expect(p).toBeLessThan(1)
    }
    expect(cause.prior).toBeGreaterThan(0)
    expect(cause.prior).toBeLessThan(0.3)
    expect(cause.remedies.length).toBeGreaterThan(0)
    for (const remedy of cause.remedies) if (remedy.jobKey) expect(visitType(remedy.jobKey)).toBeDefined()
    if (cause.betterDays) expect(cause.betterDays[0]).toBeLessThanOrEqual(cause.betterDays[1])
    else expect(cause.specialist === 'vet' || key === 'leak-shell').toBe(true)
  })
  it('sends sick fish to a specialist and warns where it can kill', () => {
    expect(CAUSES.infection.specialist).toBe('vet')
    expect(isUrgent('hydrogen-sulfide')).toBe(true)
    expect(isUrgent('low-oxygen')).toBe(true)
    expect(isUrgent('duckweed')).toBe(false)
  })
})
