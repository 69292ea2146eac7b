import fc from 'fast-check'
import { visitType } from '../visits/visit-types'
import { WRITTEN_CASES, type WrittenCase } from './cases'
import { CAUSE_KEYS, CAUSES, causeOf, isUrgent } from './causes'
import { diagnose } from './diagnose'
import { anythingWrong, FINDING_KEYS, FINDINGS, type FindingKey, type Findings } from './findings'

const findingsOf = ({ yes, no }: Pick<WrittenCase, 'yes' | 'no'>): Findings => ({
  ...Object.fromEntries(no.map((key) => [key, false])),
  ...Object.fromEntries(yes.map((key) => [key, true])),
})
const placeOf = (written: WrittenCase): number =>
  diagnose(findingsOf(written)).ranked.findIndex((r) => r.cause === written.cause)

describe('written cases', () => {
  it('are at least forty, and every cause has one', () => {
    expect(WRITTEN_CASES.length).toBeGreaterThanOrEqual(40)
    expect(CAUSE_KEYS.filter((cause) => !WRITTEN_CASES.some((c) => c.cause === cause))).toEqual([])
  })
  it('have their cause first in nine of ten', () => {
    const missed = WRITTEN_CASES.filter((c) => placeOf(c) !== 0).map((c) => c.words)
    expect({ share: 1 - missed.length / WRITTEN_CASES.length >= 0.9, missed }).toEqual({ share: true, missed })
  })
  it.each(WRITTEN_CASES.map((c) => [c.words, c] as const))('among the first three: %s', (_words, written) =>
    expect(placeOf(written)).toBeLessThan(3),
  )
  it.each(WRITTEN_CASES.filter((c) => c.separating.length > 0).map((c) => [c.words, c] as const))(
    'asks what separates it next: %s',
    (_words, written) => {
      expect(written.separating).toContain(diagnose(findingsOf(written)).next?.finding)
    },
  )
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

  it('always gives likelihoods that sum to one, in order, whatever is told', () => {
    fc.assert(
      fc.property(anyFindings, (findings) => {
        const { ranked, next } = diagnose(findings)
        expect(ranked).toHaveLength(CAUSE_KEYS.length)
        expect(ranked.reduce((sum, r) => sum + r.likelihood, 0)).toBeCloseTo(1, 9)
        ranked.forEach((r, i) => expect(i === 0 || r.likelihood <= ranked[i - 1]!.likelihood).toBe(true))
        if (next) expect(findings[next.finding]).toBeUndefined()
      }),
      { numRuns: 150, seed: 2 },
    )
  })
  it('with nothing told goes by how common things are, and asks the most telling glance first', () => {
    const { ranked, next } = diagnose({})
    expect(ranked[0]!.likelihood).toBeLessThan(0.2)
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
    const likelihood = (findings: Findings) =>
      diagnose(findings).ranked.find((r) => r.cause === 'leak-shell')!.likelihood
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
