export const proposals = {
  waterOutlook: {
    whatWaterWouldDo: 'What the water would do',
    modelYourPondRun: '{question}. A model of your pond, run many times with other weather; how deep a hand is seen in it, and what that means for the fish.',
  },
  whyThisBig: {
    whyBig: 'Why this big',
    yourPondHoldsUnder: 'Your pond holds {volumeM3} under a surface of {areaM2}.',
    fishWeighAboutToday:
      'Its {count} fish weigh about {today} today and will weigh about {adult} in {growthYears} years; at the height of the season they then eat {feedKgPerD} a day. What they eat, the filter has to deal with.',
    noFishPlannedSo: 'No fish are planned, so the filter keeps the water clear and the plants fed.',
    fourWaysSizingAsk:
      'Four ways of sizing ask for {value} to {value2}. This bed has {areaM2}, and {bedFlowM3PerH} pass slowly up through its stone and roots.',
    ammoniaThenExpectedStay: 'Ammonia is then expected to stay at or below {worstTanMgL} all year.',
    months: '{value} months',
    fewYears: 'few years',
    asksFlushAboutEvery: 'It asks for a flush about every {flushDays}, and {energyKWhPerYear} kWh of power a year.',
  },
  offerView: {
    proposalValidUntil: 'For {customerName}, {siteName}: {pondName}. Proposal {number}, valid until {validUntil}.',
    goodKnow: 'Good to know',
    proposalPdf: 'This proposal as PDF',
    drawingBed: 'Drawing of the bed',
    priceTax: 'Price with {taxMinor} tax.',
    accepted: 'Accepted',
    declined: 'Declined',
    hasYourAnswer: '{answerName}, {answeredAt}{state}. {firmName} has your answer.',
    proposalPastDayAsk: 'This proposal is past its day. Ask {firmName} for a new one.',
    yourAnswer: 'Your answer',
    whichOption: 'Which option',
    yourName: 'Your name',
    noteIfYouLike: 'A note, if you like',
    acceptProposal: 'Accept the proposal',
    decline: 'Decline',
    yourNameTimeRecorded: 'Your name and the time are recorded with your answer. It can be given once.',
  },
} as const
