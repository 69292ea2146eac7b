import { noticeDue } from './notice'

const planned = { state: 'planned', day: '2027-04-02', startTime: '08:00' }
const notified = { kind: 'visit-planned' as const, day: '2027-04-02', startTime: '08:00' }

describe('what a customer still has to be told', () => {
  it.each([
    ['a visit nobody told of', planned, null, 'visit-planned'],
    ['a visit they know', planned, notified, null],
    ['another day', { ...planned, day: '2027-04-03' }, notified, 'visit-moved'],
    ['an hour later', { ...planned, startTime: '09:00' }, notified, 'visit-moved'],
    ['ten minutes later', { ...planned, startTime: '08:10' }, notified, null],
    ['a visit called off', { ...planned, state: 'cancelled' }, notified, 'visit-cancelled'],
    ['a visit called off before anyone was told', { ...planned, state: 'cancelled' }, null, null],
    ['one called off and planned again', planned, { ...notified, kind: 'visit-cancelled' as const }, 'visit-planned'],
    ['a visit under way', { ...planned, state: 'under-way' }, null, null],
  ])('%s', (_name, visit, last, kind) => expect(noticeDue(visit, last)).toBe(kind))
})
