import { act, fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { PhotoId, VisitId } from '@/domain/shared/ids'
import { PhotoSketch } from './photo-sketch'

const points: [number, number][] = []
const context = {
  drawImage: () => points.splice(0),
  beginPath: () => points.splice(0),
  moveTo: (x: number, y: number) => points.push([x, y]),
  lineTo: (x: number, y: number) => points.push([x, y]),
  stroke: () => undefined,
}

/** A photo of 1000 × 500 that is there at once. */
class PhotoAtHand {
  onload: (() => void) | null = null
  naturalWidth = 1000
  naturalHeight = 500
  set src(_: string) {
    queueMicrotask(() => this.onload?.())
  }
}

const BROWSERS_IMAGE = globalThis.Image
beforeEach(() => {
  points.splice(0)
  Object.assign(globalThis, { Image: PhotoAtHand })
  HTMLCanvasElement.prototype.getContext = (() => context) as never
  HTMLCanvasElement.prototype.toBlob = (give: BlobCallback) => give(new Blob(['sketch'], { type: 'image/jpeg' }))
  // the photo lies in the middle of a higher box: 400 × 200 of it are shown, 100 above and below are empty
  jest
    .spyOn(HTMLCanvasElement.prototype, 'getBoundingClientRect')
    .mockReturnValue({ left: 0, top: 0, width: 400, height: 400 } as DOMRect)
})
afterAll(() => Object.assign(globalThis, { Image: BROWSERS_IMAGE }))

const show = async () => {
  const [onClose, onKeep] = [jest.fn(), jest.fn().mockResolvedValue(undefined)]
  const photo = {
    id: 'f1' as PhotoId,
    visitId: 'v1' as VisitId,
    stepKey: 'arrive-photos',
    pairOf: null,
    sketchOf: null,
    own: null,
    width: 1000,
    height: 500,
    takenAt: '2027-03-20T09:00:00Z',
  }
  render(<PhotoSketch photo={photo} onClose={onClose} onKeep={onKeep} />)
  await act(async () => undefined)
  return { onClose, onKeep, canvas: document.querySelector('canvas')! }
}
const stroke = (canvas: Element, from: [number, number], ...way: [number, number][]) => {
  const at = ([clientX, clientY]: [number, number], buttons = 1) => ({ pointerId: 1, buttons, clientX, clientY })
  fireEvent.pointerDown(canvas, at(from))
  for (const place of way) fireEvent.pointerMove(canvas, at(place))
  fireEvent.pointerUp(canvas, at(way.at(-1) ?? from, 0))
}

describe('a sketch on a photo', () => {
  it('is drawn where the finger is, also where the photo is smaller than its box', async () => {
    const { canvas } = await show()
    stroke(canvas, [200, 200], [300, 250])
    expect(points[0]).toEqual([500, 250])
    expect(points).toContainEqual([750, 375])
  })
  it('keeps a stroke, takes it back, and keeps nothing of a mere touch', async () => {
    const { canvas, onKeep } = await show()
    const keep = screen.getByRole('button', { name: 'Save sketch' })
    stroke(canvas, [200, 200])
    expect(keep).toBeDisabled()
    stroke(canvas, [200, 200], [300, 250])
    expect(keep).toBeEnabled()
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(keep).toBeDisabled()
    stroke(canvas, [100, 150], [300, 250])
    await userEvent.click(keep)
    expect(onKeep).toHaveBeenCalledWith(expect.any(Blob))
  })
})
