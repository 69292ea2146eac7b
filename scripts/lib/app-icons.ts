import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import sharp from 'sharp'

/** The ground of the drawing: a maskable icon is cut to any shape, so its ground reaches to the edge. */
const GROUND = '#f5f1e8'
/** Of a maskable icon at least this much may be cut away on each side. @source W3C, maskable icons: safe zone */
const CUT_SHARE = 0.1
const FAVICON_PX = 32
const ICO_HEADER_BYTES = 22

/** An .ico file that holds one PNG picture. */
function icoOf(png: Buffer, px: number): Buffer {
  const header = Buffer.alloc(ICO_HEADER_BYTES)
  header.writeUInt16LE(1, 2)
  header.writeUInt16LE(1, 4)
  header.writeUInt8(px, 6)
  header.writeUInt8(px, 7)
  header.writeUInt16LE(1, 10)
  header.writeUInt16LE(32, 12)
  header.writeUInt32LE(png.length, 14)
  header.writeUInt32LE(ICO_HEADER_BYTES, 18)
  return Buffer.concat([header, png])
}

/** Writes the app's icon in the sizes that devices ask for, from its one drawing. */
export async function writeAppIcons(root: string): Promise<void> {
  const at = (file: string) => join(root, file)
  const svg = readFileSync(at('src/app/icon.svg'))
  const drawn = (px: number) => sharp(svg, { density: 72 * (px / 32) }).resize(px, px)
  const maskable = async (px: number) => {
    const inner = Math.round(px * (1 - 2 * CUT_SHARE))
    const picture = await drawn(inner).png().toBuffer()
    return sharp({ create: { width: px, height: px, channels: 3, background: GROUND } })
      .composite([{ input: picture }])
      .png()
      .toBuffer()
  }
  const files: readonly (readonly [string, Buffer])[] = [
    ['public/icons/app-192.png', await drawn(192).png().toBuffer()],
    ['public/icons/app-512.png', await drawn(512).png().toBuffer()],
    ['public/icons/app-maskable-512.png', await maskable(512)],
    ['src/app/apple-icon.png', await maskable(180)],
    ['src/app/favicon.ico', icoOf(await drawn(FAVICON_PX).png().toBuffer(), FAVICON_PX)],
  ]
  for (const [file, bytes] of files) {
    mkdirSync(dirname(at(file)), { recursive: true })
    writeFileSync(at(file), bytes)
  }
}
