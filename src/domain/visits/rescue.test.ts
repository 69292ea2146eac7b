import { planRescue } from '../../core/visits/rescue-plan'
import { RescueInput, stageLines, stageNote, stopRuleWords } from './rescue'

const POND = {
  systemM3: 12,
  tan: 1.2,
  nitrite: 0.4,
  ph: 6.8,
  khDH: 1,
  oxygenMgL: 6.5,
  hasFish: true,
  hasMedia: true,
  rockSections: 1,
}
const stages = (over: object = {}) => planRescue({ ...POND, ...over }, '2027-04-05').stages

describe('a stage in words', () => {
  it('says how much is changed, what that leaves, what is dosed and what stops it', () => {
    const lines = stageLines(stages()[0]!)
    expect(lines[0]).toBe('Change at most 4 m³; that leaves about ammonia 0.8, nitrite 0.27 mg/L')
    expect(lines).toContain('KH up by 1 °dH: 360 g of sodium bicarbonate')
    expect(lines).toContain('Ammonia and nitrite binder, daily by its label until two tests are clean')
    expect(lines.at(-1)).toBe('Stop at a smell of bad eggs: ventilate, leave')
  })
  it('does not send a crew to raise KH where nobody tested, or where ammonia would turn toxic', () => {
    expect(stageLines(stages({ ph: null })[0]!).find((l) => l.includes('KH up'))).toMatch(
      /^Only after ammonia and pH are tested/,
    )
    expect(stageLines(stages({ tan: 6, ph: 8.2, khDH: 3 })[0]!).find((l) => l.includes('KH up'))).toMatch(
      /^Not while ammonia would turn toxic/,
    )
    expect(stageLines(stages({ khDH: 6 })[0]!).some((l) => l.includes('KH up'))).toBe(false)
  })
  it('keeps quiet about what was not tested', () =>
    expect(stageLines(stages({ tan: null, nitrite: null })[0]!)[0]).toBe('Change at most 4 m³'))
  it('has words for every rule that stops it', () => {
    const words = stages()
      .flatMap((s) => s.stopRules)
      .map(stopRuleWords)
    expect(words.every((w) => /^(Stop|Wait)/.test(w))).toBe(true)
    expect(new Set(words).size).toBe(5)
  })
  it('fits the crew’s note, whatever there is to say', () => {
    for (const stage of stages({ tan: 6, ph: 8.2, khDH: 3 })) {
      const note = stageNote(stage, 0, 5)
      expect(note.length).toBeLessThanOrEqual(500)
      for (const line of stageLines(stage)) expect(note).toContain(line)
    }
  })
})

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
