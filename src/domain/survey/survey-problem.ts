import type { BasinProblem } from '../../core/survey/basin'

const metres = (value: number) => `${value.toFixed(2)} m`

/** What is wrong with a survey and how to mend it. */
export function basinProblemText(problem: BasinProblem): string {
  switch (problem.code) {
    case 'outline-crosses':
      return `The outline crosses itself ${metres(problem.at.xM)} along the tape, ${metres(Math.abs(problem.at.yM))} ${problem.at.yM >= 0 ? 'left' : 'right'} of it. Check the offsets beside that place.`
    case 'zone-not-deeper':
      return `Zone ${problem.zone + 1} must reach deeper than ${metres(problem.aboveM)}, the floor of the zone above it. Depths are measured from the waterline.`
    case 'zone-wider-than-above':
      return `Zone ${problem.zone + 1} cannot be wider than the floor above it, which is ${Math.floor(problem.shareAbove * 100)} % of the surface.`
    case 'slope-closes':
      return `The walls of zone ${problem.zone + 1} meet at about ${metres(problem.reachedM)}, before its floor. Make the slope steeper, the zone shallower, its share of the surface larger, or the shelf around it narrower.`
  }
}
