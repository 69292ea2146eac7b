import { CrewSetup } from '../people/crew-setup'
import { dayLoad, dayStretches, linesOfStops } from './day-load'

const setup = CrewSetup.parse({ starts: '07:30', ends: '16:30', breakMin: 30 })
const stops = [
  { startTime: '08:00', plannedMinutes: 60 },
  { startTime: '09:30', plannedMinutes: 90 },
]
const ways = { toStops: [20, 25], back: 35 }

describe('how full a crew’s day is', () => {
  it('counts work and driving, there and back', () => {
    expect(dayLoad(stops, ways, setup)).toEqual({
      onSiteMin: 150,
      drivingMin: 80,
      leavesMin: 7 * 60 + 40,
      backMin: 11 * 60 + 35,
      overMin: 0,
      drivesUnknown: false,
    })
  })
  it('says how far it goes beyond the crew’s hours, at both ends', () => {
    const long = [{ startTime: '07:40', plannedMinutes: 540 }]
    expect(dayLoad(long, { toStops: [20], back: 20 }, setup)).toMatchObject({ overMin: 10 + 30 })
  })
  it('does not pretend to know a way to a site that is not on the map', () => {
    const found = dayLoad(stops, { toStops: [20, null], back: 15 }, setup)
    expect(found).toMatchObject({ drivesUnknown: true, drivingMin: 35 })
    // nor when the crew leaves for it, or is back from it
    expect(dayLoad(stops, { toStops: [null, 20], back: 15 }, setup)).toMatchObject({ leavesMin: null })
    expect(dayLoad(stops, { toStops: [20, null], back: null }, setup)).toMatchObject({ backMin: null })
  })
  it('is not back on a day whose work goes on through the night', () => {
    const night = [{ startTime: '09:00', plannedMinutes: 24 * 60 }]
    expect(dayLoad(night, { toStops: [20], back: 20 }, setup)).toMatchObject({ leavesMin: 520, backMin: null })
  })
  it('is nothing without stops', () => {
    expect(dayLoad([], { toStops: [], back: null }, setup)).toBeNull()
  })
})

describe('a day to scale', () => {
  it('has a way before each stop, and the way back after the last', () => {
    expect(dayStretches(stops, ways).map(({ kind, fromMin, toMin }) => [kind, fromMin, toMin])).toEqual([
      ['drive', 460, 480],
      ['stop', 480, 540],
      ['drive', 545, 570],
      ['stop', 570, 660],
      ['drive', 660, 695],
    ])
  })
  it('puts stops of the same hours on lines of their own, and the next ones back on the first', () => {
    const at = (startTime: string, plannedMinutes: number) => ({ startTime, plannedMinutes })
    expect(linesOfStops([at('08:00', 120), at('09:00', 30), at('09:30', 30), at('10:00', 60)])).toEqual([0, 1, 1, 0])
  })
})
