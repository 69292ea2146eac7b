import type { IsoDate } from '../numeric/calendar'
import type { KitTest } from './kit'
import type { Sight } from './sights'
import type { ToldCode } from './scenario'

/** What is set on the pond: the player put it so, or was told. */
export interface Fittings {
  readonly feedFactor: number
  readonly lightFeed: boolean
  readonly pump: boolean
  readonly uv: boolean
  readonly aerator: boolean
  readonly iceHole: boolean
  readonly net: boolean
}

/** How the pond is drawn: only what an eye above it sees. */
export interface Scene {
  readonly clarityM: number
  /** How far the murk is green, brown or grey: shares of one. */
  readonly murk: { readonly green: number; readonly brown: number; readonly grey: number }
  readonly iceM: number
  readonly leafCover: number
  /** 0 to 1. */
  readonly stringAlgae: number
  /** Height of the bed's plants against their full stand. */
  readonly plants: number
  readonly plantsDead: number
  /** Sludge on the floor, 0 to 1. */
  readonly sludge: number
  readonly fallingLeaves: boolean
  readonly fish: 'calm' | 'still' | 'uneasy' | 'at-falls' | 'gasping'
  readonly levelMm: number
}

/** The pond on the morning of a week's visit. */
export interface WeekView {
  readonly week: number
  readonly date: IsoDate
  readonly sights: readonly Sight[]
  /** What the customer and neighbours tell. */
  readonly told: readonly ToldCode[]
  readonly fish: { readonly alive: number; readonly lostThisWeek: number }
  readonly fittings: Fittings
  readonly scene: Scene
  /** What each test would show today. */
  readonly kit: Readonly<Record<KitTest, number>>
}
