import { addDays, type IsoDate } from '../numeric/calendar'
import { normalDeviate, type Random } from '../numeric/random'
import type { EcoPond } from '../ecosystem/pond'
import type { PondState } from '../ecosystem/running'
import { simulate } from '../ecosystem/simulate'
import { DISSOLVED, STATE, type StateName } from '../ecosystem/states'
import { dailyNormals, type StationNormals } from '../season/station'
import { plainDayOfYear } from '../season/season-year'
import type { WeatherDay } from '../season/weather-year'
import { drawBias, UNREAD_WANDER } from './bias'
import type { EnsembleFilter } from './ensemble-filter'
import { chanceOf, type Member } from './member'
import { drawTraits, parametersOf, pondOf, stateAsKept, stateOnFile } from './traits'

/** A usual year before the filter's first day: the first part alike for all, the rest as each member has it. */
const RUN_IN_DAYS = { alike: 305, apart: 60 } as const

/**
 * What a pond has gathered over years, and nobody has measured: logarithms.
 * @source house default: ponds of one age differ by a half or so either way
 */
const GATHERED_SD = 0.4
const GATHERED = ['muck', 'sediment', 'bedSludge', 'sorbedPhosphorus', 'filamentous'] as const satisfies StateName[]

interface Beginning {
  readonly pond: EcoPond
  readonly station: StationNormals
  readonly from: IsoDate
  readonly members: number
  /** How well the adopted volume is known, as a share. */
  readonly volumeSigmaShare: number
}

/** Begins with members that have lived through a usual year, each with its own draw of what nobody knows. */
export function beginFilter({ pond, station, from, members, volumeSigmaShare }: Beginning): EnsembleFilter {
  const { alike, apart } = RUN_IN_DAYS
  const runIn = (of: EcoPond, daysBefore: number, days: number) => ({
    pond: of,
    weather: usualDays(station, addDays(from, -daysBefore), days),
    startDay: plainDayOfYear(addDays(from, -daysBefore)),
    days,
    events: [],
    every: 'day' as const,
    fishKept: true,
  })
  const shared = simulate({ ...runIn(pond, alike + apart, alike), start: { kind: 'settled' } }).end
  const own = (_: unknown, i: number): Member => {
    const random = chanceOf(i, from)
    const traits = drawTraits(random)
    const volumeShare = Math.exp(volumeSigmaShare * boundedDeviate(random))
    const start = gathered(inVolume(shared, volumeShare), random)
    const { end } = simulate({
      ...runIn(pondOf(pond, traits, volumeShare), apart, apart),
      start: stateAsKept(start, traits),
      parameters: parametersOf(traits),
    })
    return { traits, volumeShare, state: stateOnFile(end, traits), bias: drawBias(random, UNREAD_WANDER) }
  }
  return { day: from, members: Array.from({ length: members }, own), wander: UNREAD_WANDER }
}

function usualDays(station: StationNormals, from: IsoDate, days: number): WeatherDay[] {
  const normals = dailyNormals(station)
  const first = plainDayOfYear(from)
  return Array.from({ length: days }, (_, i) => {
    const normal = normals[(first + i - 1) % 365]!
    return { ...normal, rainMm: normal.rainMm / 30.4 }
  })
}

/** The same water in a pond of another size: what is dissolved goes with it. */
function inVolume({ y, running }: PondState, share: number): PondState {
  const other = y.slice()
  for (const name of DISSOLVED) other[STATE[name]]! *= share
  return { y: other, running: { ...running, volumeM3: running.volumeM3 * share } }
}

function gathered({ y, running }: PondState, random: Random): PondState {
  const other = y.slice()
  for (const name of GATHERED) other[STATE[name]]! *= Math.exp(GATHERED_SD * boundedDeviate(random))
  return { y: other, running }
}

const FURTHEST = 2.5
const boundedDeviate = (random: Random): number => Math.max(-FURTHEST, Math.min(FURTHEST, normalDeviate(random)))
