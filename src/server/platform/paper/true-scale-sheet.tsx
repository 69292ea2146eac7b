import { Circle, G, Path, Svg, Text } from '@react-pdf/renderer'
import { dimensionLine, type DrawnPoint, type Sheet, type SheetWords } from '@/core/drawing/sheet'
import { layerInk, PAPER, paperFill } from '@/core/drawing/palette'
import { placedOnPaper, scaleBarM, type Paper } from '@/core/drawing/svg'
import { plainMarks, type PlainMark } from '@/core/drawing/symbols'

export const PT_PER_MM = 72 / 25.4
const TEXT_PT = 2.6 * PT_PER_MM
const MARGIN_PT = 12 * PT_PER_MM

interface TrueScaleSheetProps {
  readonly sheet: Sheet
  readonly paper: Paper
  /** 50 for 1 : 50. */
  readonly scale: number
  readonly subtitle: string
  readonly words: Pick<SheetWords, 'text' | 'scale'>
}

type Placed = (p: DrawnPoint) => { x: number; y: number }

/** A sheet that fills a page on its side; printed unscaled, 1 m measures 1000 / scale mm. */
export function TrueScaleSheet({ sheet, paper, scale, subtitle, words }: TrueScaleSheetProps) {
  const { widthMm, heightMm, mm, place } = placedOnPaper(sheet, paper, scale)
  const [w, h] = [widthMm * PT_PER_MM, heightMm * PT_PER_MM]
  const at: Placed = (p) => {
    const { x, y } = place(p)
    return { x: x * PT_PER_MM, y: y * PT_PER_MM }
  }
  const barM = scaleBarM(mm)
  const barPt = barM * mm * PT_PER_MM
  const baseY = h - MARGIN_PT
  const note = sheet.notToScale ? words.text('not-to-scale') : words.scale(scale, barM)
  return (
    <Svg width={w} height={h} viewBox={`0 0 ${w} ${h}`}>
      {plainMarks(sheet.marks).map((mark, i) => (
        <MarkAt key={i} mark={mark} at={at} ptPerM={mm * PT_PER_MM} />
      ))}
      <Path d={`M${MARGIN_PT} ${baseY - 26}H${w - MARGIN_PT}`} stroke={PAPER.ink} strokeWidth={0.8} />
      <Text x={MARGIN_PT} y={baseY - 10} fill={PAPER.ink} style={{ fontFamily: 'Title', fontSize: 13 }}>
        {sheet.title}
      </Text>
      <Words x={MARGIN_PT} y={baseY + 2} text={subtitle} colour={PAPER.soft} />
      {sheet.notToScale ? null : (
        <Path
          d={`M${w - MARGIN_PT - barPt} ${baseY - 12}h${barPt}m0 -3v6M${w - MARGIN_PT - barPt} ${baseY - 15}v6`}
          stroke={PAPER.ink}
          strokeWidth={0.8}
        />
      )}
      <Words x={w - MARGIN_PT} y={baseY + 2} text={note} colour={PAPER.ink} anchor="end" />
    </Svg>
  )
}

function MarkAt({ mark, at, ptPerM }: { mark: PlainMark; at: Placed; ptPerM: number }) {
  const stroke = layerInk(mark.layer)
  const path = (points: readonly DrawnPoint[], close: boolean) =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${at(p).x.toFixed(2)} ${at(p).y.toFixed(2)}`).join('') +
    (close ? 'Z' : '')
  switch (mark.kind) {
    case 'polygon':
      return <Path d={path(mark.points, true)} fill={paperFill(mark.fill)} stroke={stroke} strokeWidth={0.9} />
    case 'line':
      return (
        <G>
          <Path
            d={path(mark.points, false)}
            fill="none"
            stroke={stroke}
            strokeWidth={mark.layer === 'PIPE' ? 1.3 : 0.9}
            strokeDasharray={mark.dashed ? '5 3' : undefined}
          />
          {mark.arrow ? (
            <ArrowHead from={at(mark.points.at(-2)!)} to={at(mark.points.at(-1)!)} colour={stroke} />
          ) : null}
        </G>
      )
    case 'circle':
      return (
        <Circle
          cx={at(mark.centre).x}
          cy={at(mark.centre).y}
          r={Math.max(1.5, mark.radiusM * ptPerM)}
          fill={paperFill(mark.fill)}
          stroke={stroke}
          strokeWidth={0.7}
        />
      )
    case 'text':
      return (
        <Words
          x={at(mark.at).x}
          y={at(mark.at).y + TEXT_PT / 3}
          text={mark.text}
          anchor={mark.anchor}
          colour={mark.layer === 'LEVELS' ? stroke : PAPER.ink}
        />
      )
    case 'dimension': {
      const [a, b] = dimensionLine(mark)
      const [pa, pb] = [at(a), at(b)]
      return (
        <G>
          <Path d={path([a, b], false)} fill="none" stroke={PAPER.soft} strokeWidth={0.5} />
          {[pa, pb].map((p, i) => (
            <Path key={i} d={`M${p.x - 2} ${p.y + 2}l4 -4`} stroke={PAPER.soft} strokeWidth={0.6} />
          ))}
          <Words
            x={(pa.x + pb.x) / 2}
            y={(pa.y + pb.y) / 2 - 2.5}
            text={mark.text}
            anchor="middle"
            colour={PAPER.ink}
          />
        </G>
      )
    }
  }
}

const HEAD_PT = 5

function ArrowHead({
  from,
  to,
  colour,
}: {
  from: { x: number; y: number }
  to: { x: number; y: number }
  colour: string
}) {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
  const [ux, uy] = [((to.x - from.x) / length) * HEAD_PT, ((to.y - from.y) / length) * HEAD_PT]
  const side = (sign: 1 | -1) => `${to.x - ux + (sign * -uy) / 2} ${to.y - uy + (sign * ux) / 2}`
  return <Path d={`M${to.x} ${to.y}L${side(1)}L${side(-1)}Z`} fill={colour} />
}

interface WordsProps {
  readonly x: number
  readonly y: number
  readonly text: string
  readonly colour: string
  readonly anchor?: 'start' | 'middle' | 'end'
}

function Words({ x, y, text, colour, anchor = 'start' }: WordsProps) {
  return (
    <Text x={x} y={y} textAnchor={anchor} fill={colour} style={{ fontFamily: 'Text', fontSize: TEXT_PT }}>
      {text}
    </Text>
  )
}
