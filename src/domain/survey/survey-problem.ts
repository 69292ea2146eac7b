import type { BasinProblem } from '../../core/survey/basin'
import { said, type Said } from '../shared/said'

const metres = (value: number) => `${value.toFixed(2)} m`

/** What is wrong with a survey and how to mend it. */
export function basinProblemSaid(problem: BasinProblem): Said {
  switch (problem.code) {
    case 'outline-crosses':
      return said('survey.problems.outlineCrosses', {
        along: metres(problem.at.xM),
        beside: metres(Math.abs(problem.at.yM)),
        side: problem.at.yM >= 0 ? 'left' : 'right',
      })
    case 'zone-not-deeper':
      return said('survey.problems.zoneNotDeeper', { zone: problem.zone + 1, above: metres(problem.aboveM) })
    case 'zone-wider-than-above':
      return said('survey.problems.zoneWider', {
        zone: problem.zone + 1,
        percent: Math.floor(problem.shareAbove * 100),
      })
    case 'slope-closes':
      return said('survey.problems.slopeCloses', { zone: problem.zone + 1, reached: metres(problem.reachedM) })
  }
}
