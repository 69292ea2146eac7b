import { basinOf, type Basin, type BasinProblem } from '../../core/survey/basin'
import {
  combineVolumes,
  USUAL_SIGMA_SHARE,
  type CombinedVolume,
  type VolumeEvidence,
  type VolumeMethod,
} from '../../core/survey/volume-evidence'
import { failure, success, type Result } from '../../core/result'
import { drainDownM3, saltDilutionM3, timedFillM3 } from '../../core/survey/volume-methods'
import type { PondInput, VolumeTest } from './pond'

/** One measurement of a volume, by a way that is known. */
export interface MeasuredVolume extends VolumeEvidence {
  readonly method: VolumeMethod
}

/** What follows from a survey: shape, and the adopted volume with its uncertainty. */
export interface PondFacts {
  readonly basin: Basin
  readonly evidence: readonly MeasuredVolume[]
  readonly adopted: CombinedVolume
  /** Evidence that was set aside: not part of the adopted volume. */
  readonly setAside: readonly MeasuredVolume[]
}

export type SurveyFigures = Pick<PondInput, 'outline' | 'zones' | 'rockShare' | 'meteredFillM3'> & {
  readonly volumeTests?: readonly VolumeTest[]
  readonly setAside?: PondInput['setAside']
}

/** Surveys worked out last, by their figures; every page, plan and forecast of a pond begins with them. */
const kept = new Map<string, Result<PondFacts, BasinProblem>>()
const KEPT = 400

/**
 * Shape and adopted volume of a pond from its survey figures, or the first thing that cannot be built. A shape takes
 * some 50 ms, so that what was worked out from the same figures is given again.
 */
export function pondFacts({
  outline,
  zones,
  rockShare,
  meteredFillM3,
  volumeTests = [],
  setAside = null,
}: SurveyFigures): Result<PondFacts, BasinProblem> {
  const survey = { outline, zones, rockShare, meteredFillM3, volumeTests, setAside }
  const key = JSON.stringify(survey)
  const facts = kept.get(key) ?? workOut(survey)
  // the last that was asked for is the last to go
  kept.delete(key)
  kept.set(key, facts)
  if (kept.size > KEPT) kept.delete(kept.keys().next().value!)
  return facts
}

function workOut(survey: Required<SurveyFigures>): Result<PondFacts, BasinProblem> {
  const basin = basinOf(survey)
  if (!basin.ok) return failure(basin.problem)
  const straight = survey.outline.kind === 'rectangle' && survey.zones.every((zone) => zone.sideSlope === 0)
  const method = straight ? 'geometry-rectangle' : 'geometry-free-form'
  const evidence: MeasuredVolume[] = [
    { method, volumeM3: basin.value.waterM3, sigmaM3: basin.value.waterM3 * USUAL_SIGMA_SHARE[method] },
  ]
  if (survey.meteredFillM3 !== null)
    evidence.push({
      method: 'metered-fill',
      volumeM3: survey.meteredFillM3,
      sigmaM3: survey.meteredFillM3 * USUAL_SIGMA_SHARE['metered-fill'],
    })
  for (const test of survey.volumeTests) {
    const volumeM3 = testedVolumeM3(test)
    evidence.push({ method: test.method, volumeM3, sigmaM3: volumeM3 * USUAL_SIGMA_SHARE[test.method] })
  }
  const believed = evidence.filter((e) => !isSetAside(e, survey.setAside))
  // the last way there is cannot be set aside
  const counted = believed.length > 0 ? believed : evidence
  return success({
    basin: basin.value,
    evidence: counted,
    adopted: combineVolumes(counted),
    setAside: evidence.filter((e) => !counted.includes(e)),
  })
}

const isSetAside = ({ method }: MeasuredVolume, setAside: PondInput['setAside']): boolean =>
  setAside !== null && (method === setAside.method || (setAside.method === 'geometry' && method.startsWith('geometry')))

function testedVolumeM3(test: VolumeTest): number {
  switch (test.method) {
    case 'timed-fill':
      return timedFillM3(test.containerM3, test.seconds, test.minutes)
    case 'salt-dilution':
      return saltDilutionM3(test.saltKg, test.risePercent)
    case 'drain-down':
      return drainDownM3(test.flowM3PerH, test.minutes)
  }
}

/** The same for a pond that was checked when it was saved. */
export function savedPondFacts(survey: SurveyFigures): PondFacts {
  const facts = pondFacts(survey)
  if (!facts.ok) throw new Error(`A saved pond no longer builds: ${facts.problem.code}`)
  return facts.value
}
