import { readFileSync } from 'node:fs'

export interface IconLine {
  readonly d: string
  /** Where the path crosses itself and what lies inside both loops stays empty. */
  readonly evenOdd?: true
}

/**
 * The outlines of an icon of bootstrap-icons.
 * @throws an icon that is drawn by more than paths, which the app does not draw
 */
export function iconLines(name: string): IconLine[] {
  const svg = readFileSync(new URL(`../../node_modules/bootstrap-icons/icons/${name}.svg`, import.meta.url), 'utf8')
  const inside = svg.replace(/^[^>]*>/, '').replace('</svg>', '')
  const elements = [...inside.matchAll(/<(\w+)([^>]*)>/g)]
  return elements.map(([whole, element, attributes]) => {
    const d = /\bd="([^"]+)"/.exec(attributes!)?.[1]
    if (element !== 'path' || !d) throw new Error(`${name}: cannot draw ${whole}`)
    return attributes!.includes('fill-rule="evenodd"') ? { d, evenOdd: true } : { d }
  })
}
