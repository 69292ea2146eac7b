import { fireEvent, render, screen } from '@testing-library/react'
import { useState } from 'react'
import { AsPerson } from '../../../tests/fixtures/person'
import { SHEET_WORDS } from '../../../tests/fixtures/sheet-words'
import { groundWith } from '../../../tests/fixtures/site-plan'
import { siteParts, type SitePartId } from '@/core/drawing/site-sheet'
import type { SiteObject } from '@/core/site-plan/site-survey'
import { SiteCanvas } from './site-canvas'
import { surveyItems } from './survey-items'

window.ResizeObserver = class {
  observe = () => undefined
  unobserve = () => undefined
  disconnect = () => undefined
}

const FIRST: readonly SiteObject[] = [
  { kind: 'tree', at: { xM: 9, yM: 0 }, crownM: 1 },
  { kind: 'supply', at: { xM: 3, yM: 7 } },
]

function Canvas() {
  const [objects, setObjects] = useState(FIRST)
  const [picked, setPicked] = useState<SitePartId | null>(null)
  const ground = groundWith(...objects)
  return (
    <AsPerson role="owner">
      <SiteCanvas
        ground={ground}
        parts={siteParts(ground, null, SHEET_WORDS)}
        items={surveyItems(ground.survey, ['maple', 'socket'], setObjects)}
        words={SHEET_WORDS}
        picked={picked}
        onPick={setPicked}
        focus="all"
      />
    </AsPerson>
  )
}

describe('the plan on the screen', () => {
  it('says where the picked part stands, before and after it is moved by keys, and never where another went', () => {
    render(<Canvas />)
    const [maple, socket] = ['maple', 'socket'].map((name) => screen.getByRole('button', { name }))
    fireEvent.focus(maple!)
    // the pond's right edge lies at x = 6
    expect(screen.getByRole('status')).toHaveTextContent(/^maple: 3\sm from the water/)
    fireEvent.keyDown(maple!, { key: 'ArrowRight' })
    expect(screen.getByRole('status')).toHaveTextContent(/^maple: 3\.1\sm from the water/)
    fireEvent.focus(socket!)
    expect(screen.getByRole('status')).toHaveTextContent(/^socket: 5\sm from the water/)
  })
  it('takes away what is picked by the Delete key', () => {
    render(<Canvas />)
    fireEvent.keyDown(screen.getByRole('button', { name: 'maple' }), { key: 'Delete' })
    expect(screen.getAllByRole('button', { name: /maple|socket/ })).toHaveLength(1)
  })
})
