'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { BED_SHAPES, RECTANGLE, type BedShape } from '@/core/filter/bed/bed-shape'
import { maybeFree } from '@/core/filter/bed/bed-outline'
import type { SitePartId } from '@/core/drawing/site-sheet'
import { placedParts } from '@/core/site-plan/layout'
import { onShore } from '@/core/site-plan/snap'
import type { SiteLayout, StreamPlace } from '@/core/site-plan/site-layout'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { orNaN } from '@/ui/or-nan'
import type { DesignPart } from '../use-design'

interface LayoutFieldsProps extends DesignPart {
  readonly layout: SiteLayout
  readonly picked: SitePartId | null
  readonly onPick: (id: SitePartId) => void
  readonly onLayout: (layout: SiteLayout | null, what?: string) => void
}

const SHAPE_NAMES = {
  rectangle: textId('sitePlan.shapes.rectangle'),
  'half-round': textId('sitePlan.shapes.halfRound'),
  kidney: textId('sitePlan.shapes.kidney'),
  corners: textId('sitePlan.shapes.corners'),
} as const

/** A shape to begin with where it is chosen. */
const FIRST_SHAPES: Readonly<Record<(typeof BED_SHAPES)[number], BedShape>> = {
  rectangle: RECTANGLE,
  'half-round': { kind: 'half-round' },
  kidney: { kind: 'kidney', waistShare: 0.65 },
  // a rectangle with one corner cut off: something to pull at
  corners: {
    kind: 'corners',
    corners: [
      { xM: 0, yM: 0 },
      { xM: 1, yM: 0 },
      { xM: 1, yM: 1 },
      { xM: 0.25, yM: 1 },
      { xM: 0, yM: 0.75 },
    ],
  },
}

const FIRST_STREAM = { widthM: 0.8, depthM: 0.08 } as const

/** Shape and turn of the bed, the stream back to the pond, and what is taken away again. */
export function LayoutFields(props: LayoutFieldsProps) {
  const { bed, set, errorOf, layout, onLayout } = props
  const t = useTexts()
  return (
    <section className="sheet">
      <h2>{t('sitePlan.layout.bedAndReturn')}</h2>
      <div className="field-grid">
        {maybeFree(bed) ? (
          <ChoiceField
            label={t('sitePlan.layout.shape')}
            value={bed.shape.kind}
            onChange={(e) => set({ shape: FIRST_SHAPES[e.target.value as keyof typeof FIRST_SHAPES] })}
            options={BED_SHAPES.map((value) => ({ value, label: t(SHAPE_NAMES[value]) }))}
          />
        ) : null}
        {bed.shape.kind === 'kidney' && maybeFree(bed) ? (
          <QuantityField
            label={t('sitePlan.layout.waist')}
            kind="share"
            value={bed.shape.waistShare}
            onChange={(v) => set({ shape: { kind: 'kidney', waistShare: orNaN(v) } }, 'waist')}
            error={errorOf('shape.waistShare')}
          />
        ) : null}
        <QuantityField
          label={t('sitePlan.layout.turn')}
          kind="number"
          value={layout.bed.turnDeg}
          onChange={(v) => onLayout({ ...layout, bed: { ...layout.bed, turnDeg: orNaN(v) } }, 'turn')}
          error={errorOf('layout.bed.turnDeg')}
        />
      </div>
      {bed.shape.kind === 'corners' && maybeFree(bed) ? <ShapeCorners {...props} corners={bed.shape.corners} /> : null}
      <StreamFields {...props} />
      <button type="button" className="btn btn-sm btn-outline-secondary mt-3" onClick={() => onLayout(null)}>
        {t('sitePlan.layout.removeLayout')}
      </button>
    </section>
  )
}

