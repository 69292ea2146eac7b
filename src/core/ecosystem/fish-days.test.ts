import { Environment } from './environment'
import { feed } from './feeding'
import { FishDays } from './fish-days'
import { Ledger } from './ledger'
import { parameterValues } from './parameters'
import { startRunning } from './running'
import { startState } from './start'
import { COMPOSITION, STATE } from './states'
import { SAMPLE_POND } from './trials/sample-pond'

const p = parameterValues({ carcassesFound: 0.5 })

function pond(oxygenMgL: number) {
  const y = startState(SAMPLE_POND, p, 'settled', 190)
  y[STATE.oxygen] = oxygenMgL * SAMPLE_POND.volumeM3
  const env = Object.assign(new Environment(), { perM3: 1 / SAMPLE_POND.volumeM3, waterC: 20, ph: 7.5 })
  return { y, env, running: startRunning(SAMPLE_POND, 20), ledger: new Ledger(y) }
}

describe('days of the fish', () => {
  it('without air kill: the dead that nobody finds are load, and are booked as coming in', () => {
    const { y, env, running, ledger } = pond(0.5)
    const days = new FishDays(p)
    for (let hour = 0; hour < 12; hour++) days.note(y, env, 1)
    days.end(y, running, ledger)
    const died = SAMPLE_POND.fish.massKg - running.fishMassKg
    expect(died).toBeCloseTo(SAMPLE_POND.fish.massKg / 2, 6)
    expect(running.fishAlive).toBeCloseTo(0.5, 6)
    expect(y[STATE.carcasses]).toBeCloseTo(died * 1000 * 0.25 * 0.5, 6)
    const { in: came, error } = ledger.budget(y, 'nitrogen')
    expect(came.deadFish).toBeCloseTo(y[STATE.carcasses]! * COMPOSITION.fish.nitrogen, 6)
    expect(error).toBeLessThan(1e-12)
  })
  it('with one bad hour count by it, and each day begins anew', () => {
    const { y, env, running, ledger } = pond(8)
    const days = new FishDays(p)
    days.note(y, env, 1)
    y[STATE.oxygen]! *= 0.05
    days.note(y, env, 1)
    y[STATE.oxygen]! /= 0.05
    days.end(y, running, ledger)
    const worn = running.fishCondition
    expect(worn).toBeLessThan(0.8)
    days.note(y, env, 1)
    days.end(y, running, ledger)
    expect(running.fishCondition).toBeGreaterThan(worn)
  })
})

describe('feeding', () => {
  it('goes on in part where fish leave their food, and what is left lies in the water', () => {
    const { y, env, running } = pond(2)
    feed(env, running, y, p, 1 / 12)
    expect(env.feedEatenGPerD).toBe(0)
    expect(env.feedLeftGPerD).toBeCloseTo(p.keeperGoesOn * 12_000 * 0.013, 6)
    const well = pond(8)
    feed(well.env, well.running, well.y, p, 1 / 12)
    expect(well.env.feedEatenGPerD).toBeCloseTo(12_000 * 0.013, 6)
    expect(well.env.fishHunger).toBe(0)
  })
  it('makes fish hungry that have an appetite and are given nothing', () => {
    const { y, env, running } = pond(8)
    running.feedFactor = 0
    feed(env, running, y, p, 1 / 12)
    expect(env.fishHunger).toBe(1)
    running.appetite = 0
    running.waterC = 4
    feed(env, running, y, p, 1 / 12)
    expect(env.fishHunger).toBe(0)
  })
})
