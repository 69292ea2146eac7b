import { normalDeviate, seededRandom } from '../../numeric/random'
import { Z90 } from '../../statistics/normal'
import { combineVolumes, USUAL_SIGMA_SHARE, type VolumeEvidence, type VolumeMethod } from '../volume-evidence'

/** A pond measured in several ways, one of them perhaps off by a slip. */
export interface VolumeTrial {
  /** Each way with the number of its runs. */
  readonly runs: Partial<Record<VolumeMethod, number>>
  /** What a way reads of the truth, if not all of it. */
  readonly slip?: { readonly method: VolumeMethod; readonly reads: number }
}

/** Litres of an imperial over those of a US gallon. @source NIST SP 811 */
const GALLONS = 4.54609 / 3.785411784
const SHAPE_AND_METER = { 'geometry-free-form': 1, 'metered-fill': 1 } as const
const SHAPE_AND_SALT = { 'geometry-free-form': 1, 'salt-dilution': 3 } as const
const SHAPE_AND_HOSE = { 'geometry-free-form': 1, 'timed-fill': 2 } as const
const FOUR_WAYS = { ...SHAPE_AND_METER, ...SHAPE_AND_SALT, ...SHAPE_AND_HOSE } as const

export const VOLUME_CASES: Readonly<Record<string, VolumeTrial>> = {
  'shape and meter, both sound': { runs: SHAPE_AND_METER },
  'meter 20 % high': { runs: SHAPE_AND_METER, slip: { method: 'metered-fill', reads: 1.2 } },
  'meter 20 % low': { runs: SHAPE_AND_METER, slip: { method: 'metered-fill', reads: 0.8 } },
  'meter in US gallons taken for imperial': {
    runs: SHAPE_AND_METER,
    slip: { method: 'metered-fill', reads: GALLONS },
  },
  'meter in imperial gallons taken for US': {
    runs: SHAPE_AND_METER,
    slip: { method: 'metered-fill', reads: 1 / GALLONS },
  },
  'shape 20 % high beside a meter': { runs: SHAPE_AND_METER, slip: { method: 'geometry-free-form', reads: 1.2 } },
  'three salt runs, all sound': { runs: SHAPE_AND_SALT },
  'three salt runs by a factor 25 % high': { runs: SHAPE_AND_SALT, slip: { method: 'salt-dilution', reads: 1.25 } },
  'three salt runs by a factor 20 % low': { runs: SHAPE_AND_SALT, slip: { method: 'salt-dilution', reads: 0.8 } },
  'two timed fills, both sound': { runs: SHAPE_AND_HOSE },
  'two timed fills, the hose 25 % slower later': { runs: SHAPE_AND_HOSE, slip: { method: 'timed-fill', reads: 1.25 } },
  'two timed fills, the hose a fifth faster later': {
    runs: SHAPE_AND_HOSE,
    slip: { method: 'timed-fill', reads: 0.8 },
  },
  'drained by the pump’s rated flow': {
    runs: { 'geometry-free-form': 1, 'drain-down': 1 },
    slip: { method: 'drain-down', reads: 1.3 },
  },
  'four ways, all sound': { runs: FOUR_WAYS },
  'four ways, the meter 20 % high': { runs: FOUR_WAYS, slip: { method: 'metered-fill', reads: 1.2 } },
}

/** Share of a method's variance that its runs at one pond have in common; @see volume-evidence */
const IN_COMMON = 0.6

/** What was measured of a pond of 20 m³. */
function measured({ runs, slip }: VolumeTrial, seed: number): VolumeEvidence[] {
  const random = seededRandom(70_001 + 97 * seed)
  return Object.entries(runs).flatMap(([key, times]) => {
    const method = key as VolumeMethod
    const sigma = USUAL_SIGMA_SHARE[method]
    const inCommon = Math.sqrt(IN_COMMON) * sigma * normalDeviate(random)
    return Array.from({ length: times }, () => {
      const error = inCommon + Math.sqrt(1 - IN_COMMON) * sigma * normalDeviate(random)
      const volumeM3 = TRUTH_M3 * (1 + error) * (slip?.method === method ? slip.reads : 1)
      return { method, volumeM3, sigmaM3: sigma * volumeM3 }
    })
  })
}
const TRUTH_M3 = 20

export interface VolumeRates {
  /** Share of ponds whose truth lies in the volume ± what is said of four in five. */
  readonly held: number
  /** Share told that its ways do not agree. */
  readonly open: number
  /** Shares told which way is off, rightly and wrongly. */
  readonly blamed: { readonly rightly: number; readonly wrongly: number }
  /** Mean of one sigma as a share of the truth. */
  readonly sigmaShare: number
}

export function volumeRates(trial: VolumeTrial, ponds: number): VolumeRates {
  const all = Array.from({ length: ponds }, (_, seed) => combineVolumes(measured(trial, seed)))
  const share = (of: (c: (typeof all)[number]) => boolean) => all.filter(of).length / ponds
  return {
    held: share((c) => Math.abs(c.volumeM3 - TRUTH_M3) <= Z90 * c.sigmaM3),
    open: share((c) => c.open || c.distrust !== null),
    blamed: {
      rightly: share((c) => c.distrust !== null && c.distrust === trial.slip?.method),
      wrongly: share((c) => c.distrust !== null && c.distrust !== trial.slip?.method),
    },
    sigmaShare: all.reduce((sum, c) => sum + c.sigmaM3, 0) / ponds / TRUTH_M3,
  }
}
