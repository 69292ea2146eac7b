import { checkVolume, type VolumeCheck } from '../../core/survey/volume-check'
import { shareOf, type Estimate } from '../../core/statistics/wilson'
import { believable } from '../../core/visits/learn-duration'
import type { DiagnosisOutcome } from '../diagnosis/diagnosis'
import type { MeasuredVolume } from '../ponds/pond-facts'
import type { PondId } from '../shared/ids'

/** A visit that is over beside what was said of its length when it was planned, minutes. */
export interface VisitAsPlanned {
  readonly job: string
  readonly plannedMin: number
  readonly lowMin: number
  readonly highMin: number
  readonly tookMin: number
}

export interface DurationTrust {
  /** null: of all jobs. */
  readonly job: string | null
  readonly visits: number
  /** Share that took what was said of four in five. */
  readonly inside: Estimate
  /** What they took over what they were planned with, in all. */
  readonly tookOverPlanned: number
}

/** How planned durations came true: of all jobs, then by job with the most visits first. */
export function durationTrust(all: readonly VisitAsPlanned[]): DurationTrust[] {
  const visits = all.filter(({ plannedMin, tookMin }) => believable(tookMin / plannedMin))
  if (visits.length === 0) return []
  const of = (job: string | null, own: readonly VisitAsPlanned[]): DurationTrust => ({
    job,
    visits: own.length,
    inside: shareOf(own.filter((v) => v.tookMin >= v.lowMin && v.tookMin <= v.highMin).length, own.length),
    tookOverPlanned: sum(own, (v) => v.tookMin) / sum(own, (v) => v.plannedMin),
  })
  const jobs = [...new Set(visits.map((v) => v.job))].map((job) =>
    of(
      job,
      visits.filter((v) => v.job === job),
    ),
  )
  return [of(null, visits), ...jobs.sort((a, b) => b.visits - a.visits)]
}

export interface PondVolumes {
  readonly pondId: PondId
  readonly pondName: string
  readonly evidence: readonly MeasuredVolume[]
  /** Its ways do not agree, and it is not known which is off. */
  readonly open: boolean
}

export interface VolumeTrust {
  readonly checks: readonly (VolumeCheck & Pick<PondVolumes, 'pondId' | 'pondName'>)[]
  /** Share of the ponds whose surest way lay where the others had said; null without any. */
  readonly held: Estimate | null
  readonly open: readonly Pick<PondVolumes, 'pondId' | 'pondName'>[]
}

/** How volumes came true where a surer way was measured as well. */
export function volumeTrust(ponds: readonly PondVolumes[]): VolumeTrust {
  const checks = ponds.flatMap(({ pondId, pondName, evidence }) => {
    const check = checkVolume(evidence)
    return check ? [{ pondId, pondName, ...check }] : []
  })
  return {
    checks,
    held: checks.length > 0 ? shareOf(checks.filter(({ held }) => held).length, checks.length) : null,
    open: ponds.filter(({ open }) => open).map(({ pondId, pondName }) => ({ pondId, pondName })),
  }
}

/** A diagnosis that was acted on. */
export interface ActedOn {
  readonly cause: string
  readonly likelihood: number
  /** null: nothing was said yet. */
  readonly outcome: DiagnosisOutcome | null
}

export interface CallTrust {
  /** Of what was said to be at least so likely, up to the next. */
  readonly from: number
  readonly calls: number
  readonly waiting: number
  readonly better: number
  readonly partly: number
  /** Share that got better of those that something was said of; null without any. */
  readonly share: Estimate | null
}

/** Bounds of what was said, as in how risks are told. */
const SAID = [0, 0.2, 0.5, 0.8] as const

/** How causes that were acted on came true: by how likely they had been called. */
export const callTrust = (calls: readonly ActedOn[]): CallTrust[] =>
  SAID.map((from, i) => {
    const own = calls.filter((c) => c.likelihood >= from && c.likelihood < (SAID[i + 1] ?? Infinity))
    const count = (outcome: DiagnosisOutcome | null) => own.filter((c) => c.outcome === outcome).length
    const [better, waiting] = [count('better'), count(null)]
    return {
      from,
      calls: own.length,
      waiting,
      better,
      partly: count('partly'),
      share: own.length > waiting ? shareOf(better, own.length - waiting) : null,
    }
  })

export const isLeakCall = ({ cause }: Pick<ActedOn, 'cause'>): boolean =>
  cause === 'leak-shell' || cause === 'leak-moving-water'

const sum = <T>(all: readonly T[], of: (each: T) => number): number => all.reduce((total, each) => total + of(each), 0)
