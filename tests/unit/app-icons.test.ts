/** @jest-environment node */
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import sharp from 'sharp'
import manifest from '@/app/manifest'
import robots from '@/app/robots'

const root = join(__dirname, '..', '..')

describe('the app on a home screen', () => {
  it('has a picture of every size that its manifest names, one of them for any shape', async () => {
    const { icons = [] } = manifest()
    for (const { src, sizes, type } of icons) {
      if (type === 'image/svg+xml') continue
      const { width, height } = await sharp(join(root, 'public', src)).metadata()
      expect(`${width}x${height}`).toBe(sizes)
    }
    expect(icons.filter((i) => i.purpose === 'maskable')).toHaveLength(1)
    expect(existsSync(join(root, 'src', 'app', 'icon.svg'))).toBe(true)
  })
  it('is nothing for search engines', () => expect(robots().rules).toEqual({ userAgent: '*', disallow: '/' }))
})