/** Corners of a free bed, measured along and across its box. */
function ShapeCorners({
  bed,
  set,
  errorOf,
  corners,
}: LayoutFieldsProps & { corners: readonly { xM: number; yM: number }[] }) {
  const t = useTexts()
  const put = (next: typeof corners, what: string) => set({ shape: { kind: 'corners', corners: next } }, what)
  return (
    <div className="corner-list mt-2">
      {corners.map((corner, i) => (
        <div key={i} className="repeat-row" style={{ gridTemplateColumns: '1fr 1fr 2.4rem 2.4rem' }}>
          <QuantityField
            label={t('sitePlan.layout.cornerAlong', { number: i + 1 })}
            kind="length"
            value={corner.xM * bed.lengthM}
            onChange={(v) => put(corners.with(i, { ...corner, xM: orNaN(v) / bed.lengthM }), `cornerX${i}`)}
            error={errorOf(`shape.corners.${i}.xM`)}
          />
          <QuantityField
            label={t('sitePlan.layout.cornerAcross', { number: i + 1 })}
            kind="length"
            value={corner.yM * bed.widthM}
            onChange={(v) => put(corners.with(i, { ...corner, yM: orNaN(v) / bed.widthM }), `cornerY${i}`)}
            error={errorOf(`shape.corners.${i}.yM`)}
          />
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-end"
            aria-label={t('sitePlan.layout.addCornerAfter', { number: i + 1 })}
            onClick={() => {
              const next = corners[(i + 1) % corners.length]!
              put(corners.toSpliced(i + 1, 0, { xM: (corner.xM + next.xM) / 2, yM: (corner.yM + next.yM) / 2 }), '')
            }}
          >
            {'+'}
          </button>
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary align-self-end"
            aria-label={t('sitePlan.layout.removeCorner', { number: i + 1 })}
            disabled={corners.length <= 3}
            onClick={() => put(corners.toSpliced(i, 1), '')}
          >
            ×
          </button>
        </div>
      ))}
      {errorOf('shape.corners') ? <p className="field-error">{errorOf('shape.corners')}</p> : null}
    </div>
  )
}

function StreamFields({ bed, data, layout, errorOf, onLayout, onPick }: LayoutFieldsProps) {
  const t = useTexts()
  const { stream } = layout
  const shore = data.designPond.ground!.outline
  const addStream = () => {
    const { outlet } = placedParts(bed, layout, shore)
    const mouth: StreamPlace = { at: onShore(outlet, shore), widthM: FIRST_STREAM.widthM, dropM: bed.falls?.dropM ?? 0 }
    onLayout({ ...layout, stream: { places: [mouth], depthM: FIRST_STREAM.depthM } })
    onPick('return')
  }
  if (!stream)
    return (
      <button type="button" className="btn btn-sm btn-outline-primary mt-2" onClick={addStream}>
        {t('sitePlan.layout.addStream')}
      </button>
    )
  const place = (i: number, change: Partial<StreamPlace>, what: string) =>
    onLayout(
      { ...layout, stream: { ...stream, places: stream.places.with(i, { ...stream.places[i]!, ...change }) } },
      `${what}${i}`,
    )
  return (
    <fieldset>
      <legend>{t('sitePlan.layout.stream')}</legend>
      <div className="field-grid">
        <QuantityField
          label={t('sitePlan.layout.streamDepth')}
          kind="length"
          scale="small"
          value={stream.depthM}
          onChange={(v) => onLayout({ ...layout, stream: { ...stream, depthM: orNaN(v) } }, 'depth')}
          error={errorOf('layout.stream.depthM')}
        />
      </div>
      {stream.places.map((p, i) => (
        <div key={i} className="field-grid mt-1">
          <QuantityField
            label={t('sitePlan.layout.widthAt', { number: i + 1 })}
            kind="length"
            value={p.widthM}
            onChange={(v) => place(i, { widthM: orNaN(v) }, 'width')}
            error={errorOf(`layout.stream.places.${i}.widthM`)}
          />
          <QuantityField
            label={t('sitePlan.layout.dropAt', { number: i + 1 })}
            kind="length"
            scale="small"
            value={p.dropM}
            onChange={(v) => place(i, { dropM: orNaN(v) }, 'drop')}
            error={errorOf(`layout.stream.places.${i}.dropM`)}
          />
        </div>
      ))}
      <button
        type="button"
        className="btn btn-sm btn-outline-secondary mt-2"
        onClick={() => onLayout({ ...layout, stream: null })}
      >
        {t('sitePlan.layout.removeStream')}
      </button>
    </fieldset>
  )
}
