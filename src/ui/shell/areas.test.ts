import { ROLES } from '@/domain/people/roles'
import { isWithin, menuOf } from './areas'

const pagesOf = (role: (typeof ROLES)[number]) => menuOf(role).flatMap(({ pages }) => pages.map((p) => p.href))

describe('the menu', () => {
  it('shows the owner every page once', () => {
    const pages = pagesOf('owner')
    expect(new Set(pages).size).toBe(pages.length)
    expect(pages).toEqual(
      expect.arrayContaining(['/', '/planning', '/customers', '/proposals', '/import-export', '/field']),
    )
  })
  it('shows a role only what it may open, and no empty area', () => {
    expect(pagesOf('technician')).not.toEqual(expect.arrayContaining(['/customers']))
    for (const href of ['/planning', '/customers', '/proposals', '/prices', '/messages', '/import-export'])
      expect(pagesOf('technician')).not.toContain(href)
    expect(pagesOf('designer')).toContain('/proposals')
    for (const role of ROLES) for (const area of menuOf(role)) expect(area.pages.length).toBeGreaterThan(0)
  })
  it('has the field sheet at hand for those who work at the water, once', () => {
    for (const role of ['crew-lead', 'technician'] as const) {
      expect(menuOf(role)[1]!.pages.map((p) => p.href)).toEqual(['/field'])
      expect(pagesOf(role).filter((href) => href === '/field')).toHaveLength(1)
    }
    expect(menuOf('office')[1]!.pages.map((p) => p.href)).toContain('/season')
  })
  it('knows where a page lies: below its address, not beside it', () => {
    expect(isWithin('/ponds/x/water', '/ponds')).toBe(true)
    expect(isWithin('/pondscape', '/ponds')).toBe(false)
    expect(isWithin('/ponds', '/')).toBe(false)
    expect(isWithin('/', '/')).toBe(true)
  })
})
