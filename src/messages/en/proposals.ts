export const proposals = {
  stateNames: {
    sent: 'sent',
    accepted: 'accepted',
    declined: 'declined',
    withdrawn: 'withdrawn',
  },
  list: {
    proposals: 'Proposals',
    search: 'Search proposals',
    siteCustomerTitle: 'Site, customer or title',
    showOnly: 'Show only',
    none: 'No proposals yet. A proposal is made from a saved filter design of a pond.',
    ponds: 'Ponds',
  },
  listFilters: {
    open: 'Waiting for an answer',
    accepted: 'Accepted',
    declined: 'Declined',
    withdrawn: 'Withdrawn',
    all: 'All',
  },
  table: {
    proposals: 'Proposals table',
    number: 'No.',
    proposal: 'Proposal',
    pond: 'Pond',
    customer: 'Customer',
    state: 'State',
    expired: 'expired',
    made: 'Made',
    validUntil: 'Valid until',
    total: 'Total',
  },
  waterOutlook: {
    whatWaterWouldDo: 'Expected water quality',
    modelYourPondRun:
      '{question}. A model of your pond, run many times with different weather, shows how clear the water would be and what that means for the fish.',
  },
  whyThisBig: {
    whyBig: 'Why this size',
    yourPondHoldsUnder: 'Your pond holds {volumeM3} under a surface of {areaM2}.',
    fishWeighAboutToday:
      'Its {count} fish weigh about {today} today and about {adult} in {growthYears} years. At the height of the season they will then eat {feedKgPerD} a day, and the filter has to process what they eat.',
    noFishPlannedSo: 'No fish are planned, so the filter keeps the water clear and feeds the plants.',
    fourWaysSizingAsk:
      'Four sizing methods call for {value} to {value2}. This bed has {areaM2}, and {bedFlowM3PerH} passes slowly up through its stone and roots.',
    ammoniaThenExpectedStay:
      'Ammonia (TAN) in the month that asks most of the filter is then expected between {low} and {high}.',
    months: '{value} months',
    fewYears: 'few years',
    asksFlushAboutEvery:
      'It needs a flush about every {flushDays} and uses {energyKWhPerYear} kWh of electricity a year in all.',
    equipment: 'On its way the water passes: {equipment}.',
  },
  proposalView: {
    proposalValidUntil: 'For {customerName}, {siteName}: {pondName}. Proposal {number}, valid until {validUntil}.',
    goodKnow: 'Good to know',
    proposalPdf: 'Download PDF',
    priceTax: 'Price, including {taxMinor} tax.',
    accepted: 'Accepted',
    declined: 'Declined',
    hasYourAnswer: '{answerName}, {answeredAt}{state}. {firmName} has your answer.',
    proposalPastDayAsk: 'This proposal has expired. Please ask {firmName} for a new one.',
    yourAnswer: 'Your answer',
    whichOption: 'Option',
    yourName: 'Your name',
    noteIfYouLike: 'Note (optional)',
    acceptProposal: 'Accept proposal',
    decline: 'Decline',
    yourNameTimeRecorded: 'Your name and the time are recorded with your answer, which can be given once.',
  },
  proposalDocument: {
    proposalValidUntil:
      'For {customerName}, {siteName}: {pondName} · proposal {number} of {madeAt} · valid until {validUntil}',
    bed: '{label}{areaM2} of bed, {totalMinor}',
    fishWeighAboutToday: '; its {fish} fish weigh about {value} today and about {growthYears} in {growthYears2} years',
    pondHoldsUnder: '• The pond holds {volumeM3} under a surface of {areaM2}{fish}.',
    nothingPumped: '• Nothing is pumped: plants and the pond’s own surface do the work.',
    passBedMovedW:
      '• {bedFlowM3PerH} passes through the bed, driven by {name} with {powerW} W ({energyKWhPerYear} kWh a year).',
    equipment: '• On its way the water passes: {equipment}.',
    year: '• All together use about {energy} kWh of electricity and {water} of wash and flush water a year.',
    ammoniaExpectedStayBelow:
      '• Ammonia (TAN) in the month that asks most of the filter is expected between {low} and {high}.',
    accepted: 'Accepted{option}',
    declined: 'Declined',
    by: '{state} by {answerName}, {answeredAt}.',
    proposalPage: '{firmName} · proposal {number} · page {pageNumber} of {totalPages}',
    option: ' (option {label})',
    against: '{names}, compared with {names2}: {text} ({sure}).',
    fromDaysModelYour:
      '{question}, from {from} for {days} days. A model of your pond, run {count} times with different weather.',
  },
  /** Names of what is entered, as a problem with one begins with them. */
  fields: {
    title: 'Title',
    wordsToTheCustomer: 'Message to the customer',
    whyThisOne: 'Reason for this option',
    whyItIsRightAllTheSame: 'Reason',
    yourName: 'Your name',
    note: 'Note',
  },
  /** What keeps an entry or an act from being taken. */
  problems: {
    chooseLeastOneVersionOffer: 'Choose at least one version to propose.',
    mostThreeOptionsGoodBetter: 'At most three options: good, better, best.',
    dayPastGiveOneCustomer: 'This date is past. Choose one on which the customer can still answer.',
    versionPond: 'That version belongs to another pond.',
    customerAnsweredAlreadyWithdrawnBefore: 'The customer has already answered, or the proposal was withdrawn.',
    onlyProposalWaitsAnswerLink: 'Only a proposal that is waiting for an answer has a link.',
    chooseOneOptions: 'Choose one of the options.',
    proposalAnsweredAlready: 'This proposal has already been answered.',
    proposalPastDayAskNew: 'This proposal has expired. Ask {firmName} for a new one.',
    whatIfKeptPondMore: 'That what-if is no longer saved for this pond. Choose another, or none.',
    weatherKnownPondChooseStation:
      'No weather is known for this pond: choose its station at the site, or make the proposal without a what-if.',
  },
  answerLetter: {
    subject:
      'Proposal {number} {answer, select, accepted {accepted} other {declined}}{option, select, _ {} other { (option {option})}}: {site}',
    what: '{name} {answer, select, accepted {accepted} other {declined}} proposal {number}{option, select, _ {} other { (option {option})}}, “{title}”, for {site}.',
    note: 'Their note: {note}',
    next: 'Other open proposals for this pond have been withdrawn. Next: approve that version and schedule the work.',
  },
  beforeAfter: {
    title: 'Your filter today and what we propose',
    table: 'Figures of today and of the proposal',
    today: 'Today',
    proposed: 'Proposed',
    range: '{low} to {high}',
    noLimit: 'rises without limit',
    kwh: '{energy} kWh a year',
    hours: '{hours} h a year',
    months: '{months, plural, one {every month} other {every # months}}',
    none: 'not needed',
    calculated:
      'Calculated in the same way for both, from your pond, its fish at full size and the filter as we found it.',
  },
  beforeAfterRows: {
    ammonia: 'Ammonia (TAN), worst month',
    bedFlow: 'Flow through the bed',
    electricity: 'Electricity',
    care: 'Care',
    flush: 'Flushing due',
  },
  cautions: {
    measurements: 'This proposal rests on measurements and usual values; local codes and licensed practice decide.',
    electrical:
      'A licensed electrician does electrical work beside water, with RCD/GFCI protection; a licensed plumber fits an auto-fill, with a backflow preventer.',
    digging:
      'Buried services are marked before digging. A licensed engineer signs off walls above 0.6 m and anything on a slab or roof.',
    children: 'Open ponds and vaults are a danger to children: they are covered or guarded.',
    plants:
      'Plants are checked against your state or national list before planting; fish and plants are never released outside.',
  },
} as const
