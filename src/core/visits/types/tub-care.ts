import type { VisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, LOOK_AT_FISH, NO_FOLLOW_UP, TEST, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

/** Patio tubs and other ponds without a pump. */
export const TUB_CARE: VisitType = {
  key: 'tub-care',
  name: 'Patio tub care',
  version: 2,
  steps: [
    ...ARRIVE,
    { ...TEST, readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'kh', 'clarityDepth'] },
    TEST_TAP,
    { key: 'overflow', section: 'Tub', kind: 'do', title: 'Overflow hole open, its mesh clean' },
    {
      ...CHANGE_WATER,
      section: 'Tub',
      title: 'Change a part of the water',
      detail:
        'Daily for the first days of a new tub, then as the tests say. Treated, and of the same temperature. Write down how much; 0 if none.',
    },
    {
      key: 'tub-plants',
      section: 'Tub',
      kind: 'measure',
      title: 'Thin floating plants to half cover',
      figures: ['coverShare'],
      plants: ['thin', 'tidy'],
    },
    { key: 'tub-algae', section: 'Tub', kind: 'do', title: 'Algae out by hand' },
    {
      key: 'mosquito',
      section: 'Tub',
      kind: 'decide',
      title: 'Mosquito larvae?',
      choices: [
        { code: 'none', label: 'None' },
        { code: 'few', label: 'A few, fish take them' },
        { code: 'many', label: 'Many: skimmed off' },
      ],
    },
    LOOK_AT_FISH,
    {
      key: 'cover',
      section: 'Tub',
      kind: 'do',
      title: 'Cover against cats and birds; place for the season',
      detail: 'In winter frost-free or deep enough; in summer not in full sun all day. Few small fish.',
      safety:
        'A tub is deep enough to drown a small child: grid or cover it. Lift full containers with two people or a machine above {25|mass}.',
    },
    {
      key: 'care-cards',
      section: 'Tub',
      kind: 'do',
      title: 'Leave the care cards asked for',
      detail:
        'Green water and water fleas: stir daily, feed sparingly, harvest before they crash, keep a spare. Fry: apart while they fit into a mouth, back when they do not. Holidays: a cover, a topped-up tub, no feeding by neighbours.',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote:
    'Top up with treated water of the same warmth, take algae out by hand, and keep half of the surface free.',
}

/** @source house defaults; logged times correct the minutes */
export const TUB_CARE_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 1,
  timing: 'interval',
  hands: { baseMin: 35, perM2Min: 2 },
  spoil: { baseM3: 0.02, perM2M3: 0.005 },
  fills: false,
  covers: [],
  takesAlong: [],
  after: [],
}
