export const firm = {
  keyScopeNames: { readings: 'Post readings of probes', calc: 'Run calculations' },
  periodEffectNames: {
    closed: 'nobody works',
    'no-filling': 'no filling from the mains',
    'school-holidays': 'school holidays',
  },
  /** Names of what is entered, as a problem with one begins with them. */
  fields: {
    name: 'Name',
  },
  /** What keeps an entry or an act from being taken. */
  problems: {
    chooseWhatKey: 'Choose what the key is for.',
    packEmpty: 'The pack is empty.',
    mostRecordsOnce: 'At most 1000 records at once.',
    chooseWhatDaysMeanWork: 'Choose what these days mean for the work.',
    keyMayUsedTimesMinute: 'This key may be used {perMinute} times a minute. Send more records at once instead.',
    firmAlreadySetUpSign: 'A firm has already been set up here. Sign in instead.',
    someoneAlreadySignsAddress: 'Someone already signs in with this address.',
    crewNameAlready: 'There is a crew with this name already.',
    keyForCalc: 'Send a key that may run calculations: Authorization: Bearer …',
    keyForReadings: 'Send a key that may post readings: Authorization: Bearer …',
  },
} as const
