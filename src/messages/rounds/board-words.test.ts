import { textsIn } from '../texts'
import { boardWords } from './board-words'

const words = boardWords(
  {
    visits: [{ id: 'v1', jobName: 'Cleanout', siteName: 'Lark House', pondName: 'Lark pool' }],
    crews: [{ id: 'c1', name: 'Newt' }],
    cellOf: (id) => ({ crewId: id.split(' ')[0]!, day: id.split(' ')[1]! }),
  },
  textsIn('en'),
)
const active = { id: 'v1' }
const over = { id: 'c1 2026-04-14' }

describe('a visit carried on the rounds board', () => {
  it('is spoken of by its names, its crew and its day', () => {
    expect(words.onDragStart({ active })).toMatch(/^Cleanout, Lark House, Lark pool, picked up\./)
    expect(words.onDragOver({ active, over })).toBe(
      'Cleanout, Lark House, Lark pool, over crew Newt, Tuesday, 14 April 2026',
    )
    expect(words.onDragEnd({ active, over })).toBe(
      'Cleanout, Lark House, Lark pool, put down on crew Newt, Tuesday, 14 April 2026',
    )
  })
  it('stays where it was when it is let go of anywhere else', () => {
    expect(words.onDragOver({ active, over: null })).toBe('Over no day')
    expect(words.onDragEnd({ active, over: null })).toBe('Cleanout, Lark House, Lark pool, stays where it was')
    expect(words.onDragCancel({ active })).toBe('Cleanout, Lark House, Lark pool, stays where it was')
  })
})
