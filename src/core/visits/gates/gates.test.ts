import { UNTESTED_FILL } from '../../water/fill-water'
import fc from 'fast-check'
import { unionisedAmmonia } from '../../water/ammonia'
import { STEP_GATES, type StepGate } from '../step'
import { judgeGate } from '.'
import { ALGAE_ANSWERS, DAWN_OXYGEN_MGL, dawnOxygen } from './algae-treatment'
import { SLUDGE_SIGNS } from './deep-sludge'
import type { GateContext } from './gate'
import { phAfterKhRise } from './raise-kh'

const GOOD: GateContext = {
  readings: { waterTemp: 15, tapTemp: 13, ph: 7.4, tan: 0.1, kh: 4, dissolvedOxygen: 9 },
  refilled: { waterTemp: 10, tankTemp: 9, ph: 7.4, tan: 0.1, nitrite: 0.1, dissolvedOxygen: 9, freeChlorine: 0 },
  figures: { khRiseDH: 1, changedM3: 3, saltKg: 0, mediaShare: 0.5 },
  choice: null,
  systemM3: 12,
  planted: true,
  hoursSinceChange: null,
  fishOut: false,
  fill: null,
}
type Over = Partial<Omit<GateContext, 'readings' | 'figures'>> & {
  readings?: GateContext['readings']
  figures?: GateContext['figures']
}
const given = ({ readings, figures, ...over }: Over): GateContext => ({
  ...GOOD,
  ...over,
  readings: { ...GOOD.readings, ...readings },
  figures: { ...GOOD.figures, ...figures },
})
const codes = (gate: StepGate, over: Over = {}) => {
  const outcome = judgeGate(gate, given(over))
  return outcome.status === 'safe' ? [] : outcome.reasons.map((r) => r.code)
}

it.each(STEP_GATES)('%s lets a good day through', (gate) => expect(codes(gate)).toEqual([]))

describe('raising KH', () => {
  it.each<[string, Over, string[]]>([
    ['needs its tests', { readings: { tan: undefined, kh: undefined } }, ['needs-test']],
    ['needs to be told how far', { figures: { khRiseDH: undefined } }, ['needs-figure']],
    // TAN 1 mg/L at pH 8.4 and 20 °C is 0.09 mg/L of NH3 already
    ['waits for ammonia that would turn toxic', { readings: { tan: 1, ph: 8.4, waterTemp: 20 } }, ['ammonia-after']],
    ['passes the same ammonia in cold, sour water', { readings: { tan: 1, ph: 6.8, waterTemp: 8 } }, []],
    ['passes little ammonia at any pH', { readings: { tan: 0.2, ph: 9, waterTemp: 25 } }, []],
    ['goes two degrees a day at most', { readings: { kh: 8 }, figures: { khRiseDH: 3 } }, ['rise-too-steep']],
    // from 1 to 3 °dH pH rises by log10(3) = 0.48
    ['minds the pH of a soft pond', { readings: { kh: 1 }, figures: { khRiseDH: 2 } }, ['ph-too-steep']],
    ['allows one degree in it', { readings: { kh: 1 }, figures: { khRiseDH: 1 } }, []],
  ])('%s', (_, over, expected) => expect(codes('raise-kh', over)).toEqual(expected))
  it('reckons pH with carbon dioxide as it is: twice the KH is 0.30 more', () =>
    expect(phAfterKhRise(7, 4, 4)).toBeCloseTo(7.301, 3))
  it('never passes what would be toxic after the rise', () => {
    const within = (lo: number, hi: number) => fc.double({ min: lo, max: hi, noNaN: true })
    fc.assert(
      fc.property(
        within(0.25, 5),
        within(6, 9.5),
        within(0.5, 12),
        within(4, 28),
        within(0, 2),
        (tan, ph, kh, waterTemp, khRiseDH) => {
          const safe =
            judgeGate('raise-kh', given({ readings: { tan, ph, kh, waterTemp }, figures: { khRiseDH } })).status ===
            'safe'
          if (safe)
            expect(unionisedAmmonia(tan, phAfterKhRise(ph, kh, khRiseDH), waterTemp).nh3MgL).toBeLessThanOrEqual(
              0.05 + 1e-9,
            )
        },
      ),
    )
  })
})

