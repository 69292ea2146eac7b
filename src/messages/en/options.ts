/** Options that the computer finds for a pond's filter. */
export const options = {
  page: {
    title: 'Find options',
    intro:
      'Works through {count, number} designs of these kinds, their sizes, pumps, pipes and trains, and keeps those that no check stops and no other beats in price, water, work and electricity at once.',
    types: 'Filter types that may be built',
    budget: 'Budget with tax, {currency}',
    badBudget: 'Give a budget above 0, or leave the field empty.',
    care: 'What matters most beside the price',
    noTypes: 'Choose at least one filter type.',
    find: 'Find options',
    stop: 'Stop search',
    progressLabel: 'Progress of the search',
    working:
      '{evaluated, number} designs worked through, {passed, number} without a stop, {front, number} options so far.',
    done: '{evaluated, number} designs worked through in {seconds} s, {passed, number} without a stop: {front, number} options that no other beats.',
    stopped:
      'Stopped after {evaluated, number} designs, {passed, number} without a stop: {front, number} options that no other of these beats.',
    failed: 'The search could not be run. Reload the page and try again.',
    nothing:
      'No design passes every check. Raise the budget, allow more filter types, or look at the stops of the design at hand: fewer fish may be the answer.',
    found: 'Options found',
    picks: 'Picked options',
    chartLabel: '{count} options by price and {care}',
    chartHint: 'Every point is a design that no other beats in everything. Choose a point to see it in the table.',
    noTrain: 'no equipment before the bed',
    hours: '{hours} h',
    kwh: '{energy} kWh',
    open: 'Open',
    openNamed: 'Open {name} as the design',
    bestIn: 'best of all in {what}',
    overCheapest: '{more} % more than the cheapest: {what}',
    less: '{share} % less {what}',
    saveVersions: '{count, plural, one {Save as a version} other {Save all # as versions}}',
    savedVersions:
      '{count, plural, one {Saved as a version.} other {Saved as # versions; compare them under Versions, or put them in a proposal.}}',
  },
  names: {
    cheapest: 'Lowest price',
    balanced: 'Best balance',
    tan: 'Lowest ammonia',
    hours: 'Least work',
    energy: 'Least electricity',
    chosen: 'Chosen on the chart',
  },
  cares: {
    tan: 'Lower ammonia',
    hours: 'Less work',
    energy: 'Less electricity',
  },
  best: {
    price: 'price',
    tan: 'ammonia',
    hours: 'hours of work',
    energy: 'electricity',
  },
  less: {
    tan: 'ammonia',
    hours: 'work',
    energy: 'electricity',
  },
  axes: {
    price: 'Price with tax, {currency}',
    tan: 'TAN in the worst month, mg/L',
    hours: 'Work, h a year',
    energy: 'Electricity, kWh a year',
  },
  columns: {
    option: 'Option',
    filter: 'Filter',
    price: 'Price',
    tan: 'TAN, worst month',
    hours: 'Work a year',
    energy: 'Electricity a year',
    open: 'Open',
  },
} as const
