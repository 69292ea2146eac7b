import type { MetadataRoute } from 'next'

/** The field sheet as an app on a phone's home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/field',
    name: 'Slow Reed field sheet',
    short_name: 'Field sheet',
    description: 'Today’s stops, step by step, with or without signal',
    start_url: '/field',
    scope: '/field',
    display: 'standalone',
    background_color: '#f6f1e4',
    theme_color: '#2f5d3a',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
  }
}
