/** Which weather station tells of each town of the invented island. */
export const STATION: Readonly<Record<string, string>> = {
  'Marrow Quay': 'marrow-quay',
  'Upper Sallow': 'ferrygate',
  'Tinker’s Reach': 'ferrygate',
  'Cold Ash Common': 'cold-ash-common',
  Ferrygate: 'ferrygate',
  'Plover Green': 'plover-green',
}

/** Height of each town, m. */
export const HEIGHT: Readonly<Record<string, number>> = {
  'Marrow Quay': 15,
  'Upper Sallow': 130,
  'Tinker’s Reach': 60,
  'Cold Ash Common': 400,
  Ferrygate: 80,
  'Plover Green': 35,
}
