import { dimensionLine, type DrawnPoint, type Sheet, type SheetWords } from './sheet'
import { plainMarks, type PlainMark } from './symbols'
import { layerInk, PAPER, paperFill } from './palette'

/** Paper sizes, mm, upright. */
export const PAPERS = {
  A4: [210, 297],
  A3: [297, 420],
  A2: [420, 594],
  Letter: [215.9, 279.4],
  Tabloid: [279.4, 431.8],
} as const
export type Paper = keyof typeof PAPERS

/** Scales drawings are printed at. */
export const DRAWING_SCALES = [5, 10, 20, 25, 50, 75, 100, 200, 500] as const

const MARGIN_MM = 12
const TITLE_MM = 16
const TEXT_MM = 2.6
/** Room that writing beside the outermost mark takes, mm. */
const TEXT_ROOM_MM = 46

/** The largest usual scale at which a sheet fits the paper lying on its side; the last one when none does. */
export function fittingScale(sheet: Sheet, paper: Paper): number {
  const [short, long] = PAPERS[paper]
  const [w, h] = [sheet.bounds.maxX - sheet.bounds.minX, sheet.bounds.maxY - sheet.bounds.minY]
  return (
    DRAWING_SCALES.find(
      (scale) =>
        (w * 1000) / scale + TEXT_ROOM_MM <= long - 2 * MARGIN_MM &&
        (h * 1000) / scale + 14 <= short - 2 * MARGIN_MM - TITLE_MM,
    ) ?? DRAWING_SCALES[DRAWING_SCALES.length - 1]!
  )
}

/** Where a sheet lies on paper on its side: millimetres of a metre, and of each place from the upper left corner. */
export function placedOnPaper({ bounds }: Sheet, paper: Paper, scale: number) {
  const [heightMm, widthMm] = PAPERS[paper]
  const mm = 1000 / scale
  const left = MARGIN_MM + Math.max(0, (widthMm - 2 * MARGIN_MM - TEXT_ROOM_MM - (bounds.maxX - bounds.minX) * mm) / 2)
  const top = MARGIN_MM + Math.max(0, (heightMm - 2 * MARGIN_MM - TITLE_MM - (bounds.maxY - bounds.minY) * mm) / 2)
  return {
    widthMm,
    heightMm,
    mm,
    place: (p: DrawnPoint) => ({ x: left + (p.xM - bounds.minX) * mm, y: top + (bounds.maxY - p.yM) * mm }),
  }
}

/** The longest round bar that fits beside the title, m. */
export const scaleBarM = (mm: number): number => [0.1, 0.2, 0.5, 1, 2, 5, 10].findLast((m) => m * mm <= 50) ?? 0.1

const escape = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')
const n = (value: number): string => Number(value.toFixed(3)).toString()

/**
 * A sheet as SVG whose millimetres are true: printed unscaled, 1 m measures 1000 / scale mm.
 * @param scale 20 for 1 : 20
 */
