import { type Texts } from '@/ui/kit/texts'
import { dimensionLine, DRAWING_LAYERS, type DrawnPoint, type Sheet } from '@/core/drawing/sheet'
import { symbolMarks, SYMBOLS, type PlainMark } from '@/core/drawing/symbols'
import {
  type DxfBlock,
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units,
} from '@tarikjabiri/dxf'

/** Writing on paper is 2.6 mm high; at the scale a sheet is usually plotted at, that is so much of the drawing. */
const TEXT_SHARE = 0.008
const LEAST_TEXT_M = 0.03
/** Index colours of the format: white, red, cyan and so on. */
const LAYER_COLOUR: Readonly<Record<string, number>> = {
  OUTLINE: 7,
  STONE: 8,
  MODULES: 4,
  WATER: 5,
  PIPE: 6,
  PLANTS: 3,
  DIMENSIONS: 2,
  LEVELS: 1,
  TEXT: 7,
  GROUND: 30,
  SITE: 8,
  SERVICES: 1,
  TREES: 3,
}
const ANCHOR = {
  start: TextHorizontalAlignment.Left,
  middle: TextHorizontalAlignment.Center,
  end: TextHorizontalAlignment.Right,
} as const

const DIMENSION_STYLE = 'PLAN'

const blockName = (symbol: string): string => symbol.toUpperCase()

/** A sheet as DXF in metres: a layer for each kind of thing, dimensions that measure, a block for each symbol. */
export function sheetDxf(sheet: Sheet, t: Texts): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Meters)
  for (const name of DRAWING_LAYERS) dxf.addLayer(name, LAYER_COLOUR[name] ?? 7, t('design.sheetDxf.continuous'))
  const { bounds } = sheet
  const textM = Math.max(LEAST_TEXT_M, TEXT_SHARE * Math.max(bounds.maxX - bounds.minX, bounds.maxY - bounds.minY))
  const style = dxf.tables.dimStyleTable.addDimStyle(DIMENSION_STYLE)
  style.DIMTXT = textM
  style.DIMASZ = textM
  const used = SYMBOLS.filter((symbol) => sheet.marks.some((m) => m.kind === 'symbol' && m.symbol === symbol))
  for (const symbol of used) {
    const block = dxf.addBlock(blockName(symbol))
    for (const mark of symbolMarks({ kind: 'symbol', layer: 'PIPE', symbol, at: { xM: 0, yM: 0 }, radiusM: 1 }))
      drawMark(block, mark, textM)
  }
  for (const mark of sheet.marks) {
    if (mark.kind === 'symbol')
      dxf.addInsert(blockName(mark.symbol), point3d(mark.at.xM, mark.at.yM), {
        layerName: mark.layer,
        scaleFactor: { x: mark.radiusM, y: mark.radiusM, z: 1 },
      })
    else drawMark(dxf, mark, textM)
  }
  return dxf.stringify()
}

const polyline = (to: DxfWriter | DxfBlock, points: readonly DrawnPoint[], closed: boolean, layerName: string) =>
  to.addLWPolyline(
    points.map((p) => ({ point: point2d(p.xM, p.yM) })),
    { flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, layerName },
  )

function drawMark(to: DxfWriter | DxfBlock, mark: PlainMark, textM: number): void {
  switch (mark.kind) {
    case 'polygon':
      polyline(to, mark.points, true, mark.layer)
      return
    case 'line':
      polyline(to, mark.points, false, mark.layer)
      return
    case 'circle':
      to.addCircle(point3d(mark.centre.xM, mark.centre.yM), mark.radiusM, { layerName: mark.layer })
      return
    case 'text': {
      const at = point3d(mark.at.xM, mark.at.yM)
      to.addText(at, textM, mark.text, {
        layerName: mark.layer,
        horizontalAlignment: ANCHOR[mark.anchor],
        verticalAlignment: TextVerticalAlignment.Middle,
        secondAlignmentPoint: at,
      })
      return
    }
    case 'dimension': {
      const [a, b] = dimensionLine(mark)
      to.addAlignedDim(point3d(mark.from.xM, mark.from.yM), point3d(mark.to.xM, mark.to.yM), {
        layerName: mark.layer,
        definitionPoint: point3d(b.xM, b.yM),
        middlePoint: point3d((a.xM + b.xM) / 2, (a.yM + b.yM) / 2),
        text: mark.text,
        ActualMeasurement: Math.hypot(mark.to.xM - mark.from.xM, mark.to.yM - mark.from.yM),
        styleName: DIMENSION_STYLE,
      })
    }
  }
}
