import { textsIn } from '@/messages/texts'
import { syncWords } from './sync-words'

const words = (over: Partial<Parameters<typeof syncWords>[0]> = {}) =>
  syncWords(
    {
      outcome: 'synced',
      busy: false,
      waiting: 0,
      refused: 0,
      heardAt: '2027-03-20T08:05:00Z',
      timeZone: 'Etc/GMT+3',
      ...over,
    },
    textsIn('en'),
  )

describe('what the bar says of sending', () => {
  it('is the time at which everything was out, by the firm’s clock', () =>
    expect(words()).toEqual({ text: 'All sent at 05:05.', good: true }))
  it('counts what is still on the device, in words for one and for more', () => {
    expect(words({ waiting: 1 }).text).toBe('1 entry waiting to send.')
    expect(words({ waiting: 12, busy: true })).toEqual({ text: 'Sending. 12 entries waiting to send.', good: true })
  })
  it('says without signal that nothing is lost', () => {
    expect(words({ outcome: 'no-signal' })).toEqual({
      text: 'No signal. Carry on: everything is saved on this device.',
      good: false,
    })
    expect(words({ outcome: 'no-signal', waiting: 3 }).text).toBe('No signal. 3 entries waiting to send.')
  })
  it('asks to be reloaded once the office has a newer program, and loses nothing meanwhile', () =>
    expect(words({ outcome: 'other-version', waiting: 1 })).toEqual({
      text: 'A new version is ready: reload this page. Everything is saved on this device. 1 entry waiting to send.',
      good: false,
    }))
  it('asks for a person where one is needed', () => {
    expect(words({ refused: 2 })).toEqual({
      text: '2 entries rejected by the office: open the visit to see why.',
      good: false,
    })
    expect(words({ refused: 1, waiting: 1 })).toMatchObject({ good: false })
    expect(words({ outcome: 'signed-out', waiting: 4 }).text).toBe('4 entries waiting to send. Sign in again to send.')
    expect(words({ outcome: 'other-person', waiting: 4 }).text).toContain('when their author signs in')
  })
})
