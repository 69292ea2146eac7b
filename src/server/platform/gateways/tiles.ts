import { askBytes } from './ask'

/** A picture of a square of the world, as slippy maps count them. */
export interface TileAt {
  readonly z: number
  readonly x: number
  readonly y: number
}

const TIMEOUT_MS = 6000
const MAX_BYTES = 1_000_000

/**
 * Who made the map that lies under the sites, to be named on it; null where no source is set and the region's own
 * drawing serves.
 */
export function mapTiles(): { readonly attribution: string } | null {
  return process.env.MAP_TILES_URL ? { attribution: process.env.MAP_TILES_ATTRIBUTION ?? '' } : null
}

/**
 * A tile of the source that MAP_TILES_URL names, such as https://tiles.example/{z}/{x}/{y}.png. Fetched by the server:
 * nobody outside learns which customers' places a person looks at.
 * @returns null where there is no source, or it answers no picture
 */
export async function mapTile({ z, x, y }: TileAt): Promise<{ body: Buffer<ArrayBuffer>; type: string } | null> {
  const source = process.env.MAP_TILES_URL
  if (!source) return null
  const url = new URL(source.replace('{z}', `${z}`).replace('{x}', `${x}`).replace('{y}', `${y}`))
  try {
    const tile = await askBytes(url, { timeoutMs: TIMEOUT_MS, maxBytes: MAX_BYTES })
    return tile && /^image\/(png|jpeg|webp)\b/.test(tile.type) ? tile : null
  } catch {
    return null
  }
}