export function sheetSvg(
  sheet: Sheet,
  {
    paper,
    scale,
    subtitle,
    words,
  }: { paper: Paper; scale: number; subtitle: string; words: Pick<SheetWords, 'text' | 'scale'> },
): string {
  const { widthMm, heightMm, mm, place } = placedOnPaper(sheet, paper, scale)
  const body = plainMarks(sheet.marks)
    .map((mark) => markSvg(mark, place, mm))
    .join('\n')
  const barM = scaleBarM(mm)
  const y = heightMm - MARGIN_MM - 4
  const endNote = (note: string) =>
    `<text x="${n(widthMm - MARGIN_MM)}" y="${n(y + 4.5)}" text-anchor="end" fill="${PAPER.ink}">${escape(note)}</text>`
  const scaleBar = () => [
    `<g id="scale-bar"><path d="M${n(widthMm - MARGIN_MM - barM * mm)} ${n(y)}h${n(barM * mm)}m0 -1.5v3M${n(widthMm - MARGIN_MM - barM * mm)} ${n(y - 1.5)}v3" stroke="${PAPER.ink}" stroke-width="0.3"/>`,
    endNote(words.scale(scale, barM)),
    '</g>',
  ]
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(widthMm)}mm" height="${n(heightMm)}mm" viewBox="0 0 ${n(widthMm)} ${n(heightMm)}" font-family="sans-serif" font-size="${TEXT_MM}" fill="none" stroke-linejoin="round">`,
    `<title>${escape(sheet.title)}</title>`,
    `<rect width="100%" height="100%" fill="${PAPER.ground}"/>`,
    `<defs><marker id="arrow" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="6" markerHeight="6" orient="auto"><path d="M0 0L8 4L0 8z" fill="${PAPER.water}"/></marker></defs>`,
    body,
    `<g id="title"><path d="M${MARGIN_MM} ${n(heightMm - MARGIN_MM - TITLE_MM + 4)}H${n(widthMm - MARGIN_MM)}" stroke="${PAPER.ink}" stroke-width="0.3"/>`,
    `<text x="${MARGIN_MM}" y="${n(heightMm - MARGIN_MM - 5)}" fill="${PAPER.ink}" font-size="4.6">${escape(sheet.title)}</text>`,
    `<text x="${MARGIN_MM}" y="${n(heightMm - MARGIN_MM)}" fill="${PAPER.soft}">${escape(subtitle)}</text>`,
    ...(sheet.notToScale ? [endNote(words.text('not-to-scale'))] : scaleBar()),
    '</g>',
    '</svg>',
  ].join('\n')
}

type Place = (p: DrawnPoint) => { x: number; y: number }

const STROKE_MM: Readonly<Record<string, number>> = {
  OUTLINE: 0.5,
  WATER: 0.5,
  PIPE: 0.35,
  GROUND: 0.6,
  PLANTS: 0.25,
  LEVELS: 0.25,
}

function markSvg(mark: PlainMark, place: Place, mm: number): string {
  const line = `stroke="${layerInk(mark.layer)}" stroke-width="${STROKE_MM[mark.layer] ?? 0.2}" data-layer="${mark.layer}"`
  const path = (points: readonly DrawnPoint[]) =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${n(place(p).x)} ${n(place(p).y)}`).join('')
  switch (mark.kind) {
    case 'polygon':
      return `<path d="${path(mark.points)}Z" fill="${paperFill(mark.fill)}" ${line}/>`
    case 'line':
      return `<path d="${path(mark.points)}" ${line}${mark.dashed ? ' stroke-dasharray="2 1.2"' : ''}${mark.arrow ? ' marker-end="url(#arrow)"' : ''}/>`
    case 'circle': {
      const c = place(mark.centre)
      return `<circle cx="${n(c.x)}" cy="${n(c.y)}" r="${n(mark.radiusM * mm)}" fill="${paperFill(mark.fill)}" fill-opacity="0.7" ${line}/>`
    }
    case 'text': {
      const at = place(mark.at)
      return `<text x="${n(at.x)}" y="${n(at.y + TEXT_MM / 3)}" text-anchor="${mark.anchor}" fill="${mark.layer === 'LEVELS' ? PAPER.levels : PAPER.ink}" data-layer="${mark.layer}">${escape(mark.text)}</text>`
    }
    case 'dimension': {
      const [a, b] = dimensionLine(mark).map(place)
      const angle = (Math.atan2(b!.y - a!.y, b!.x - a!.x) * 180) / Math.PI
      const upright = angle > 90 || angle <= -90 ? angle + 180 : angle
      const tick = (p: { x: number; y: number }) => `M${n(p.x - 0.8)} ${n(p.y + 0.8)}L${n(p.x + 0.8)} ${n(p.y - 0.8)}`
      const [mx, my] = [(a!.x + b!.x) / 2, (a!.y + b!.y) / 2]
      return `<g data-layer="DIMENSIONS"><path d="M${n(a!.x)} ${n(a!.y)}L${n(b!.x)} ${n(b!.y)}${tick(a!)}${tick(b!)}" stroke="${PAPER.soft}" stroke-width="0.2"/><text transform="translate(${n(mx)} ${n(my)}) rotate(${n(upright)})" y="-1" text-anchor="middle" fill="${PAPER.ink}">${escape(mark.text)}</text></g>`
    }
  }
}