describe('a water change', () => {
  it.each<[string, Over, string[]]>([
    ['is at most a third: 4 of 12 m³ pass', { figures: { changedM3: 4 } }, []],
    ['5 of 12 m³ do not', { figures: { changedM3: 5 } }, ['too-much-at-once']],
    ['waits a day after the last', { hoursSinceChange: 20 }, ['too-soon']],
    ['goes on after a day', { hoursSinceChange: 25 }, []],
    ['minds the inlet: 15 °C against 11', { readings: { tapTemp: 11 } }, ['inlet-temperature']],
    ['needs the tap tested', { readings: { tapTemp: undefined } }, ['needs-test']],
    ['asks nothing where none is changed', { figures: { changedM3: 0 }, readings: { tapTemp: undefined } }, []],
    ['needs ammonia tested', { readings: { tan: undefined } }, ['needs-test']],
    ['needs the fill water known once there is ammonia', { readings: { tan: 2 } }, ['needs-test']],
    // an acid pond full of ammonia, hard tap: harmless before, toxic after
    [
      'with hard tap on an acid, ammonia-rich pond is a stop',
      {
        figures: { changedM3: 4 },
        readings: { tan: 5, ph: 6.2, kh: 0.5 },
        fill: { ...UNTESTED_FILL, ph: 8, khDH: 14, chlorineMgL: 0 },
      },
      ['ammonia-after'],
    ],
    [
      'goes by today’s test of the tap before the site’s file',
      {
        figures: { changedM3: 4 },
        readings: { tan: 5, ph: 6.2, kh: 0.5, tapPh: 6.2, tapKh: 0.5 },
        fill: { ...UNTESTED_FILL, ph: 8, khDH: 14, chlorineMgL: 0 },
      },
      [],
    ],
    [
      'with chloramine in the tap on an alkaline pond is a stop, though the pond held no ammonia',
      {
        figures: { changedM3: 4 },
        readings: { tan: 0, ph: 9.4, kh: 6, tapPh: 8.4, tapKh: 8, waterTemp: 26, tapTemp: 25 },
        fill: { ...UNTESTED_FILL, chloramineMgL: 4 },
      },
      ['ammonia-after'],
    ],
    [
      'goes by the chloramine found today before the site’s file',
      {
        figures: { changedM3: 4 },
        readings: { tan: 0, tapChloramine: 0 },
        fill: { ...UNTESTED_FILL, chloramineMgL: 4 },
      },
      [],
    ],
    [
      'fears no chloramine where the tap held no chlorine today, whatever the file says',
      {
        figures: { changedM3: 4 },
        readings: { tan: 0, tapChlorine: 0 },
        fill: { ...UNTESTED_FILL, chlorineMgL: 4, chloramineMgL: 4 },
      },
      [],
    ],
    // a reading as low as may be logged used to be refused as out of the formula's range
    ['of pH 3.5 is judged as any other', { readings: { tan: 2, ph: 3.5, kh: 1, tapPh: 7, tapKh: 4 } }, []],
    [
      'says all at once',
      { figures: { changedM3: 8 }, hoursSinceChange: 2, readings: { tapTemp: 5 } },
      ['too-much-at-once', 'too-soon', 'inlet-temperature'],
    ],
  ])('%s', (_, over, expected) => expect(codes('water-change', over)).toEqual(expected))
})

describe('salt', () => {
  it.each<[string, Over, string[]]>([
    ['12 kg in 12 m³ are 0.1 %, which plants stand', { figures: { saltKg: 12 } }, []],
    ['20 kg are too much for them', { figures: { saltKg: 20 } }, ['too-salty']],
    ['but not for a pond without plants', { figures: { saltKg: 20 }, planted: false }, []],
    ['what is in the water already counts', { figures: { saltKg: 12 }, readings: { salinity: 0.0005 } }, ['too-salty']],
    ['none asks nothing', { figures: { saltKg: 0 }, readings: { salinity: 0.004 } }, []],
  ])('%s', (_, over, expected) => expect(codes('salt', over)).toEqual(expected))
})

