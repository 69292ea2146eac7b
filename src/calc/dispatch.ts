import { z } from 'zod'
import { makePlan } from '../core/schedule/plan/make-plan'
import { DEFAULT_PLAN_WEIGHTS, PLAN_RANGE } from '../core/schedule/plan/plan-input'
import { checkVrptw } from '../core/routing/vrptw/check'
import { readVrptw } from '../core/routing/vrptw/instance'
import { solveVrptw } from '../core/routing/vrptw/solve'
import { DomainError } from '../core/errors'
import { seededRandom } from '../core/numeric/random'
import { defineCalculation, numberIn } from './define'

const text = z
  .string()
  .max(2_000_000)
  .describe('classic VRPTW text: vehicle count and capacity, then rows id x y demand ready due service; the depot is 0')
const routes = z
  .array(z.array(z.int().min(0)).max(5000))
  .max(5000)
  .describe('customer ids in order, the depot left out')
const seed = z.int().min(0).max(0xffffffff).default(1)
const isoDay = z.iso.date()
const minuteOfDay = numberIn([0, 1440])
const words = z.array(z.string().max(60)).max(30).default([])

/** Steps of a search whose budget is wall time: more than any machine does. */
const WITHOUT_END = 1e12
const DEFAULT_PLAN_ITERATIONS = 4000

/** Share of a number of seconds that has gone by since this was called. */
function clockOf(seconds: number): () => number {
  const started = performance.now()
  return () => (performance.now() - started) / 1000 / seconds
}

/** The contract's crews know neither overtime nor tanks, and work at any hour they say. */
const PLAIN_CREW = { overtimeMin: 0, tankM3: Number.MAX_SAFE_INTEGER, daylightOnly: false }

const Crew = z.strictObject({
  id: z.string().max(60),
  size: numberIn(PLAN_RANGE.crewSize).default(2),
  skills: words,
  kit: words,
  depot: z.int().min(0).describe('row of the travel table'),
  start_min: minuteOfDay.default(450).describe('minutes of the day'),
  end_min: minuteOfDay.default(990),
  break_min: numberIn([0, 240]).default(30),
  capacity: z.number().min(0).default(1e9),
  daysOff: z.array(isoDay).max(400).default([]),
})

const Visit = z.strictObject({
  id: z.string().max(80),
  location: z.int().min(0).describe('row of the travel table'),
  hands_min: numberIn([0, 5000]).describe('handwork for one person, shared by the crew'),
  fixed_min: numberIn([0, 1440]).default(0).describe('pumping, filling, waiting: takes its time whoever is there'),
  earliest: isoDay,
  best: isoDay.optional(),
  latest: isoDay,
  likelihood: z
    .record(z.string(), numberIn([0, 1]))
    .default({})
    .describe('share of years in which conditions hold, by day'),
  opens_min: minuteOfDay.default(0),
  closes_min: minuteOfDay.default(1440).describe('work begins no later'),
  closedDays: z.array(isoDay).max(400).default([]),
  skills: words,
  kit: words,
  load: z.number().min(0).default(0),
  value: numberIn(PLAN_RANGE.value).default(1),
  after: z
    .array(
      z.strictObject({
        visit: z.string(),
        minDays: z.int().min(0),
        maxDays: z.int().min(0).default(400),
        requires: z.boolean().default(true),
      }),
    )
    .max(20)
    .default([]),
  preferredCrew: z.string().nullable().default(null),
  published: z.strictObject({ crew: z.string(), day: isoDay, start_min: minuteOfDay }).nullable().default(null),
  locked: z.boolean().default(false),
})

