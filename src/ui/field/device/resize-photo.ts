const KEPT_EDGE_PX = 1600
const THUMBNAIL_EDGE_PX = 320
const QUALITY = { image: 0.82, thumbnail: 0.7 } as const

export interface ResizedPhoto {
  readonly image: ArrayBuffer
  readonly thumbnail: ArrayBuffer
  readonly width: number
  readonly height: number
}

/** Makes a camera's picture small on the device, upright and without its metadata. @throws when it is no picture */
export async function resizePhoto(file: Blob): Promise<ResizedPhoto> {
  const picture = await createImageBitmap(file)
  try {
    const image = await drawn(picture, KEPT_EDGE_PX, QUALITY.image)
    const thumbnail = await drawn(picture, THUMBNAIL_EDGE_PX, QUALITY.thumbnail)
    return { image: image.bytes, thumbnail: thumbnail.bytes, width: image.width, height: image.height }
  } finally {
    picture.close()
  }
}

async function drawn(picture: ImageBitmap, edge: number, quality: number) {
  const scale = Math.min(1, edge / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  const context = canvas.getContext('2d')!
  // what is transparent would turn black
  context.fillStyle = '#ffffff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(picture, 0, 0, canvas.width, canvas.height)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality))
  if (!blob) throw new Error('picture-not-drawn')
  return { bytes: await blob.arrayBuffer(), width: canvas.width, height: canvas.height }
}
