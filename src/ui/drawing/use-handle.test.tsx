import { act, fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { fitScale } from './to-scale'
import { useHandle, type Place } from './use-handle'

const FRAME = { widthPx: 400, heightPx: 200, marginPx: 0 }
// 40 px of the drawing to a metre, and the drawing is shown at half its size
const SCALE = fitScale(FRAME, { minX: 0, maxX: 10, minY: 0, maxY: 5 })
const SHOWN = { left: 0, top: 0, width: 200, height: 100 }

const said: { moved: Place[]; dropped: Place[]; held: boolean[]; picked: number } = {
  moved: [],
  dropped: [],
  held: [],
  picked: 0,
}
let settled: () => void = () => undefined

function Knob({ fixed = false }: { fixed?: boolean }) {
  const handle = useHandle({
    at: { xM: 2, yM: 3 },
    frame: FRAME,
    scale: SCALE,
    keyStepM: 0.1,
    onMove: fixed ? null : (to) => said.moved.push(to),
    onPick: () => (said.picked += 1),
    onDrop: (at) => {
      said.dropped.push(at)
      return new Promise<void>((resolve) => (settled = resolve))
    },
    onHold: (held) => said.held.push(held),
  })
  return (
    <svg>
      <g role="button" aria-label="Knob" {...handle} />
    </svg>
  )
}

const knob = () => screen.getByRole('button', { name: 'Knob' })
const press = (clientX: number, clientY: number) =>
  fireEvent.pointerDown(knob(), { pointerId: 1, buttons: 1, clientX, clientY })
const move = (clientX: number, clientY: number) =>
  fireEvent.pointerMove(knob(), { pointerId: 1, buttons: 1, clientX, clientY })
const letGo = (clientX: number, clientY: number) =>
  fireEvent.pointerUp(knob(), { pointerId: 1, buttons: 0, clientX, clientY })

beforeEach(() => {
  Object.assign(said, { moved: [], dropped: [], held: [], picked: 0 })
  jest.spyOn(SVGElement.prototype, 'getBoundingClientRect').mockReturnValue(SHOWN as DOMRect)
})

describe('something that is moved on a drawing', () => {
  it('goes as far in metres as the finger goes on the screen, from where it was, wherever it was taken hold of', async () => {
    render(<Knob />)
    press(50, 50)
    expect(knob()).toHaveAttribute('data-state', 'pointing')
    expect(said).toMatchObject({ picked: 1, held: [true], moved: [] })
    // 20 px of the screen are 40 px of the drawing, one metre; down is less
    move(70, 60)
    expect(knob()).toHaveAttribute('data-state', 'dragging')
    expect(said.moved.at(-1)!.xM).toBeCloseTo(3, 9)
    expect(said.moved.at(-1)!.yM).toBeCloseTo(2.5, 9)
    letGo(70, 60)
    expect(knob()).toHaveAttribute('data-state', 'settling')
    expect(said.held).toEqual([true, false])
    expect(said.dropped).toEqual([said.moved.at(-1)])
    await act(async () => settled())
    expect(knob()).toHaveAttribute('data-state', 'idle')
  })
  it('is picked, but neither moved nor kept anew, by a press that goes nowhere', () => {
    render(<Knob />)
    press(50, 50)
    letGo(50, 50)
    expect(said).toMatchObject({ picked: 1, moved: [], dropped: [], held: [true, false] })
    expect(knob()).toHaveAttribute('data-state', 'idle')
  })
  it('is carried by the arrow keys, five times as far by Page Up and Page Down', async () => {
    render(<Knob />)
    await userEvent.tab()
    expect(said.picked).toBe(1)
    await userEvent.keyboard('{ArrowRight}')
    expect(said.dropped.at(-1)!.xM).toBeCloseTo(2.1, 9)
    await userEvent.keyboard('{PageDown}')
    expect(said.dropped.at(-1)!.yM).toBeCloseTo(2.5, 9)
    await userEvent.keyboard('x')
    expect(said.dropped).toHaveLength(2)
  })
  it('stands still where it may only be picked', async () => {
    render(<Knob fixed />)
    press(50, 50)
    move(90, 50)
    letGo(90, 50)
    await userEvent.keyboard('{ArrowRight}')
    expect(said).toMatchObject({ moved: [], dropped: [] })
    expect(said.picked).toBeGreaterThan(0)
  })
})
