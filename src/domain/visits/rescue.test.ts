import { RescueInput } from './rescue'

describe('what is asked before', () => {
  const input = {
    first: '2027-04-05',
    crewId: crypto.randomUUID(),
    startTime: '08:00',
    tan: null,
    nitrite: null,
    ph: null,
    khDH: null,
    oxygenMgL: null,
    hasMedia: true,
    rockSections: 2,
  }
  it('may leave every test out', () => expect(RescueInput.safeParse(input).success).toBe(true))
  it.each([
    ['ph', { ph: 70 }],
    ['tan', { tan: -1 }],
    ['rockSections', { rockSections: 7 }],
    ['rockSections', { rockSections: 1.5 }],
    ['first', { first: '2027-02-30' }],
    ['startTime', { startTime: '25:00' }],
    ['crewId', { crewId: 'otter' }],
  ])('names %s', (path, over) => {
    const parsed = RescueInput.safeParse({ ...input, ...over })
    expect(parsed.error?.issues.map((i) => i.path[0])).toEqual([path])
  })
})
