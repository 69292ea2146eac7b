export const equipment = {
  gearSheet: {
    pondNow: 'On the pond',
    stored: 'Stored',
    netsDeIcersWhat: 'Nets, de-icers and other seasonal equipment. Crews record on their visits where it is.',
    since: '{place}since {since} {since2}',
    cuttingsYearBucketsAbout:
      'Cuttings this year: {cuttingBuckets} buckets, about {freshKg} fresh. They removed {nitrogenG} of nitrogen and {phosphorusG} of phosphorus from the pond.',
  },
  equipmentSheet: {
    lampsPadsProbesPumps:
      'Lamps, pads, probes and pumps with their service dates. Work that falls due is added to the next visit.',
    overdue: 'overdue',
    due: 'due {due}',
    lastSeen: ', last serviced {doneOn} {doneOn2}',
    fittedEveryDays: 'installed {fittedOn} {fittedOn2}{doneOn}, every {everyDays} days',
    doneToday: '{name}: serviced today',
    doneToday2: 'Serviced today',
    takenOut: 'Remove {name}',
    takenOut2: 'Remove',
    addEquipment: 'Add equipment',
    what: 'Type',
    name: 'Name',
    fitted: 'Installed on',
    wantsAttentionEverySo: 'Service interval, days',
    keepPiece: 'Save equipment',
  },
  netNote: {
    leafNet: 'Leaf net {lengthM} × {widthM}',
    tentRidgeHighPosts:
      'A tent with a ridge {ridgeLengthM} long and {ridgeHeightM} high ({pitchDeg}°), on {posts} posts no more than {postSpacingM} apart, with {pins} edge pins and {trees} mm mesh. Under wet leaves it clears the water by {clearanceM} at mid-slope.',
  },
  gearKindNames: {
    net: 'Net, posts and pins',
    'de-icer': 'De-icer',
    aerator: 'Winter aerator',
    'shade-cloth': 'Shade cloth',
    'heron-guard': 'Heron guard',
    pump: 'Pump',
    media: 'Filter media',
    other: 'Something else',
  },
  gearStateNames: { 'on-pond': 'on the pond', stored: 'stored' },
  /** Names of what is entered, as a problem with one begins with them. */
  fields: {
    name: 'Name',
    whatIsToBeDone: 'Task',
  },
  /** What keeps an entry or an act from being taken. */
  problems: {
    mostTenYearsApart: 'The interval can be at most ten years.',
    seenBeforeFitted: 'The last service cannot be before the day it was fitted.',
    giveWholeMinutes: 'Enter whole minutes.',
    longerThanTenHoursJob: 'More than ten hours is a visit of its own.',
    dayPast: 'This date is past.',
  },
  kindNames: {
    'uv-lamp': 'UV lamp',
    'filter-pads': 'Filter pads',
    'ioniser-probe': 'Ioniser probe',
    pump: 'Pump',
    'dosing-unit': 'Dosing unit',
    'de-icer': 'De-icer',
    aerator: 'Aerator',
  },
  kindTasks: {
    of: '{task}: {name}',
    'uv-lamp': 'Renew the UV lamp',
    'filter-pads': 'Renew the filter pads',
    'ioniser-probe': 'Clean or renew the ioniser probe',
    pump: 'Service the pump',
    'dosing-unit': 'Put in a new dosing pack',
    'de-icer': 'Check the de-icer',
    aerator: 'Renew the aerator’s membrane and filter',
  },
} as const
