import { SIGHTS, sightsOf, type Seen, type SightKey } from './sights'

const seen = ({
  scene,
  fittings,
  ...over
}: { scene?: Partial<Seen['scene']>; fittings?: Partial<Seen['fittings']> } & Partial<
  Omit<Seen, 'scene' | 'fittings'>
> = {}): Seen => ({
  scene: {
    clarityM: 0.8,
    murk: { green: 0, brown: 0, grey: 0 },
    iceM: 0,
    leafCover: 0,
    stringAlgae: 0,
    plants: 0.2,
    plantsDead: 0,
    sludge: 0,
    fallingLeaves: false,
    fish: 'calm',
    levelMm: 0,
    ...scene,
  },
  fittings: {
    feedFactor: 1,
    lightFeed: false,
    pump: true,
    uv: false,
    aerator: false,
    iceHole: false,
    net: false,
    ...fittings,
  },
  lostFish: 0,
  floorGM2: 100,
  leavesGM2: 0,
  poreLoss: 0,
  ...over,
})
const keys = (of: Seen): SightKey[] => sightsOf(of).map((s) => s.key)

describe('what is seen of the training pond', () => {
  it('of a pond that is well: clear water, lively fish, no more', () =>
    expect(keys(seen())).toEqual(['water-clear', 'fish-lively']))
  it.each([
    [0.6, 'water-clear'],
    [0.5, 'water-hazy'],
    [0.3, 'water-murky'],
  ] as const)('water in which a hand is seen %d m deep is %s', (clarityM, key) =>
    expect(keys(seen({ scene: { clarityM } }))).toContain(key),
  )
  it.each([
    ['still', 'fish-still'],
    ['uneasy', 'fish-uneasy'],
    ['at-falls', 'fish-at-falls'],
    ['gasping', 'fish-gasping'],
  ] as const)('fish that are %s look so', (fish, key) => expect(keys(seen({ scene: { fish } }))).toContain(key))
  it('dead fish come first', () => expect(keys(seen({ lostFish: 2 }))[0]).toBe('fish-dead'))
  it('closed ice hides water and fish; an opening shows the water', () => {
    expect(keys(seen({ scene: { iceM: 0.05 }, fittings: { pump: false } }))).toEqual(['ice-closed', 'pump-stands'])
    expect(keys(seen({ scene: { iceM: 0.05 }, fittings: { iceHole: true } }))).toEqual(['water-clear', 'ice-open'])
    // water that falls keeps a place open
    expect(keys(seen({ scene: { iceM: 0.05 } }))).toEqual(['ice-open'])
  })
  it('sludge is seen before it is smelt, leaves beside it', () => {
    expect(keys(seen({ floorGM2: 900 }))).toContain('floor-sludge')
    expect(keys(seen({ floorGM2: 900 }))).not.toContain('smell-rotten')
    expect(keys(seen({ floorGM2: 2000, leavesGM2: 40 }))).toEqual(
      expect.arrayContaining(['floor-leaves', 'floor-sludge', 'smell-rotten']),
    )
  })
  it('a pump that stands is seen, and not weak falls beside it', () => {
    expect(keys(seen({ poreLoss: 0.3 }))).toContain('falls-weak')
    expect(keys(seen({ poreLoss: 0.3, fittings: { pump: false } }))).not.toContain('falls-weak')
  })
  it('yellow stands outweigh green ones; string algae are some or much, never both', () => {
    expect(keys(seen({ scene: { plants: 0.8 } }))).toContain('plants-growing')
    expect(keys(seen({ scene: { plants: 0.8, plantsDead: 0.5 } }))).not.toContain('plants-growing')
    expect(keys(seen({ scene: { stringAlgae: 0.7 } })).filter((k) => k.startsWith('string'))).toEqual([
      'string-algae-much',
    ])
  })
  it('every sight is of one kind, and each can come up', () => {
    const all = [
      seen(),
      seen({
        lostFish: 1,
        scene: { clarityM: 0.5, fish: 'still', stringAlgae: 0.3, plants: 0.9, levelMm: -60 },
        poreLoss: 0.2,
      }),
      seen({
        scene: { clarityM: 0.1, fish: 'uneasy', stringAlgae: 0.9, plantsDead: 0.9 },
        floorGM2: 2000,
        leavesGM2: 50,
        fittings: { pump: false },
      }),
      seen({ scene: { fish: 'at-falls' } }),
      seen({ scene: { fish: 'gasping' } }),
      seen({ scene: { iceM: 0.1 }, fittings: { pump: false } }),
      seen({ scene: { iceM: 0.1 }, fittings: { iceHole: true } }),
    ].flatMap(sightsOf)
    expect(new Set(all.map((s) => s.key))).toEqual(new Set(Object.keys(SIGHTS)))
    for (const { key, kind } of all) expect(kind).toBe(SIGHTS[key])
  })
})
