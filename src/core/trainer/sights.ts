import type { Fittings, Scene } from './view'

/** What anyone sees who walks around the pond. */
export const SIGHTS = {
  'water-clear': 'fine',
  'water-hazy': 'look',
  'water-murky': 'bad',
  'fish-lively': 'fine',
  'fish-still': 'fine',
  'fish-uneasy': 'look',
  'fish-at-falls': 'look',
  'fish-gasping': 'bad',
  'fish-dead': 'bad',
  'string-algae-some': 'look',
  'string-algae-much': 'bad',
  'floor-leaves': 'look',
  'floor-sludge': 'look',
  'smell-rotten': 'look',
  'plants-growing': 'fine',
  'plants-yellow': 'look',
  'ice-open': 'fine',
  'ice-closed': 'bad',
  'pump-stands': 'look',
  'falls-weak': 'look',
  'level-low': 'look',
} as const satisfies Record<string, 'fine' | 'look' | 'bad'>
export type SightKey = keyof typeof SIGHTS

export interface Sight {
  readonly key: SightKey
  readonly kind: 'fine' | 'look' | 'bad'
}

/** What is seen of the pond, beyond the drawing. */
export interface Seen {
  readonly scene: Scene
  readonly fittings: Fittings
  readonly lostFish: number
  /** Sludge and leaves on the floor, g dry/m²; of them leaves. */
  readonly floorGM2: number
  readonly leavesGM2: number
  readonly poreLoss: number
}

/** Edges of what the eye tells apart. @source house defaults for the trainer */
const CLEAR_M = 0.6
const MURKY_M = 0.35
const FLOOR = { sludgeGM2: 600, smellGM2: 1600, leavesGM2: 25 } as const
const WEAK_FLOW = 0.12
const LOW_MM = -25
const SOME = 0.25
const MUCH = 0.6
const ICE_M = 0.005
const DEAD_STAND = 0.25
const GROWING = 0.35

export function sightsOf({ scene, fittings, lostFish, floorGM2, leavesGM2, poreLoss }: Seen): Sight[] {
  const keys: SightKey[] = []
  if (lostFish > 0) keys.push('fish-dead')
  const clarity = () => {
    if (scene.clarityM >= CLEAR_M) return 'water-clear'
    if (scene.clarityM >= MURKY_M) return 'water-hazy'
    return 'water-murky'
  }
  if (scene.iceM < ICE_M || fittings.iceHole) keys.push(clarity())
  if (scene.iceM >= ICE_M) keys.push(fittings.iceHole || fittings.pump ? 'ice-open' : 'ice-closed')
  else keys.push(FISH_SIGHTS[scene.fish])
  if (scene.stringAlgae >= SOME) keys.push(scene.stringAlgae >= MUCH ? 'string-algae-much' : 'string-algae-some')
  if (leavesGM2 > FLOOR.leavesGM2) keys.push('floor-leaves')
  if (floorGM2 > FLOOR.sludgeGM2) keys.push('floor-sludge')
  if (floorGM2 > FLOOR.smellGM2) keys.push('smell-rotten')
  if (scene.plantsDead > DEAD_STAND) keys.push('plants-yellow')
  else if (scene.plants > GROWING) keys.push('plants-growing')
  if (!fittings.pump) keys.push('pump-stands')
  else if (poreLoss > WEAK_FLOW) keys.push('falls-weak')
  if (scene.levelMm < LOW_MM) keys.push('level-low')
  return keys.map((key) => ({ key, kind: SIGHTS[key] }))
}

const FISH_SIGHTS: Readonly<Record<Scene['fish'], SightKey>> = {
  calm: 'fish-lively',
  still: 'fish-still',
  uneasy: 'fish-uneasy',
  'at-falls': 'fish-at-falls',
  gasping: 'fish-gasping',
}
