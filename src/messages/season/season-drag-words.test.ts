import { textsIn } from '../texts'
import { seasonDragWords } from './season-drag-words'

const words = (day: string | null) =>
  seasonDragWords((active: string) => (active === 'v1' ? 'Cleanout, Lark House, Lark pool' : ''), day, textsIn('en'))

describe('a visit carried along its ribbon', () => {
  it('is spoken of by its names and its day', () => {
    expect(words(null).onDragStart({ active: 'v1' })).toMatch(/^Cleanout, Lark House, Lark pool, picked up\./)
    expect(words('2027-04-14').onDragEnd({ active: 'v1' })).toBe(
      'Cleanout, Lark House, Lark pool, put down on Wednesday, 14 April 2027',
    )
  })
  it('stays where it was when it is put back, or put down nowhere', () => {
    expect(words('2027-04-14').onDragCancel({ active: 'v1' })).toBe(
      'Cleanout, Lark House, Lark pool, stays where it was',
    )
    expect(words(null).onDragEnd({ active: 'v1' })).toBe('Cleanout, Lark House, Lark pool, stays where it was')
  })
})
