import type { StationNormals } from '../../src/core/season/station'

/**
 * Months of two invented islands in open ocean. Hask, at 45° N: coldest upland, mild foggy west coast. Vell, at 34° S:
 * mild south coast, subtropical north coast, dry inland.
 */
interface Station {
  readonly id: string
  readonly name: string
  readonly normals: StationNormals
}

type TwelveNumbers = readonly [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
]

const station = (
  id: string,
  name: string,
  [latitudeDeg, altitudeM]: readonly [number, number],
  series: {
    min: TwelveNumbers
    max: TwelveNumbers
    sd: TwelveNumbers
    humidity: number
    wind: number
    sun: TwelveNumbers
    rain: TwelveNumbers
  },
): Station => ({
  id,
  name,
  normals: {
    latitudeDeg,
    altitudeM,
    months: series.min.map((minAirC, i) => ({
      minAirC,
      maxAirC: series.max[i]!,
      sdC: series.sd[i]!,
      humidityPercent: series.humidity,
      windMPerS: series.wind,
      sunshineH: series.sun[i]!,
      rainMm: series.rain[i]!,
    })),
  },
})

const MILD_SD: TwelveNumbers = [2.6, 2.6, 2.5, 2.3, 2.2, 2, 1.9, 1.9, 2, 2.2, 2.4, 2.6]
const UPLAND_SD: TwelveNumbers = [4.2, 4, 3.6, 3, 2.8, 2.5, 2.3, 2.3, 2.6, 3, 3.5, 4]

export const STATIONS: readonly Station[] = [
  station('marrow-quay', 'Marrow Quay (west coast)', [45, 12], {
    min: [1.5, 1.6, 2.9, 4.7, 7.6, 10.4, 12.4, 12.6, 10.8, 8, 4.6, 2.4],
    max: [7, 7.6, 9.6, 12.4, 15.8, 18.6, 20.6, 20.8, 18.4, 14.2, 10.2, 7.7],
    sd: MILD_SD,
    humidity: 83,
    wind: 4.6,
    sun: [1.6, 2.5, 3.9, 5.6, 6.6, 6.8, 6.7, 6.2, 4.8, 3.1, 1.9, 1.3],
    rain: [110, 85, 80, 65, 60, 62, 60, 70, 85, 112, 120, 118],
  }),
  station('plover-green', 'Plover Green (south)', [45, 40], {
    min: [0.4, 0.5, 2.2, 4.4, 7.8, 10.9, 13, 12.9, 10.6, 7.3, 3.6, 1.4],
    max: [6.4, 7.4, 10.3, 13.8, 17.6, 20.7, 22.9, 22.8, 19.6, 14.6, 9.8, 7],
    sd: MILD_SD,
    humidity: 77,
    wind: 3.4,
    sun: [2, 3, 4.4, 6, 7.1, 7.7, 7.9, 7.2, 5.6, 3.7, 2.3, 1.7],
    rain: [82, 64, 62, 55, 54, 52, 50, 58, 66, 86, 92, 90],
  }),
  station('ferrygate', 'Ferrygate (river valley)', [45, 85], {
    min: [-1.8, -1.6, 0.6, 3.2, 7, 10.3, 12.3, 12, 9.2, 5.6, 1.8, -0.8],
    max: [4.2, 5.7, 9.5, 13.9, 18.2, 21.4, 23.5, 23.2, 19.3, 13.6, 8, 4.9],
    sd: [3.4, 3.3, 3, 2.7, 2.5, 2.3, 2.1, 2.1, 2.3, 2.6, 3, 3.3],
    humidity: 78,
    wind: 2.6,
    sun: [1.8, 2.8, 4.2, 5.8, 7, 7.6, 7.8, 7.1, 5.3, 3.4, 2, 1.5],
    rain: [74, 60, 60, 58, 64, 66, 62, 64, 66, 76, 82, 80],
  }),
  station('cold-ash-common', 'Cold Ash Common (upland)', [45, 410], {
    min: [-7.2, -6.9, -3.6, 0.3, 4.4, 7.6, 9.6, 9.2, 6.2, 2.4, -2, -5.6],
    max: [-0.4, 0.9, 4.8, 9.9, 15.2, 18.7, 21, 20.6, 16.2, 10.2, 4.2, 0.7],
    sd: UPLAND_SD,
    humidity: 79,
    wind: 3.2,
    sun: [2.1, 3.1, 4.4, 5.7, 6.8, 7.4, 7.7, 7, 5.2, 3.4, 2, 1.7],
    rain: [96, 82, 80, 74, 78, 80, 76, 80, 82, 98, 108, 106],
  }),
  station('quill-bay', 'Quill Bay (Vell, south coast)', [-37, 15], {
    min: [13.2, 13.4, 12.1, 9.8, 7.6, 5.6, 4.9, 5.5, 6.8, 8.3, 10.1, 11.8],
    max: [23.6, 23.8, 22, 18.9, 15.8, 13.3, 12.7, 13.8, 15.6, 17.8, 19.9, 22],
    sd: MILD_SD,
    humidity: 74,
    wind: 4,
    sun: [8.2, 7.6, 6.3, 5.1, 3.9, 3.3, 3.6, 4.5, 5.3, 6.2, 7, 7.7],
    rain: [44, 42, 50, 58, 66, 68, 70, 72, 68, 66, 58, 50],
  }),
  station('mangle-reach', 'Mangle Reach (Vell, north coast)', [-29, 10], {
    min: [20.4, 20.6, 19.2, 16.1, 12.8, 10.4, 9.2, 9.8, 12.4, 15, 17.3, 19.2],
    max: [29.4, 29.2, 28.1, 26, 23.4, 21.1, 20.7, 22, 24.3, 26, 27.4, 28.7],
    sd: MILD_SD,
    humidity: 72,
    wind: 3.2,
    sun: [8, 7.5, 7.3, 7.4, 6.9, 6.8, 7.4, 8.4, 8.6, 8.3, 8.2, 8.2],
    rain: [150, 165, 140, 92, 88, 66, 58, 44, 42, 72, 96, 126],
  }),
  station('dusty-ford', 'Dusty Ford (Vell, dry inland)', [-33, 340], {
    min: [16.9, 16.7, 13.4, 8.7, 4.6, 1.9, 0.8, 1.9, 5, 8.8, 12.4, 15.2],
    max: [33.4, 32.5, 29, 24, 18.9, 15, 14.3, 16.6, 20.6, 25, 28.9, 31.9],
    sd: [3.6, 3.4, 3.2, 3, 2.7, 2.5, 2.4, 2.6, 2.9, 3.2, 3.5, 3.6],
    humidity: 52,
    wind: 2.8,
    sun: [10.6, 10.1, 9, 8, 6.5, 5.6, 6.1, 7.4, 8.5, 9.4, 10.2, 10.7],
    rain: [30, 28, 26, 22, 30, 32, 32, 30, 28, 34, 32, 30],
  }),
]
