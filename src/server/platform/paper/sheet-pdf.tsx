import { Circle, Path, Svg, Text } from '@react-pdf/renderer'
import { dimensionLine, type DrawnPoint, type Sheet } from '@/core/drawing/sheet'
import { plainMarks, type PlainMark } from '@/core/drawing/symbols'
import { layerInk, PAPER, paperFill } from '@/core/drawing/palette'

const TEXT_PT = 7
const ROOM_PT = { left: 36, right: 150, top: 16, bottom: 22 }

/** A sheet drawn into a width of a PDF page, fitted; for a true scale there are the SVG and the DXF. */
export function SheetPdf({ sheet, widthPt, maxHeightPt }: { sheet: Sheet; widthPt: number; maxHeightPt: number }) {
  const { bounds } = sheet
  const [w, h] = [Math.max(bounds.maxX - bounds.minX, 0.01), Math.max(bounds.maxY - bounds.minY, 0.01)]
  const pt = Math.min((widthPt - ROOM_PT.left - ROOM_PT.right) / w, (maxHeightPt - ROOM_PT.top - ROOM_PT.bottom) / h)
  const heightPt = h * pt + ROOM_PT.top + ROOM_PT.bottom
  const place = (p: DrawnPoint) => ({
    x: ROOM_PT.left + (p.xM - bounds.minX) * pt,
    y: ROOM_PT.top + (bounds.maxY - p.yM) * pt,
  })
  return (
    <Svg width={widthPt} height={heightPt} viewBox={`0 0 ${widthPt} ${heightPt}`}>
      {plainMarks(sheet.marks).map((mark, i) => (
        <MarkPdf key={i} mark={mark} place={place} pt={pt} />
      ))}
    </Svg>
  )
}

function MarkPdf({
  mark,
  place,
  pt,
}: {
  mark: PlainMark
  place: (p: DrawnPoint) => { x: number; y: number }
  pt: number
}) {
  const stroke = layerInk(mark.layer)
  const path = (points: readonly DrawnPoint[], close: boolean) =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${place(p).x.toFixed(2)} ${place(p).y.toFixed(2)}`).join('') +
    (close ? 'Z' : '')
  switch (mark.kind) {
    case 'polygon':
      return <Path d={path(mark.points, true)} fill={paperFill(mark.fill)} stroke={stroke} strokeWidth={0.7} />
    case 'line':
      return (
        <Path
          d={path(mark.points, false)}
          fill="none"
          stroke={stroke}
          strokeWidth={1}
          strokeDasharray={mark.dashed ? '4 3' : undefined}
        />
      )
    case 'circle':
      return (
        <Circle
          cx={place(mark.centre).x}
          cy={place(mark.centre).y}
          r={mark.radiusM * pt}
          fill={paperFill(mark.fill)}
          fillOpacity={0.6}
          stroke={stroke}
          strokeWidth={0.6}
        />
      )
    case 'text':
      return (
        <Words
          at={place(mark.at)}
          text={mark.text}
          anchor={mark.anchor}
          colour={mark.layer === 'LEVELS' ? stroke : PAPER.ink}
        />
      )
    case 'dimension': {
      const [a, b] = dimensionLine(mark)
      const [pa, pb] = [place(a), place(b)]
      return (
        <>
          <Path d={path([a, b], false)} fill="none" stroke={stroke} strokeWidth={0.5} />
          <Words
            at={{ x: (pa.x + pb.x) / 2 + 4, y: (pa.y + pb.y) / 2 - 3 }}
            text={mark.text}
            anchor="middle"
            colour={PAPER.ink}
          />
        </>
      )
    }
  }
}

function Words({
  at,
  text,
  anchor,
  colour,
}: {
  at: { x: number; y: number }
  text: string
  anchor: 'start' | 'middle' | 'end'
  colour: string
}) {
  return (
    <Text
      x={at.x}
      y={at.y + TEXT_PT / 3}
      textAnchor={anchor}
      fill={colour}
      style={{ fontFamily: 'Text', fontSize: TEXT_PT }}
    >
      {text}
    </Text>
  )
}
