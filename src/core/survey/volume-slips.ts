import { Z90 } from '../statistics/normal'
import type { CombinedVolume, VolumeEvidence, VolumeMethod } from './volume-evidence'

/** What commonly puts a way to the volume wrong, and what it then reads, as a share of the truth. */
export interface VolumeSlip {
  readonly code: string
  readonly methods: readonly VolumeMethod[]
  readonly reads: readonly [number, number]
}

const LITRES_PER_GALLON = { us: 3.785411784, imperial: 4.54609 } as const
const GALLONS = LITRES_PER_GALLON.imperial / LITRES_PER_GALLON.us
const exactly = (share: number): readonly [number, number] => [share, share]

/**
 * Slips by which measured volumes go wrong.
 * @source litres of a US and of an imperial gallon: NIST SP 811; all ranges: house defaults
 */
export const VOLUME_SLIPS = [
  {
    code: 'gallons-taken-for-imperial',
    methods: ['metered-fill', 'timed-fill', 'drain-down'],
    reads: exactly(GALLONS),
  },
  { code: 'gallons-taken-for-us', methods: ['metered-fill', 'timed-fill', 'drain-down'], reads: exactly(1 / GALLONS) },
  { code: 'others-drew-on-the-meter', methods: ['metered-fill'], reads: [1.03, 1.6] },
  { code: 'not-filled-from-empty', methods: ['metered-fill', 'timed-fill'], reads: [0.4, 0.97] },
  { code: 'hose-ran-slower-later', methods: ['timed-fill'], reads: [1.05, 1.6] },
  { code: 'hose-ran-faster-later', methods: ['timed-fill'], reads: [0.65, 0.95] },
  { code: 'conductivity-factor', methods: ['salt-dilution'], reads: [0.7, 1.4] },
  { code: 'salt-not-mixed', methods: ['salt-dilution'], reads: [0.5, 0.95] },
  { code: 'salt-not-dissolved', methods: ['salt-dilution'], reads: [1.05, 1.8] },
  { code: 'rated-flow-of-the-pump', methods: ['drain-down'], reads: [1.1, 2.2] },
  { code: 'not-drained-to-the-floor', methods: ['drain-down'], reads: [0.5, 0.95] },
  { code: 'depths-from-the-rim', methods: ['geometry-free-form', 'geometry-rectangle'], reads: [1.05, 1.35] },
  { code: 'more-stone-than-reckoned', methods: ['geometry-free-form', 'geometry-rectangle'], reads: [1.03, 1.25] },
  { code: 'shelves-smaller-than-drawn', methods: ['geometry-free-form'], reads: [0.7, 0.97] },
] as const satisfies readonly VolumeSlip[]
export type VolumeSlipCode = (typeof VOLUME_SLIPS)[number]['code']

export interface PossibleSlip {
  readonly method: VolumeMethod
  readonly code: VolumeSlipCode
}

/**
 * Slips that would explain why ways to a volume do not agree: those that leave a way reading what it does if the
 * others are right. Those with one exact figure come first, since they explain most.
 * @param combined what was made of the evidence; nothing is offered where its ways agree
 */
export function possibleSlips(evidence: readonly VolumeEvidence[], combined: CombinedVolume): PossibleSlip[] {
  if (!combined.open && combined.distrust === null) return []
  const slips = evidence.flatMap(({ method, volumeM3, sigmaM3 }) => {
    const others = evidence.filter((e) => e.method !== method)
    if (others.length === 0 || (combined.distrust !== null && combined.distrust !== method)) return []
    return others.flatMap((other) => {
      const ratio = volumeM3 / other.volumeM3
      // as far as the two could tell
      const off = Z90 * Math.hypot(sigmaM3 / volumeM3, other.sigmaM3 / other.volumeM3)
      return VOLUME_SLIPS.filter(
        ({ methods, reads }) =>
          (methods as readonly string[]).includes(method) &&
          // a slip the wrong way explains nothing, however unsure the ways
          ratio > 1 === reads[1] > 1 &&
          reads[0] <= ratio * (1 + off) &&
          reads[1] >= ratio * (1 - off),
      ).map(({ code, reads }) => ({ method: method as VolumeMethod, code, exact: reads[0] === reads[1] }))
    })
  })
  const once = slips.filter((slip, i) => slips.findIndex((s) => s.method === slip.method && s.code === slip.code) === i)
  return once.toSorted((a, b) => Number(b.exact) - Number(a.exact)).map(({ method, code }) => ({ method, code }))
}
