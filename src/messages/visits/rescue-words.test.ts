import { addDays } from '@/core/numeric/calendar'
import { planRescue, type RescueStage } from '@/core/visits/rescue-plan'
import { neglected } from '../../../tests/fixtures/neglected-pond'
import { firmTexts } from '../texts'
import { rescueTasks, stageLines, stageNote, stopRuleWords } from './rescue-words'

const t = firmTexts()
const stages = (over: Parameters<typeof neglected>[0] = {}) =>
  planRescue(neglected({ rockSections: 1, ...over }), '2027-04-05').stages
const lines = (stage: RescueStage) => stageLines(stage, 'Binder: 480 g', t)

describe('a stage in words', () => {
  it('says how much is changed, what to expect after it, what is dosed and what stops it', () => {
    const [floor, strainers] = stages()
    expect(lines(floor!)).toContain('Change at most 4 m³; expected after it: ammonia 0.8, nitrite 0.27 mg/L')
    expect(lines(floor!)).toContain('No feed')
    expect(lines(floor!)).toContain('Binder: 480 g, as its label says')
    expect(stageLines(floor!, null, t)).toContain('Ammonia and nitrite binder as its label says')
    expect(lines(floor!).at(-1)).toBe('Stop at a smell of bad eggs: ventilate, leave')
    // what the fish give off meanwhile
    expect(lines(strainers!).find((line) => line.startsWith('Change'))).toMatch(/ammonia 0\.53–0\.61, nitrite/)
  })
  it('says why a change is small, or that none is made', () => {
    const killer = { ph: 6.3, khDH: 0.5, tan: 40, fill: { ph: 8, khDH: 14 } }
    expect(lines(stages(killer)[0]!)).toEqual(
      expect.arrayContaining([
        'Change no water yet',
        expect.stringMatching(/^No more: the fill water would raise the pH/),
      ]),
    )
    expect(lines(stages({ fill: { ph: null, khDH: null } })[0]!)).toContainEqual(
      expect.stringMatching(/^More only once pH and KH of the fill water are tested/),
    )
  })
  it('names the section of the rocks, and GH by its two salts', () => {
    expect(lines(stages({ rockSections: 2 }).at(-1)!)).toContain('Section 2 of 2 of the rock piles, no other')
    expect(lines(stages({ ghDH: 4 })[0]!)).toContainEqual(expect.stringMatching(/^Raise GH by 2 °dH: \d+ g of calcium/))
  })
  it('does not send a crew to raise KH where nobody tested, or where ammonia would turn toxic', () => {
    const ofKh = (over: Parameters<typeof neglected>[0]) => lines(stages(over)[0]!).find((l) => l.includes('aise KH'))
    expect(ofKh({ tan: 0.1 })).toBe('Raise KH by 1 °dH: 360 g of sodium bicarbonate')
    expect(ofKh({ ph: null })).toMatch(/^Only after ammonia and pH are tested/)
    expect(ofKh({ tan: 6, ph: 8.2, khDH: 3, fill: { ph: 8.2, khDH: 3 } })).toMatch(
      /^Not while a higher pH would make the ammonia toxic/,
    )
    expect(ofKh({ khDH: 6, fill: { ph: 7, khDH: 6 } })).toBeUndefined()
  })
  it('keeps quiet about what was not tested', () =>
    expect(lines(stages({ tan: null, nitrite: null })[0]!)).toContain('Change at most 1.2 m³'))
  it('has words for every rule that stops it', () => {
    const words = stages()
      .flatMap((s) => s.stopRules)
      .map((rule) => stopRuleWords(rule, t))
    expect(words.every((w) => /^(Stop|Wait)/.test(w))).toBe(true)
    expect(new Set(words).size).toBe(6)
  })
  it('fits the crew’s note, whatever there is to say', () => {
    for (const [at, stage] of stages({ tan: 6, ph: 8.2, khDH: 3, ghDH: 1, rockSections: 6 }).entries()) {
      const note = stageNote(stage, { at, of: 10, binder: 'Binder: 480 g' }, t)
      expect(note.length).toBeLessThanOrEqual(1000)
      for (const line of lines(stage)) expect(note).toContain(line)
    }
  })
})

describe('tasks beside the visits', () => {
  const tasks = (over: Parameters<typeof neglected>[0] = {}) => {
    const plan = planRescue(neglected(over), '2027-04-05')
    return rescueTasks(
      plan,
      plan.stages.map(({ day }) => day),
      'Binder: 480 g',
      t,
    )
  }
  it('the food stop is told, binder is given with its amount on every day between the first visits', () => {
    expect(tasks()[0]).toMatchObject({
      title: 'Tell the customer: no feed until two tests are clean',
      dueFrom: '2027-04-05',
    })
    expect(
      tasks()
        .filter(({ title }) => title.startsWith('Binder: 480 g'))
        .map(({ dueFrom }) => dueFrom),
    ).toEqual(['2027-04-06', '2027-04-07', '2027-04-08'])
  })
  it('go by the days on which the visits really are', () => {
    const plan = planRescue(neglected(), '2027-04-05')
    // the crew was elsewhere: every stage a day later, the second three
    const days = plan.stages.map(({ day }, i) => addDays(day, i === 1 ? 3 : 1))
    const late = rescueTasks(plan, days, 'Binder: 480 g', t)
    expect(late.filter(({ title }) => title.startsWith('Binder')).map(({ dueFrom }) => dueFrom)).toEqual(
      [7, 8, 9, 10, 11].map((day) => `2027-04-${String(day).padStart(2, '0')}`),
    )
    expect(late.at(-1)!.dueFrom).toBe(addDays(plan.finalTests.at(-1)!, 1))
  })
  it('GH comes up on the days of the visits, and two tests after the last stage end it', () => {
    const all = tasks({ ghDH: 3 })
    expect(all.filter(({ title }) => title.startsWith('Raise GH')).length).toBe(3)
    expect(all.slice(-2).map(({ readings }) => readings)).toEqual([
      ['tan', 'nitrite'],
      ['tan', 'nitrite'],
    ])
  })
  it('over a winter’s pause the food stop ends with two tests, and is said anew', () => {
    const plan = planRescue(neglected(), '2027-12-01', undefined, (day) => (day < '2028-04-10' ? 3 : 12))
    const all = rescueTasks(
      plan,
      plan.stages.map(({ day }) => day),
      null,
      t,
    )
    expect(all.filter(({ title }) => title.startsWith('Tell the customer')).map(({ dueFrom }) => dueFrom)).toEqual([
      '2027-12-01',
      '2028-04-10',
    ])
    expect(all.filter(({ title }) => title.startsWith('Test in the pause'))).toHaveLength(2)
  })
  it('stand in the order of their days', () => {
    const days = tasks({ ghDH: 3 }).map(({ dueFrom }) => dueFrom)
    expect(days).toEqual(days.toSorted())
  })
  it('without fish nobody is told to stop feeding', () =>
    expect(tasks({ fishKg: 0 }).some(({ title }) => title.startsWith('Tell'))).toBe(false))
})
