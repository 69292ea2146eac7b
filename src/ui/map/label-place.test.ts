import fc from 'fast-check'
import { boxOfMark, placeLabel } from './label-place'

const size = { width: 80, height: 20 }

describe('a label on the map', () => {
  it('stands above its place where nothing is in the way', () => {
    expect(placeLabel({ x: 100, y: 100 }, size, [])).toEqual({ x: 60, y: 74, ...size })
  })
  it('gives way to a mark above, then to one below as well', () => {
    const above = boxOfMark({ x: 100, y: 80 })
    expect(placeLabel({ x: 100, y: 100 }, size, [above])).toMatchObject({ y: 106 })
    const below = boxOfMark({ x: 100, y: 120 })
    expect(placeLabel({ x: 100, y: 100 }, size, [above, below])).toMatchObject({ x: 122 })
  })
  it('never stands on a mark while one of its places is free', () => {
    const point = fc.record({ x: fc.integer({ min: 0, max: 400 }), y: fc.integer({ min: 0, max: 400 }) })
    fc.assert(
      fc.property(point, fc.array(point, { maxLength: 3 }), (place, marks) => {
        const taken = marks.map(boxOfMark)
        const { x, y, width, height } = placeLabel(place, size, taken)
        // three marks cannot close off four sides at four distances
        for (const t of taken)
          expect(x < t.x + t.width && t.x < x + width && y < t.y + t.height && t.y < y + height).toBe(false)
      }),
    )
  })
})
