import { planRescue } from '@/core/visits/rescue-plan'
import { firmTexts } from '../texts'
import { stageLines, stageNote, stopRuleWords } from './rescue-words'

const t = firmTexts()
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
    const lines = stageLines(stages()[0]!, t)
    expect(lines[0]).toBe('Change at most 4 m³; that leaves about ammonia 0.8, nitrite 0.27 mg/L')
    expect(lines).toContain('Raise KH by 1 °dH: 360 g of sodium bicarbonate')
    expect(lines).toContain('Ammonia and nitrite binder, daily as its label says until two tests are clean')
    expect(lines.at(-1)).toBe('Stop at a smell of bad eggs: ventilate, leave')
  })
  it('does not send a crew to raise KH where nobody tested, or where ammonia would turn toxic', () => {
    expect(stageLines(stages({ ph: null })[0]!, t).find((l) => l.includes('aise KH'))).toMatch(
      /^Only after ammonia and pH are tested/,
    )
    expect(stageLines(stages({ tan: 6, ph: 8.2, khDH: 3 })[0]!, t).find((l) => l.includes('aise KH'))).toMatch(
      /^Not while a higher pH would make the ammonia toxic/,
    )
    expect(stageLines(stages({ khDH: 6 })[0]!, t).some((l) => l.includes('aise KH'))).toBe(false)
  })
  it('keeps quiet about what was not tested', () =>
    expect(stageLines(stages({ tan: null, nitrite: null })[0]!, t)[0]).toBe('Change at most 4 m³'))
  it('has words for every rule that stops it', () => {
    const words = stages()
      .flatMap((s) => s.stopRules)
      .map((rule) => stopRuleWords(rule, t))
    expect(words.every((w) => /^(Stop|Wait|The water is expected)/.test(w))).toBe(true)
    expect(new Set(words).size).toBe(5)
  })
  it('fits the crew’s note, whatever there is to say', () => {
    for (const stage of stages({ tan: 6, ph: 8.2, khDH: 3 })) {
      const note = stageNote(stage, 0, 5, t)
      expect(note.length).toBeLessThanOrEqual(500)
      for (const line of stageLines(stage, t)) expect(note).toContain(line)
    }
  })
})
