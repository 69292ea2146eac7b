import type { StationNormals } from '../../season/station'
import { NO_ECO_GUESTS } from '../guests'
import { USUAL_SOURCE, type EcoPond } from '../pond'

/**
 * A family pond of 20 m³ with a bog of a tenth of its volume, fish of some 12 kg and a mild climate: what tests and
 * the training pond begin from.
 */
export const SAMPLE_POND: EcoPond = {
  latitudeDeg: 45,
  meanDepthM: 0.8,
  shade: 0.2,
  windShare: 0.5,
  volumeM3: 20,
  areaM2: 25,
  altitudeM: 50,
  wallAreaM2: 45,
  filter: {
    stoneM3: 2.2,
    areaM2: 4.5,
    porosity: 0.4,
    surfaceM2PerM3: 290,
    flowM3PerH: 8,
    wetShareStopped: 1,
    uvFlowM3PerH: 0,
    winter: 'runs',
  },
  fallM: 0.5,
  aeratorGPerD: 0,
  fish: { massKg: 12, feedFactor: 1, protein: 0.35, feedFromC: 10, lowProteinBelowC: null },
  guests: NO_ECO_GUESTS,
  plants: { marginalShare: 0.6, lilyShare: 0.15, floatingShare: 0, submergedShare: 0.1 },
  leafKgPerYear: 4,
  leafKeptShare: 0.5,
  source: USUAL_SOURCE,
  autoFill: true,
  topUpAtMm: 40,
  leakMmPerD: 0,
  runoffAreaM2: 0,
  iceHole: false,
}

const month = (minAirC: number, maxAirC: number, sunshineH: number, windMPerS: number) => ({
  minAirC,
  maxAirC,
  sdC: 3,
  humidityPercent: 74,
  windMPerS,
  sunshineH,
  rainMm: 70,
})

/** A temperate climate with cold winters, made up. */
export const SAMPLE_STATION: StationNormals = {
  latitudeDeg: 45,
  altitudeM: 50,
  months: [
    month(-5, 2, 2.4, 3),
    month(-5, 4, 3.5, 3),
    month(-1, 9, 4.8, 3),
    month(4, 14, 6.1, 2.8),
    month(8, 19, 7.4, 2.5),
    month(12, 23, 8.5, 2.3),
    month(14, 26, 9, 2.2),
    month(14, 25, 8.2, 2.2),
    month(10, 20, 6.3, 2.4),
    month(6, 14, 4.3, 2.6),
    month(1, 7, 2.5, 3),
    month(-3, 3, 2, 3),
  ],
}
