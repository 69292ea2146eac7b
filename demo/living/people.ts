import { CREWS, person, type DemoPerson } from '../people'

/** Crews that work beside those of the stories. */
export const MORE_CREWS = ['Heron', 'Vole'] as const
export const ALL_CREWS: readonly string[] = [...CREWS, ...MORE_CREWS]

/** Who makes the firm of the stories whole: two more crews, third hands in the larger ones, and a second scheduler. */
export const LIVING_PEOPLE: readonly DemoPerson[] = [
  person('Brannick Sowle', 'crew-lead', 'Heron'),
  person('Elspet Murrow', 'technician', 'Heron'),
  person('Calla Thrupp', 'crew-lead', 'Vole'),
  person('Dov Hanrick', 'technician', 'Vole'),
  person('Mirrin Askew', 'technician', 'Otter'),
  person('Tobin Farrelly', 'technician', 'Kingfisher'),
  person('Yssa Penhale', 'office'),
]
