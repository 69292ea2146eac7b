'use client'
import { useEffect, useState } from 'react'
import type { VisitView } from '@/ui/field/device/device-view'

type Photo = VisitView['photos'][number]

/** An object's address for bytes of this device, given back when it is no longer shown. */
export function useObjectUrl(bytes: ArrayBuffer | null | undefined): string | null {
  const [url, setUrl] = useState<string | null>(null)
  useEffect(() => {
    if (!bytes) return
    const made = URL.createObjectURL(new Blob([bytes], { type: 'image/jpeg' }))
    // an address exists only in the browser and must be given back
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setUrl(made)
    return () => {
      URL.revokeObjectURL(made)
      setUrl(null)
    }
  }, [bytes])
  return url
}

/** A photo in small: from this device where it was taken here, else from the office. */
export function PhotoThumb({ photo, alt }: { photo: Photo; alt: string }) {
  const own = useObjectUrl(photo.own?.thumbnail)
  const src = photo.own ? own : `/api/v1/photos/${photo.id}?size=thumbnail`
  if (!src) return <span className="photo-thumb" />
  return (
    // photos come from this device or from the app's own API with the session; next/image can ask for neither
    // eslint-disable-next-line @next/next/no-img-element
    <img className="photo-thumb" src={src} alt={alt} width={104} height={78} />
  )
}
