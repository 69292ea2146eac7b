import type { MetadataRoute } from 'next'
import { SHARE_FIELD, SHARE_PATH } from '@/domain/field/share-target'
import { firmTexts } from '@/messages/texts'
import { PALETTE } from '@/core/drawing/palette'

/** The field sheet as an app on a phone's home screen. */
export default function manifest(): MetadataRoute.Manifest {
  const t = firmTexts()
  return {
    id: '/field',
    name: t('shell.app.fieldName'),
    short_name: t('shell.app.fieldShortName'),
    description: t('shell.app.fieldDescription'),
    start_url: '/field',
    scope: '/field',
    display: 'standalone',
    share_target: {
      action: SHARE_PATH,
      method: 'POST',
      enctype: 'multipart/form-data',
      params: { files: [{ name: SHARE_FIELD, accept: ['image/*'] }] },
    },
    background_color: PALETTE.light.body,
    theme_color: PALETTE.light.reed,
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
      { src: '/icons/app-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
      { src: '/icons/app-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
      { src: '/icons/app-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  }
}
