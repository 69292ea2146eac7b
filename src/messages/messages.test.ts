import { textsIn } from './texts'
import { checkDesign, CHECK_IDS } from '@/core/filter/checks'
import { evaluateDesign } from '@/core/filter/design'
import { trainUnit } from '../../tests/fixtures/train-unit'
import { TRAIN_KINDS } from '../core/filter/train/train-unit'
import { suggestDesign } from '@/core/filter/suggest'
import { PUMP_CATALOGUE } from '@/core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '@/core/filter/house-rules'
import { fishBackGate } from '@/core/visits/fish-back-gate'
import { pondSeason } from '@/core/season/windows'
import { formatQuantity } from '@/core/units/format'
import type { QuantityKind } from '@/core/units/kinds'
import { HouseRules, seasonRulesOf } from '@/domain/house-rules/house-rules'
import { STATIONS } from '../../stand-ins/weather-desk/stations'
import type { DesignPond, FilterDesign } from '@/core/filter/design-input'
import { FILTER_TYPES } from '@/core/filter/types'
import { checkWords } from './design/checks'
import { fishBackText } from './visits/fish-back'
import { whyThen } from './season/windows'
import { groundWith, laidOut, LAYOUT } from '../../tests/fixtures/site-plan'
import { koiPond } from '../../tests/fixtures/design-pond'

const show = (value: number, kind: QuantityKind, options?: object) =>
  formatQuantity(value, kind, 'metric', options).replaceAll('\u00a0', ' ')
