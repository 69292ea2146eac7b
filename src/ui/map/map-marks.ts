import L from 'leaflet'
import type { Attention } from '@/domain/ponds/pond-state'
import type { RoundLine } from './round-line'

const PIN = [26, 34] as const
const STOP_PX = 26
const CLUSTER_PX = 34
const YARD_PX = 16

/** What stands in a pin's head: shapes, so that they are told apart without colour. */
const SIGN: Readonly<Record<Attention, string>> = {
  emergency: '<path d="M9 6v7M9 15.5v2M15 6v7M15 15.5v2" />',
  act: '<path d="M12 6v7M12 15.5v2" />',
  risk: '<path d="M12 6.5l5 9H7z" />',
  'follow-up': '<path d="M9 18V6h7l-2 3 2 3H9" />',
  watch: '<circle cx="12" cy="12" r="4" />',
  none: '<circle class="dot" cx="12" cy="12" r="2.6" />',
}

/** What is drawn of a map must take no text for markup: names are put in as text. */
const spanOf = (text: string, className = ''): HTMLElement => {
  const span = document.createElement('span')
  span.textContent = text
  span.className = className
  return span
}

/** What stands in a mark is for the eye: who does not see it is told its whole name. */
const named = (mark: L.Marker, name: string): L.Marker =>
  mark.on('add', () => mark.getElement()?.setAttribute('aria-label', name))

/** @param names  the site's name, and its name with how it stands */
export function siteMark(
  at: L.LatLngExpression,
  attention: Attention,
  names: { readonly short: string; readonly whole: string },
): L.Marker {
  const element = document.createElement('div')
  element.innerHTML = `<svg viewBox="0 0 24 32" width="${PIN[0]}" height="${PIN[1]}" aria-hidden="true"><path class="body" d="M12 31C6 21 1.5 17 1.5 11.5a10.5 10.5 0 1 1 21 0C22.5 17 18 21 12 31z" />${SIGN[attention]}</svg>`
  element.append(spanOf(names.short, 'pin-name'))
  const mark = L.marker(at, {
    title: names.whole,
    riseOnHover: true,
    icon: L.divIcon({
      className: `map-pin ${attention}`,
      html: element,
      iconSize: [...PIN],
      iconAnchor: [PIN[0] / 2, PIN[1]],
    }),
  })
  return named(mark, names.whole)
}

/** @param worst  what of its sites asks for a decision first */
export const clusterIcon = (count: number, name: string, worst: Attention): L.DivIcon => {
  const element = spanOf(String(count))
  element.append(spanOf(name, 'visually-hidden'))
  return L.divIcon({ className: `map-cluster ${worst}`, html: element, iconSize: [CLUSTER_PX, CLUSTER_PX] })
}

/** @param label  the number or numbers of the stop in its crew's round */
export function stopMark(
  at: L.LatLngExpression,
  { label, name, line, done }: { label: string; name: string; line: RoundLine; done: boolean },
): L.Marker {
  const element = spanOf(label)
  element.style.setProperty('--crew', line.colour)
  const width = Math.max(STOP_PX, 12 + 8 * label.length)
  const mark = L.marker(at, {
    title: name,
    zIndexOffset: 1000,
    icon: L.divIcon({ className: `map-stop ${done ? 'done' : ''}`, html: element, iconSize: [width, STOP_PX] }),
  })
  return named(mark, name)
}

export const yardMark = (at: L.LatLngExpression, name: string): L.Marker =>
  L.marker(at, {
    title: name,
    keyboard: false,
    icon: L.divIcon({ className: 'map-yard', iconSize: [YARD_PX, YARD_PX] }),
  })

/** @param corner  left and upper edge of the label from its place, pixels */
export const townLabel = (text: string, size: L.PointTuple, corner: L.Point): L.DivIcon =>
  L.divIcon({ className: 'map-town', html: spanOf(text), iconSize: size, iconAnchor: [-corner.x, -corner.y] })

/** What a press on a mark does, by pointer and by keys. @returns what takes it off again */
export function onPress(mark: L.Marker, act: () => void): () => void {
  const byKey = ({ originalEvent: { key } }: L.LeafletKeyboardEvent) => {
    if (key === 'Enter' || key === ' ') act()
  }
  mark.on('click', act).on('keypress', byKey)
  return () => {
    mark.off('click', act).off('keypress', byKey)
  }
}
