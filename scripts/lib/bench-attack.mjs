/** What one person of the lowest role can ask for over and over; each used to stop every page. */
const ATTACKS = [
  [
    'hydraulics.network',
    {
      inp: '[JUNCTIONS]\n J 0 1\n[RESERVOIRS]\n R 10\n[PIPES]\n P R J 100 50 100 0 Open\n[TIMES]\n Duration 800000\n Hydraulic Timestep 0:01\n[OPTIONS]\n Units CMH\n Headloss H-W\n[END]\n',
    },
  ],
  [
    'route.vrptw',
    {
      text: 'X\n\nVEHICLE\nNUMBER CAPACITY\n 3 100\n\nCUSTOMER\nCUST XCOORD. YCOORD. DEMAND READY DUE SERVICE\n0 0 0 0 0 999 0\n1 9 9 1 0 999 5\n2 5 1 1 0 999 5\n',
      seconds: 600,
      seed: 1,
    },
  ],
  ['water.doSaturation', { temp_C: 20 }],
]
const ATTACKERS = 12
const SECONDS = 12
const EVERY_MS = 25

/**
 * Answers of the health page while the calculations are flooded.
 * @returns times, ms, and how the floods were answered
 */
export async function measureAttack(address, cookie) {
  const until = performance.now() + SECONDS * 1000
  const statuses = new Map()
  const attacker = async (i) => {
    for (let n = i; performance.now() < until; n++) {
      const [name, input] = ATTACKS[n % ATTACKS.length]
      const response = await fetch(`${address}/api/v1/calc/${name}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', cookie, origin: address },
        body: JSON.stringify(input),
      })
      await response.arrayBuffer()
      statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1)
    }
  }
  const floods = Promise.all(Array.from({ length: ATTACKERS }, (_, i) => attacker(i)))
  const times = []
  while (performance.now() < until) {
    const began = performance.now()
    await (await fetch(`${address}/api/v1/health`)).arrayBuffer()
    times.push(performance.now() - began)
    await new Promise((done) => setTimeout(done, EVERY_MS))
  }
  await floods
  return { times, statuses: Object.fromEntries(statuses) }
}
