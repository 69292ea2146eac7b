import { koiPond } from '../../../../tests/fixtures/design-pond'
import { trainUnit } from '../../../../tests/fixtures/train-unit'
import { POND_LININGS, type PondLining } from '../../survey/lining'
import { checkDesign } from '../checks'
import { evaluateDesign } from '../design'
import type { DesignPond } from '../design-input'
import { PUMP_CATALOGUE as pumps } from '../flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from '../house-rules'
import { suggestDesign } from '../suggest'
import { skimmerChoices, withSkimmers, type SkimmerKind } from './skimmer-choice'
import { mouthLoadings, skimmedM2, skimmerDrawM3PerH } from './skimmers'

const bare = { train: [] }
const choices = (changes: Partial<DesignPond>, flowM3PerH = 10, deepestM: number | null = 1.2) =>
  skimmerChoices({ ...koiPond, ...changes }, bare, flowM3PerH, deepestM)
const choice = (kind: SkimmerKind, ...given: Parameters<typeof choices>) =>
  choices(...given).find((one) => one.kind === kind)!

describe('skimmers for an existing pond', () => {
  it.each<[PondLining, string, string, string]>([
    ['liner', 'fits', 'fits', 'fits'],
    ['old-liner', 'no', 'fits', 'fits'],
    ['preformed', 'look', 'fits', 'fits'],
    ['concrete', 'look', 'fits', 'fits'],
    ['clay', 'no', 'fits', 'fits'],
    ['unknown', 'look', 'fits', 'fits'],
  ])('sealed by %s: in the wall %s, floating %s, with its own pump %s', (lining, ...fits) =>
    expect(choices({ lining }).map(({ fit }) => fit)).toEqual(fits),
  )
  it('are never cut into what cannot be cut', () => {
    for (const lining of ['old-liner', 'clay'] as const) {
      const cut = choices({ lining }).flatMap(({ parts }) => parts)
      expect(cut).not.toContain('bulkhead')
      expect(cut).not.toContain('core-hole')
    }
    expect(choice('skimmer-floating', { lining: 'old-liner' })).toMatchObject({
      reason: 'line-over-rim',
      parts: ['suction-hose', 'foot-valve'],
    })
  })
  it('always leave a way that fits, however the pond is sealed', () => {
    for (const lining of POND_LININGS) expect(choices({ lining }).some(({ fit }) => fit === 'fits')).toBe(true)
  })
  it('are as many as the surface wants: one for 50 m² in the wall, 40 floating, 20 with its own pump', () => {
    expect(choices({ areaM2: 100 }).map(({ count }) => count)).toEqual([2, 3, 5])
    expect(choices({ areaM2: 50 }).map(({ count }) => count)).toEqual([1, 2, 3])
    expect(choice('skimmer-pump-fed', { areaM2: 100 })).toMatchObject({ fit: 'look', reason: 'large-surface' })
  })
  it('do not float where there is no depth for it', () => {
    expect(choice('skimmer-floating', {}, 10, 0.4)).toMatchObject({ fit: 'no', reason: 'too-shallow' })
    expect(choice('skimmer-wall', {}, 10, 0.4).fit).toBe('fits')
    expect(choice('skimmer-floating', {}, 10, null).fit).toBe('fits')
  })
  it('have mouths that take what the pump brings, and are more where one does not', () => {
    for (const flowM3PerH of [3, 10, 25, 48, 90])
      for (const kind of ['skimmer-wall', 'skimmer-floating'] as const) {
        const { drawM3PerH, count, unit } = choice(kind, {}, flowM3PerH)
        expect(drawM3PerH[1]).toBeGreaterThanOrEqual(flowM3PerH)
        // and no wider than it must be: the next narrower would not do
        expect((flowM3PerH / count / unit.weirM) * (unit.weirM <= 0.2 ? 100 : 1)).toBeGreaterThan(20)
      }
    expect(choice('skimmer-wall', {}, 48).count).toBe(2)
  })
  it('draw 20 to 60 m³/h over each metre of their mouths', () => {
    const { drawM3PerH, unit, count } = choice('skimmer-wall', { areaM2: 90 })
    expect(drawM3PerH).toEqual([count * unit.weirM * 20, count * unit.weirM * 60])
  })
  it('leave what sinks: half of the leaves under a wall skimmer, more under the others', () => {
    const sinks = choices({ leafKgPerYear: 8 }).map(({ sinksKgPerYear }) => sinksKgPerYear)
    expect(sinks[0]).toBeCloseTo(4, 9)
    expect(sinks[1]).toBeCloseTo(8 * 0.6, 9)
    expect(sinks[2]).toBeCloseTo(8 * 0.7, 9)
  })
  it('take the place of those that were there, before the rest of the train', () => {
    const train = [trainUnit('skimmer-pump-fed'), trainUnit('drum'), trainUnit('uv')]
    const chosen = choice('skimmer-wall', { areaM2: 90 })
    expect(withSkimmers(train, chosen).map(({ kind }) => kind)).toEqual(['skimmer-wall', 'skimmer-wall', 'drum', 'uv'])
  })
})

describe('what skimmers take', () => {
  it('is the pump’s flow over the mouths it draws by; one with its own pump draws its own', () => {
    const wall = trainUnit('skimmer-wall', { weirM: 0.25 })
    const own = trainUnit('skimmer-pump-fed', { weirM: 0.2, ratedFlowM3PerH: 5 })
    expect(mouthLoadings([wall, wall, own], 20)).toEqual([40, 25])
    expect(mouthLoadings([own], 20)).toEqual([25])
    expect(skimmerDrawM3PerH([wall, own])).toBe(5)
    expect(skimmedM2([wall, wall, own])).toBe(120)
  })
  it('of one with its own pump is not asked of the pond’s pump, nor judged by its flow', () => {
    const design = { ...suggestDesign(koiPond, 'volume', rules, pumps), train: [choice('skimmer-pump-fed', {}).unit] }
    const large = { ...koiPond, areaM2: 15 }
    const given = { pond: large, design, rules, houseMethod: 'volume' as const, pumps }
    const result = evaluateDesign(given)
    expect(result.demand.skimmerM3PerH).toBe(0)
    expect(checkDesign({ ...given, result }).find(({ id }) => id === 'skimmer')).toMatchObject({
      verdict: 'pass',
      figure: 25,
    })
  })
  it('is a review where they keep less clean than the pond has', () => {
    const drawn = suggestDesign(koiPond, 'volume', rules, pumps)
    const { flowM3PerH } = evaluateDesign({ pond: koiPond, design: drawn, rules, houseMethod: 'volume', pumps })
    const design = { ...drawn, train: [{ ...choice('skimmer-wall', {}).unit, weirM: flowM3PerH / 40 }] }
    const verdict = (areaM2: number) => {
      const given = { pond: { ...koiPond, areaM2 }, design, rules, houseMethod: 'volume' as const, pumps }
      return checkDesign({ ...given, result: evaluateDesign(given) }).find(({ id }) => id === 'skimmer')!.verdict
    }
    expect(verdict(45)).toBe('pass')
    expect(verdict(60)).toBe('look')
  })
})
