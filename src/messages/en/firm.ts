export const firm = {
  keyScopeNames: { readings: 'Post readings of probes', calc: 'Run calculations' },
  periodEffectNames: {
    closed: 'nobody works',
    'no-filling': 'no filling from the mains',
    'school-holidays': 'school holidays',
  },
} as const
