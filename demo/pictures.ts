import sharp from 'sharp'
import type { Random } from '../src/core/numeric/random'

const WATER = { murky: ['#6c6a45', '#4c4d33'], clear: ['#5f8f8a', '#2f5c5f'] } as const

/** A painted pond in place of a photograph, so that sample data shows nobody's garden. */
export async function paintPond(water: keyof typeof WATER, random: Random): Promise<Buffer> {
  const [light, dark] = WATER[water]
  const stones = Array.from({ length: 46 }, (_, i) => {
    const angle = (i / 46) * 2 * Math.PI
    const [x, y] = [400 + Math.cos(angle) * (300 + random() * 18), 330 + Math.sin(angle) * (180 + random() * 14)]
    const grey = 120 + Math.floor(random() * 70)
    return `<ellipse cx="${x}" cy="${y}" rx="${20 + random() * 16}" ry="${14 + random() * 10}" fill="rgb(${grey},${grey - 6},${grey - 16})"/>`
  })
  const stars = Array.from({ length: 26 }, () => {
    const x = 130 + random() * 150
    return `<path d="M${x} ${260 + random() * 60} q ${random() * 24 - 12} -90 ${random() * 40 - 20} -${130 + random() * 60}" stroke="#5d7a3a" stroke-width="4" fill="none"/>`
  })
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600"><defs><linearGradient id="w" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="${light}"/><stop offset="1" stop-color="${dark}"/></linearGradient></defs><rect width="800" height="600" fill="#93a06b"/><ellipse cx="400" cy="330" rx="305" ry="185" fill="url(#w)"/>${stones.join('')}${stars.join('')}</svg>`
  return sharp(Buffer.from(svg)).jpeg({ quality: 80 }).toBuffer()
}
