import fc from 'fast-check'
import { stateAfter, timeWorked } from './field-log'
import { SyncInput } from './sync-input'
import { unseenAnswers } from '../visits/visit-progress'
import { ENDINGS, type Entry } from '../visits/visit'

const line = (kind: string, at: string, byId = 'tamsy', more: object = {}) =>
  ({
    kind,
    id: `${kind}-${at}-${byId}`,
    at: `2027-03-20T${at}:00Z`,
    byId,
    byName: byId,
    receivedAt: '2027-03-20T20:00:00Z',
    replaces: null,
    ...more,
  }) as unknown as Entry

describe('the state of a visit after a line', () => {
  it('goes from planned to under way to its end', () => {
    expect(stateAfter('planned', { kind: 'started' })).toBe('under-way')
    expect(stateAfter('under-way', { kind: 'note' })).toBe('under-way')
    expect(stateAfter('under-way', { kind: 'finished', ending: 'done' })).toBe('done')
    for (const ending of ENDINGS.filter((e) => e !== 'done'))
      expect(stateAfter('under-way', { kind: 'finished', ending })).toBe('given-up')
  })
  it('is not ended before it began, and not begun anew after it was done', () => {
    expect(stateAfter('planned', { kind: 'finished', ending: 'done' })).toBe('planned')
    expect(stateAfter('done', { kind: 'started' })).toBe('done')
    expect(stateAfter('done', { kind: 'finished', ending: 'weather' })).toBe('done')
  })
  it('counts though the office called the visit off meanwhile', () =>
    expect(stateAfter('cancelled', { kind: 'started' })).toBe('under-way'))
})

describe('time worked', () => {
  it('is from a person’s first line to the end of the visit, or to their leaving', () => {
    const log = [
      line('started', '08:00'),
      line('done', '08:30', 'hale', { stepKey: 'kit' }),
      line('left', '09:15', 'hale'),
      line('done', '09:40', 'tamsy', { stepKey: 'tools' }),
      line('finished', '10:00'),
    ]
    expect(timeWorked(log)).toEqual([
      { byId: 'tamsy', name: 'tamsy', minutes: 120 },
      { byId: 'hale', name: 'hale', minutes: 45 },
    ])
  })
  it('is open while they are there', () =>
    expect(timeWorked([line('started', '08:00')])).toEqual([{ byId: 'tamsy', name: 'tamsy', minutes: null }]))
  it('ends with the first end, though a correction ended it again later', () =>
    expect(
      timeWorked([line('started', '08:00'), line('finished', '09:00'), line('finished', '17:00')])[0]!.minutes,
    ).toBe(60))
  it('is never below nothing, whatever a clock says', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.constantFrom('started', 'done', 'left', 'finished'), fc.nat(1439), fc.constantFrom('a', 'b')),
          { maxLength: 12 },
        ),
        (lines) => {
          const two = (n: number) => String(n).padStart(2, '0')
          const log = lines.map(([kind, min, by]) => line(kind, `${two(Math.floor(min / 60))}:${two(min % 60)}`, by))
          for (const person of timeWorked(log))
            if (person.minutes !== null) expect(person.minutes).toBeGreaterThanOrEqual(0)
        },
      ),
    ))
})

describe('two answers to one step', () => {
  const answer = (id: string, at: string, byId: string, replaces: string | null = null) =>
    line('done', at, byId, { id, stepKey: 'kit', replaces })
  it('of two people who did not know of each other are both kept to be seen', () => {
    const log = [answer('a', '08:00', 'tamsy'), answer('b', '08:05', 'hale')]
    expect(unseenAnswers(log, 'kit').map((e) => e.id)).toEqual(['a'])
    // whatever order they arrived in
    expect(unseenAnswers([...log].reverse(), 'kit').map((e) => e.id)).toEqual(['a'])
  })
  it('are settled by one that has seen them, and are none where a person corrects themselves', () => {
    expect(unseenAnswers([answer('a', '08:00', 'tamsy'), answer('b', '08:05', 'hale', 'a')], 'kit')).toEqual([])
    expect(unseenAnswers([answer('a', '08:00', 'tamsy'), answer('b', '08:05', 'tamsy')], 'kit')).toEqual([])
    expect(unseenAnswers([], 'kit')).toEqual([])
  })
  it('end, though lines replace each other in a ring', () => {
    const ring = [answer('a', '08:00', 'tamsy', 'b'), answer('b', '08:05', 'hale', 'a')]
    expect(unseenAnswers(ring, 'kit')).toEqual([])
  })
})

describe('a pack of lines', () => {
  const userId = crypto.randomUUID()
  it.each([
    ['none', { userId, lines: [] }],
    [
      'more than two hundred',
      { userId, lines: Array.from({ length: 201 }, () => ({ visitId: crypto.randomUUID(), entry: { id: 'x' } })) },
    ],
    ['an entry without an id', { userId, lines: [{ visitId: crypto.randomUUID(), entry: {} }] }],
    ['nobody who wrote them', { lines: [{ visitId: crypto.randomUUID(), entry: { id: 'x' } }] }],
  ])('is refused with %s', (_, body) => expect(SyncInput.safeParse(body).success).toBe(false))
  it('is taken with lines that are themselves wrong: each is answered for itself', () =>
    expect(
      SyncInput.safeParse({ userId, lines: [{ visitId: crypto.randomUUID(), entry: { id: 'x', kind: 'danced' } }] })
        .success,
    ).toBe(true))
})