describe('rinsing media', () => {
  it.each<[string, Over, string[]]>([
    ['half with fish in the pond', { figures: { mediaShare: 0.5 }, choice: 'pond-water' }, []],
    ['not all of it', { figures: { mediaShare: 1 }, choice: 'pond-water' }, ['media-at-once']],
    ['all of it with the fish out', { figures: { mediaShare: 1 }, choice: 'pond-water', fishOut: true }, []],
    ['never in tap water by the way', { figures: { mediaShare: 0.3 }, choice: 'tap-water' }, ['media-tap-water']],
  ])('%s', (_, over, expected) => expect(codes('media-clean', over)).toEqual(expected))
})

describe('handling fish', () => {
  it.each<[string, Over, string[]]>([
    ['not in water of 3 °C', { readings: { waterTemp: 3 } }, ['too-cold-or-hot']],
    ['nor of 25', { readings: { waterTemp: 25 } }, ['too-cold-or-hot']],
    ['not with 5.5 mg/L of oxygen', { readings: { dissolvedOxygen: 5.5 } }, ['oxygen']],
    ['not untested', { readings: { dissolvedOxygen: undefined } }, ['needs-test']],
    ['at 6 mg/L and 24 °C', { readings: { dissolvedOxygen: 6, waterTemp: 24 } }, []],
  ])('%s', (_, over, expected) => expect(codes('fish-handling', over)).toEqual(expected))
})

describe('treating algae', () => {
  const [none, licensed, without, dying] = ALGAE_ANSWERS
  it.each<[string, Over, string[]]>([
    ['asks nothing where nobody treats', { choice: none, readings: { dissolvedOxygen: undefined } }, []],
    ['passes licensed with oxygen for the night', { choice: licensed }, []],
    [
      'not with a warm night that uses it up',
      { choice: licensed, readings: { dissolvedOxygen: 7, waterTemp: 25 } },
      ['night-oxygen'],
    ],
    ['not without a licence', { choice: without }, ['no-licence']],
    ['never on a day of dying off', { choice: dying }, ['die-off']],
  ])('%s', (_, over, expected) => expect(codes('algae-treatment', over)).toEqual(expected))
  it('takes three mg/L off in a night at 20 °C, more in warmth, never below nothing', () => {
    expect(dawnOxygen(9, 20)).toBeCloseTo(6, 9)
    expect(dawnOxygen(9, 28)).toBeLessThan(dawnOxygen(9, 20))
    expect(dawnOxygen(1, 25)).toBe(0)
  })
})

describe('deep sediment', () => {
  it('stops at the smell and at gasping fish', () => {
    expect(SLUDGE_SIGNS.map((choice) => codes('deep-sludge', { choice }))).toEqual([[], ['sulfide-smell'], ['gasping']])
  })
})

describe('feeding a new filter', () => {
  it.each<[string, Over, string[]]>([
    [
      'full with ammonia over watch is a stop',
      { choice: 'full-feed', readings: { tan: 0.3, nitrite: 0.05 } },
      ['feed-ammonia'],
    ],
    [
      'full with nitrite over watch is a stop',
      { choice: 'full-feed', readings: { tan: 0.1, nitrite: 0.2 } },
      ['feed-nitrite'],
    ],
    ['a quarter goes on under the act line', { choice: 'quarter-feed', readings: { tan: 0.3, nitrite: 0.2 } }, []],
    [
      'but not above it',
      { choice: 'half-feed', readings: { tan: 0.6, nitrite: 0.6 } },
      ['feed-ammonia', 'feed-nitrite'],
    ],
    ['none asks nothing', { choice: 'no-feed', readings: { tan: 5 } }, []],
    ['some asks for its tests', { choice: 'full-feed', readings: { tan: 0.1 } }, ['needs-test']],
  ])('%s', (_, over, expected) => expect(codes('feeding', over)).toEqual(expected))
})

