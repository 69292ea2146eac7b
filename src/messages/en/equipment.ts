export const equipment = {
  gearSheet: {
    pondNow: 'On the pond now',
    stored: 'Stored',
    netsDeIcersWhat: 'Nets, de-icers and what else comes and goes with the seasons: crews write down on their visits where it is.',
    since: '{place}since {since} {since2}',
    cuttingsYearBucketsAbout:
      'Cuttings of this year: {cuttingBuckets} buckets, about {freshKg} fresh. They carried {nitrogenG} of nitrogen and {phosphorusG} of phosphorus out of the pond.',
  },
  equipmentSheet: {
    lampsPadsProbesPumps: 'Lamps, pads, probes and pumps with their dates: what falls due is taken along on a visit.',
    overdue: 'overdue',
    due: 'due {due} {due2}',
    lastSeen: ', last seen to {doneOn} {doneOn2}',
    fittedEveryDays: 'fitted {fittedOn} {fittedOn2}{doneOn}, every {everyDays} days',
    doneToday: '{name}: done today',
    doneToday2: 'Done today',
    takenOut: '{name}: taken out',
    takenOut2: 'Taken out',
    addEquipment: 'Add equipment',
    what: 'What it is',
    name: 'Name',
    fitted: 'Fitted on',
    wantsAttentionEverySo: 'Wants attention every so many days',
    keepPiece: 'Keep this piece',
  },
  netNote: {
    leafNet: 'Leaf net {lengthM} × {widthM}',
    tentRidgeHighPosts:
      'A tent with a ridge of {ridgeLengthM}, {ridgeHeightM} high ({pitchDeg}°), on {posts} posts at most {postSpacingM} apart; {pins} edge pins; {trees} mm mesh. Under wet leaves it clears the water by {clearanceM} at mid-slope.',
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
} as const