export const DISPATCH_CALCULATIONS = [
  defineCalculation({
    name: 'route.vrptw',
    summary: 'Routes with time windows: shortest total distance within the vehicle count',
    input: z.strictObject({ text, seconds: numberIn([0.1, 600]).default(30), seed }),
    output: z.object({ routes, distance: z.number(), vehicles: z.number(), unvisited: z.array(z.number()) }),
    run: (i) => {
      const instance = readVrptw(i.text)
      const found = solveVrptw(instance, {
        random: seededRandom(i.seed),
        iterations: WITHOUT_END,
        spent: clockOf(i.seconds),
      })
      return {
        routes: found.routes.map((r) => [...r]),
        distance: found.distance,
        vehicles: found.routes.length,
        unvisited: [...found.unvisited],
      }
    },
  }),
  defineCalculation({
    name: 'route.check',
    summary: 'Checks routes with time windows: distance, and every violation in words',
    input: z.strictObject({ text, routes }),
    output: z.object({ feasible: z.boolean(), distance: z.number(), violations: z.array(z.string()) }),
    run: (i) => {
      const { feasible, distance, violations } = checkVrptw(readVrptw(i.text), i.routes)
      return { feasible, distance, violations: [...violations] }
    },
  }),
  defineCalculation({
    name: 'plan.rounds',
    summary: 'Crews, days, order and times for visits with windows, skills, kit, spacing and locks',
    input: z.strictObject({
      crews: z.array(Crew).min(1).max(PLAN_RANGE.crews),
      visits: z.array(Visit).max(PLAN_RANGE.visits),
      days: z.array(isoDay).min(1).max(PLAN_RANGE.days),
      travel: z
        .strictObject({
          minutes: z
            .array(z.array(z.number().min(0)).max(2000))
            .min(1)
            .max(2000),
        })
        .describe('minutes from each location (row) to each other'),
      iterations: z
        .int()
        .min(1)
        .max(10_000_000)
        .optional()
        .describe('steps of the search; the answer is then the same for the same seed'),
      seconds: numberIn([0.1, 600]).optional().describe('wall time instead of a number of steps'),
      seed,
    }),
    output: z.object({
      assignments: z.array(
        z.object({
          visit: z.string(),
          crew: z.string(),
          day: z.string(),
          order: z.number(),
          start_min: z.number(),
          end_min: z.number(),
          travel_min: z.number(),
        }),
      ),
      unplaced: z.array(
        z.object({
          id: z.string(),
          reasons: z.array(z.looseObject({ code: z.string() })),
          relaxations: z.array(z.looseObject({ code: z.string() })),
        }),
      ),
      cost: z.number(),
      travel_min: z.number(),
      feasible: z.boolean(),
    }),
    run: (i) => {
      const locations = i.travel.minutes.length
      const uneven = i.travel.minutes.findIndex((row) => row.length !== locations)
      if (uneven >= 0)
        throw new DomainError(
          `travel.minutes.${uneven}`,
          `${i.travel.minutes[uneven]!.length} figures`,
          `${locations} figures, one a location`,
        )
      const found = makePlan(
        {
          days: [...i.days].sort(),
          crews: i.crews.map(({ start_min, end_min, break_min, ...crew }) => ({
            ...crew,
            startMin: start_min,
            endMin: end_min,
            breakMin: break_min,
            ...PLAIN_CREW,
          })),
          visits: i.visits.map(({ hands_min, fixed_min, opens_min, closes_min, published, best, ...visit }) => ({
            ...visit,
            tankM3: 0,
            best: best ?? visit.earliest,
            handsMin: hands_min,
            fixedMin: fixed_min,
            opensMin: opens_min,
            closesMin: closes_min,
            published: published && { crew: published.crew, day: published.day, startMin: published.start_min },
          })),
          locations,
          travel: Float64Array.from(i.travel.minutes.flat()),
          light: {},
          weights: DEFAULT_PLAN_WEIGHTS,
        },
        {
          random: seededRandom(i.seed),
          iterations: i.seconds ? WITHOUT_END : (i.iterations ?? DEFAULT_PLAN_ITERATIONS),
          ...(i.seconds ? { spent: clockOf(i.seconds) } : {}),
        },
      )
      return {
        assignments: found.assignments.map(({ startMin, endMin, travelMin, ...a }) => ({
          ...a,
          start_min: startMin,
          end_min: endMin,
          travel_min: travelMin,
        })),
        unplaced: found.unplaced.map(({ visit, reasons, relaxations }) => ({
          id: visit,
          reasons: [...reasons],
          relaxations: [...relaxations],
        })),
        cost: found.cost,
        travel_min: found.travelMin,
        feasible: found.feasible,
      }
    },
  }),
]
