'use client'
import L from 'leaflet'
import { useEffect, useEffectEvent, useState } from 'react'

/** What a popup is of, and where it points. */
export interface Pointed {
  readonly lat: number
  readonly lon: number
  /** Pixels from the place up to where the popup's tip is. */
  readonly above: number
}

/**
 * One popup on a map, whose content React draws.
 * @returns the element to draw into while one is open
 */
export function usePopup(map: L.Map | null, pointed: Pointed | null, onClosed: () => void): HTMLElement {
  const [content] = useState(() => document.createElement('div'))
  const closed = useEffectEvent(onClosed)
  // React has drawn into the element when this runs: the popup knows how large it is
  useEffect(() => {
    if (!map || !pointed) return
    const before = document.activeElement
    const popup = L.popup({ content, offset: [0, -pointed.above], minWidth: 220, maxWidth: 320 })
      .setLatLng([pointed.lat, pointed.lon])
      .openOn(map)
    popup.on('remove', () => {
      if (popup.getElement()?.contains(document.activeElement) && before instanceof HTMLElement) before.focus()
      closed()
    })
    // the map hears keys only while it is focused itself
    popup.getElement()?.addEventListener('keydown', (event) => {
      if (event.key === 'Escape') popup.close()
    })
    content.querySelector('a')?.focus({ preventScroll: true })
    return () => {
      popup.off('remove')
      popup.remove()
    }
  }, [map, pointed, content])
  return content
}
