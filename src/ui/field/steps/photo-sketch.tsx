'use client'
import { useTexts } from '@/ui/kit/texts'
import { useDrag } from '@use-gesture/react'
import { useEffect, useRef, useState } from 'react'
import type { VisitView } from '@/ui/field/device/device-view'
import { imageOf } from '@/ui/field/device/field-device'
import { useObjectUrl } from './photo-thumb'

interface PhotoSketchProps {
  readonly photo: VisitView['photos'][number]
  readonly onClose: () => void
  readonly onKeep: (sketch: Blob) => Promise<void>
}

type Stroke = readonly (readonly [x: number, y: number])[]
const LINE_PX = 7
const QUALITY = 0.85

/** A finger draws on a photo: where the leak is, which stone to move. The photo itself stays as it is. */
export function PhotoSketch({ photo, onClose, onKeep }: PhotoSketchProps) {
  const t = useTexts()

  const canvas = useRef<HTMLCanvasElement>(null)
  const picture = useRef<HTMLImageElement | null>(null)
  const [strokes, setStrokes] = useState<readonly Stroke[]>([])
  const [ready, setReady] = useState(false)
  const [keeping, setKeeping] = useState(false)
  const [image, setImage] = useState<ArrayBuffer | null | undefined>(photo.own ? undefined : null)
  const own = useObjectUrl(image)
  const sourceOf = () => {
    if (image === undefined) return null
    if (image) return own
    return `/api/v1/photos/${photo.id}`
  }
  const src = sourceOf()
  useEffect(() => {
    if (photo.own) void imageOf(photo.id).then(setImage)
  }, [photo])

  useEffect(() => {
    if (!src) return
    const image = new Image()
    image.onload = () => {
      picture.current = image
      const c = canvas.current!
      c.width = image.naturalWidth
      c.height = image.naturalHeight
      setReady(true)
    }
    image.src = src
  }, [src])
  useEffect(() => {
    if (ready) paint(canvas.current!, picture.current!, strokes)
  }, [ready, strokes])

  const finger = useDrag<PointerEvent>(
    ({ xy: [x, y], first, last, memo }) => {
      if (!ready) return
      const stroke: Stroke = [...(first || !memo ? [] : (memo as Stroke)), placeOn(canvas.current!, x, y)]
      if (!last) paint(canvas.current!, picture.current!, [...strokes, stroke])
      else if (stroke.length > 2) setStrokes([...strokes, stroke])
      return stroke
    },
    { pointer: { keys: false } },
  )
  const keep = () => {
    setKeeping(true)
    canvas.current!.toBlob((blob) => blob && void onKeep(blob), 'image/jpeg', QUALITY)
  }
  return (
    <div className="sketch" role="dialog" aria-label={t('field.photoSketch.drawPhoto')} aria-modal="true">
      <canvas ref={canvas} className="sketch-canvas" {...finger()} />
      {ready ? null : <p className="soft">{t('field.photoSketch.photoNotDeviceAny')}</p>}
      <div className="d-flex gap-2 p-2">
        <button
          type="button"
          className="btn btn-outline-secondary flex-grow-1"
          disabled={strokes.length === 0}
          onClick={() => setStrokes(strokes.slice(0, -1))}
        >
          {t('field.photoSketch.undo')}
        </button>
        <button type="button" className="btn btn-outline-secondary flex-grow-1" onClick={onClose}>
          {t('field.photoSketch.close')}
        </button>
        <button
          type="button"
          className="btn btn-primary flex-grow-1"
          disabled={strokes.length === 0 || keeping}
          onClick={keep}
        >
          {t('field.photoSketch.keepSketch')}
        </button>
      </div>
    </div>
  )
}

/** A place on the screen as a place on the photo, which stands as large as it can in the middle of its box. */
function placeOn(canvas: HTMLCanvasElement, x: number, y: number): readonly [number, number] {
  const { width, height } = canvas
  const box = canvas.getBoundingClientRect()
  const shown = Math.min(box.width / width, box.height / height)
  return [
    (x - box.left - (box.width - width * shown) / 2) / shown,
    (y - box.top - (box.height - height * shown) / 2) / shown,
  ]
}

function paint(canvas: HTMLCanvasElement, picture: HTMLImageElement, strokes: readonly Stroke[]): void {
  const context = canvas.getContext('2d')!
  context.drawImage(picture, 0, 0)
  // two lines on each other are seen on dark water and pale stone alike
  for (const [width, colour] of [
    [LINE_PX * 1.8, '#ffffff'],
    [LINE_PX, '#b3401f'],
  ] as const) {
    context.lineWidth = (width * canvas.width) / 1000
    context.strokeStyle = colour
    context.lineCap = 'round'
    context.lineJoin = 'round'
    for (const stroke of strokes) {
      context.beginPath()
      stroke.forEach(([x, y], i) => (i === 0 ? context.moveTo(x, y) : context.lineTo(x, y)))
      context.stroke()
    }
  }
}
