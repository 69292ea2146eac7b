import type { SightKey } from '@/core/trainer/sights'
import type { ScorePart } from '@/core/trainer/score'
import type { TaskGroup } from '@/core/trainer/tasks'
import type { DebriefWay } from '@/core/trainer/debrief'

/** What is seen, as a technician would say it. */
export const SIGHT_WORDS: Readonly<Record<SightKey, string>> = {
  'water-clear': 'The water is clear.',
  'water-hazy': 'The water is hazy; the floor is a guess.',
  'water-murky': 'The water is murky: a hand is gone at the wrist.',
  'fish-lively': 'The fish come up and look at you.',
  'fish-still': 'The fish stand deep and hardly move: it is cold.',
  'fish-uneasy': 'The fish clamp their fins and rub along the stones.',
  'fish-at-falls': 'The fish hang where the water falls in.',
  'fish-gasping': 'The fish gasp at the surface.',
  'fish-dead': 'Dead fish float at the edge.',
  'string-algae-some': 'String algae hang along the shelves.',
  'string-algae-much': 'String algae fill the shelves.',
  'floor-leaves': 'Leaves lie on the floor.',
  'floor-sludge': 'The floor is dark with sludge.',
  'smell-rotten': 'A foot in the sludge lets bubbles up that smell of eggs.',
  'plants-growing': 'The bed’s plants stand green.',
  'plants-yellow': 'The bed’s plants stand yellow and dead.',
  'ice-open': 'Ice, with an opening in it.',
  'ice-closed': 'Ice from edge to edge.',
  'pump-stands': 'The pump stands. No water falls.',
  'falls-weak': 'The falls run thinner than they should.',
  'level-low': 'The water stands low at the edge.',
}

export const GROUP_NAMES: Readonly<Record<TaskGroup, string>> = {
  fish: 'Fish and feed',
  water: 'The water',
  bed: 'The bed',
  floor: 'The floor',
  plants: 'Plants and algae',
  gear: 'Gear',
}

export const PART_NAMES: Readonly<Record<ScorePart, string>> = {
  fish: 'Fish alive and well',
  safe: 'Days the water was safe',
  clear: 'Clear water',
  clearOn: 'Clear on the day',
  clean: 'Floor and shelves',
  fed: 'Fish were fed',
  thrift: 'Time and money',
}

export const WAY_NAMES: Readonly<Record<Exclude<DebriefWay, 'house' | 'temptation'>, string>> = { yours: 'Your season', nothing: 'Nothing done' }

/** Whether it was judgement: the player's middle of other years against the season played, and against the house. */
export function luckWords(points: number, middle: number, house: number): string {
  const luck =
    points > middle + 8
      ? 'The year was kind: the same choices do less well in most others.'
      : points < middle - 8
        ? 'The year was unkind: the same choices do better in most others.'
        : 'It was hardly luck: in other years the same choices end much the same.'
  const against =
    middle >= house + 2
      ? 'You do better than the house does.'
      : middle >= house - 5
        ? 'You do about as well as the house does.'
        : 'The house’s way does better in most years: look where it parted from yours.'
  return `${luck} ${against}`
}
