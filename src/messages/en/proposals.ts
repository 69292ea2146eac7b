export const proposals = {
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
    ammoniaThenExpectedStay: 'Ammonia is then expected to stay at or below {worstTanMgL} all year.',
    months: '{value} months',
    fewYears: 'few years',
    asksFlushAboutEvery: 'It needs a flush about every {flushDays} and uses {energyKWhPerYear} kWh of electricity a year.',
  },
  offerView: {
    proposalValidUntil: 'For {customerName}, {siteName}: {pondName}. Proposal {number}, valid until {validUntil}.',
    goodKnow: 'Good to know',
    proposalPdf: 'Download PDF',
    drawingBed: 'Drawing of the bed',
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
} as const
