export const commissioning = {
  commissioningRamp: {
    title: 'Feeding and stocking until the next test',
    detail: 'Up only after two clean tests in a row; ammonia or nitrite showing means none.',
    'no-fish': 'No fish yet',
    'no-feed': 'No feed',
    'quarter-feed': 'A quarter of the feed',
    'half-feed': 'Half of the feed',
    'full-feed': 'Full feed',
  },
  commissioningFlow: {
    title: 'Flow, level, plants in the flow',
  },
}