const BROKEN = /undefined|NaN|Infinity|\[object|–\s*m|null/

const t = textsIn('en')

describe('checks in words', () => {
  const good = suggestDesign(koiPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE)
  const skimmer = trainUnit('skimmer-floating', { weirM: 0.3 })
  const whole = TRAIN_KINDS.map((kind) => trainUnit(kind, { ratedFlowM3PerH: 3 }))
  const bad = {
    ...good,
    lengthM: 0.5,
    widthM: 0.5,
    staticLiftM: 18,
    airBreakM: 0,
    layers: [{ material: 'gravel-19-38' as const, thicknessM: 0.3 }],
    vault: null,
  }
  const checksOf = (design: FilterDesign, pond: DesignPond = koiPond) => {
    const result = evaluateDesign({
      pond,
      design,
      rules: DEFAULT_FILTER_RULES,
      houseMethod: 'volume',
      pumps: PUMP_CATALOGUE,
    })
    return checkDesign({ design, pond, result, rules: DEFAULT_FILTER_RULES, houseMethod: 'volume' })
  }
  const ground = groundWith(
    { kind: 'spot-level', at: { xM: 0, yM: 4 }, levelM: 0.4 },
    { kind: 'access', line: LAYOUT.route.slice(0, 2), widthM: 0.8 },
    { kind: 'supply', at: { xM: 1, yM: 3 } },
    { kind: 'service', service: 'gas', line: LAYOUT.route, clearM: 0.5 },
  )
  const stream = { depthM: 0.1, places: [{ at: { xM: 6, yM: 0 }, widthM: 0.8, dropM: 0.2 }] }
  const onSite = laidOut({ ...LAYOUT, stream, skimmers: [{ xM: 0, yM: 0 }] })
  const windy = { ...koiPond, ground: { ...ground, survey: { ...ground.survey, windFromDeg: 270 } } }
  const designs: [string, FilterDesign][] = [
    ['a good design', good],
    ['a bad one', bad],
    ['one with all equipment there is, too small', { ...good, train: whole, heatToC: 18 }],
    ['one with its lamps before the screens', { ...good, train: [...whole].reverse() }],
    ['one with a tower too wide', { ...good, train: [trainUnit('trickle-tower', { mediaL: 5000, heightM: 0.5 })] }],
    ['one heated without a heater', { ...good, heatToC: 18 }],
    ['one with a heater and no heat', { ...good, train: [trainUnit('heater')] }],
    ['one with all in reach', { ...good, train: [trainUnit('uv', { clearanceM: 2 })] }],
    ['one with a pump beside the water and no line', { ...good, pumpId: 'D12', suction: null }],
    ['one with its pump too high', { ...good, suction: { diameterM: 0.04, lengthM: 9, liftM: 7, footValve: true } }],
    ['one that loses its prime', { ...good, suction: { diameterM: 0.11, lengthM: 2, liftM: 0.5, footValve: false } }],
    ['one with a lamp in a corner', { ...good, train: [trainUnit('uv', { clearanceM: 0.1 })] }],
    ...FILTER_TYPES.map((type): [string, FilterDesign] => [
      t(`design.filterTypeNames.${type}`),
      {
        ...suggestDesign(koiPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, type),
        train: [skimmer],
        airBreakM: 0.1,
      },
    ]),
  ]
  it.each(designs)('are whole sentences with figures for %s', (_, design) => {
    const swimming = { ...koiPond, use: 'swimming' as const, fish: [] }
    const checks = [...checksOf(design), ...checksOf(design, swimming), ...checksOf(onSite, windy)]
    for (const text of checks.flatMap((c) => Object.values(checkWords(c, show, t)))) {
      expect(text).not.toMatch(BROKEN)
      expect(text.length).toBeGreaterThan(3)
    }
  })
  it('are all asked for by one kind of filter or another', () => {
    const swimming = { ...koiPond, use: 'swimming' as const, fish: [] }
    const asked = new Set(
      designs.flatMap(([, design]) =>
        [...checksOf(design), ...checksOf(design, swimming), ...checksOf(onSite, windy)].map((c) => c.id),
      ),
    )
    expect([...asked].sort()).toEqual([...CHECK_IDS].sort())
  })
  it('say what a fishless pond needs without talking of infinity', () => {
    const fishless = { ...koiPond, fish: [], leafKgPerYear: 0 }
    const result = evaluateDesign({
      pond: fishless,
      design: good,
      rules: DEFAULT_FILTER_RULES,
      houseMethod: 'volume',
      pumps: PUMP_CATALOGUE,
    })
    for (const check of checkDesign({
      design: good,
      pond: fishless,
      result,
      rules: DEFAULT_FILTER_RULES,
      houseMethod: 'volume',
    }))
      expect(Object.values(checkWords(check, show, t)).join(' ')).not.toMatch(BROKEN)
  })
})

describe('why then', () => {
  const rules = HouseRules.parse({ feedingStartWaterC: 12 })
  const season = pondSeason({
    pond: { meanDepthM: 0.8, shade: 0.3, windShare: 0.5, altitudeM: 80 },
    station: STATIONS[0]!.normals,
    rules: seasonRulesOf(rules),
    year: 2001,
    weatherYears: 12,
  })
  const temp = (c: number) => show(c, 'temperature')
  it('answers for every window with its numbers', () => {
    expect(season.windows.length).toBeGreaterThanOrEqual(14)
    for (const window of season.windows) {
      const words = whyThen(window, rules, season.weatherYears, temp, t)
      expect(words).not.toMatch(BROKEN)
      expect(words).toMatch(/of 12 likely years|half of 12 likely years/)
    }
  })
  it('uses the house’s own trigger', () =>
    expect(
      whyThen(
        season.windows.find((w) => w.job === 'feeding-start')!,
        rules,
        12,
        temp,
        t,
      ),
    ).toContain('12.0 °C'))
})

describe('the fish gate in words', () => {
  it('names each reason and what ends the wait', () => {
    const gates = [
      fishBackGate({}),
      fishBackGate({ waterTemp: 26, tankTemp: 20, ph: 9, tan: 2, nitrite: 1, dissolvedOxygen: 3, freeChlorine: 0.4 }),
    ]
    const texts = gates.flatMap((g) => (g.status === 'stop' ? g.reasons.map((r) => fishBackText(r, show, t)) : []))
    expect(texts).toHaveLength(7)
    for (const text of texts) expect(text).not.toMatch(BROKEN)
    expect(texts[0]).toContain(
      'water temperature, tank temperature, ph, total ammonia (tan), nitrite, dissolved oxygen, free chlorine',
    )
  })
})
