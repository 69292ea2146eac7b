import { UNTESTED_FILL } from '../../core/water/fill-water'
import { neglectedPond, RescueInput } from './rescue'

describe('what is asked before', () => {
  const input = {
    first: '2027-04-05',
    crewId: crypto.randomUUID(),
    startTime: '08:00',
    tan: null,
    nitrite: null,
    ph: null,
    khDH: null,
    ghDH: null,
    fillPh: null,
    fillKhDH: null,
    oxygenMgL: null,
    hasMedia: true,
    rockSections: 2,
  }
  it('may leave every test out', () => expect(RescueInput.safeParse(input).success).toBe(true))
  it.each([
    ['ph', { ph: 70 }],
    ['fillPh', { fillPh: 70 }],
    ['ghDH', { ghDH: -1 }],
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
  it('goes to the plan with what is on file; a figure that is being typed is not tested', () =>
    expect(
      neglectedPond(
        { ...RescueInput.parse(input), tan: NaN, fillPh: 7 },
        { systemM3: 12, fishKg: 3, fill: UNTESTED_FILL },
      ),
    ).toMatchObject({
      tan: null,
      fill: { ph: 7, khDH: null },
      systemM3: 12,
      fishKg: 3,
    }))
})