describe('fish going back', () => {
  it.each([
    ['oxygen of 4.9', { dissolvedOxygen: 4.9 }, ['oxygen']],
    ['nitrite at act', { nitrite: 0.6 }, ['nitrite']],
    ['toxic ammonia', { tan: 1, ph: 8.8 }, ['ammonia']],
    ['four degrees between tank and pond', { tankTemp: 5 }, ['temperature-step']],
    ['nothing of these', {}, []],
  ])('%s', (_, over, expected) =>
    expect(codes('fish-back-safe', { refilled: { ...GOOD.refilled, ...over } })).toEqual(expected),
  )
  it.each(['waterTemp', 'tankTemp', 'ph', 'tan', 'nitrite', 'dissolvedOxygen', 'freeChlorine'])(
    'waits for %s, and names it',
    (kind) => {
      const outcome = judgeGate('fish-back-safe', given({ refilled: { ...GOOD.refilled, [kind]: undefined } }))
      expect(outcome).toEqual({ status: 'stop', reasons: [{ code: 'not-tested', missing: [kind] }] })
    },
  )
  it('goes by the test after the refill alone, whatever was read before', () => {
    expect(codes('fish-back-safe', { refilled: {} })).toEqual(['not-tested'])
    expect(codes('fish-back-safe', { refilled: { ...GOOD.refilled, freeChlorine: 0.3 } })).toEqual(['chlorine'])
  })
})

describe('a gate that was not told what it must know stops, and names it', () => {
  const outcome = (gate: StepGate, over: Over) => judgeGate(gate, given(over))
  it.each<[StepGate, Over, object]>([
    ['salt', { figures: { saltKg: undefined } }, { code: 'needs-figure', missing: ['saltKg'] }],
    ['media-clean', { figures: { mediaShare: undefined } }, { code: 'needs-figure', missing: ['mediaShare'] }],
    ['media-clean', { choice: 'washing-up-liquid' }, { code: 'needs-answer' }],
    ['deep-sludge', { choice: 'fine, thanks' }, { code: 'needs-answer' }],
    ['algae-treatment', { choice: 'whatever' }, { code: 'needs-answer' }],
    [
      'algae-treatment',
      { choice: 'treated-licensed', readings: { dissolvedOxygen: undefined, waterTemp: undefined } },
      { code: 'needs-test', missing: ['dissolvedOxygen', 'waterTemp'] },
    ],
  ])('%s %#', (gate, over, reason) => expect(outcome(gate, over)).toEqual({ status: 'stop', reasons: [reason] }))
})

describe('at the limit itself', () => {
  it('half of the media may be cleaned, no more, and any of it once the fish are out', () => {
    expect(codes('media-clean', { choice: 'pond-water', figures: { mediaShare: 0.5 } })).toEqual([])
    expect(codes('media-clean', { choice: 'pond-water', figures: { mediaShare: 0.51 } })).toEqual(['media-at-once'])
    expect(codes('media-clean', { choice: 'pond-water', figures: { mediaShare: 1 }, fishOut: true })).toEqual([])
  })
  it('tap water stops only where media were cleaned in it', () => {
    expect(codes('media-clean', { choice: 'tap-water', figures: { mediaShare: 0.1 } })).toEqual(['media-tap-water'])
    expect(codes('media-clean', { choice: 'tap-water', figures: { mediaShare: 0 } })).toEqual([])
  })
  it('salt goes to a twentieth over what plants stand, with what is in the water already', () => {
    // 12 m³ with plants stand 12 kg, and 12.6 with the scales' own error
    expect(codes('salt', { figures: { saltKg: 12.6 } })).toEqual([])
    expect(codes('salt', { figures: { saltKg: 12.7 } })).toEqual(['too-salty'])
    expect(codes('salt', { figures: { saltKg: 6.5 }, readings: { salinity: 0.0005 } })).toEqual([])
    expect(codes('salt', { figures: { saltKg: 7 }, readings: { salinity: 0.0005 } })).toEqual(['too-salty'])
    // no salt added is no matter of this gate, however salty the water
    expect(codes('salt', { figures: { saltKg: 0 }, readings: { salinity: 0.01 } })).toEqual([])
    expect(codes('salt', { figures: { saltKg: 37 }, planted: false })).toEqual([])
    expect(codes('salt', { figures: { saltKg: 38 }, planted: false })).toEqual(['too-salty'])
  })
  it('oxygen at dawn may be just what fish need', () => {
    const sag = 20 - dawnOxygen(20, 20)
    const at = (dawnMgL: number) =>
      codes('algae-treatment', {
        choice: 'treated-licensed',
        readings: { waterTemp: 20, dissolvedOxygen: sag + dawnMgL },
      })
    expect(at(DAWN_OXYGEN_MGL + 0.01)).toEqual([])
    expect(at(DAWN_OXYGEN_MGL - 0.01)).toEqual(['night-oxygen'])
  })
})
