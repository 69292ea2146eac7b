import { type Texts } from '@/ui/kit/texts'
import { dimensionLine, DRAWING_LAYERS, type DrawnPoint, type Mark, type Sheet } from '@/core/drawing/sheet'
import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf'

const TEXT_HEIGHT_M = 0.06
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
}

/** A sheet as DXF in metres, one layer for each kind of thing. */
export function sheetDxf(sheet: Sheet, t: Texts): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Meters)
  for (const name of DRAWING_LAYERS) dxf.addLayer(name, LAYER_COLOUR[name] ?? 7, t('design.sheetDxf.continuous'))
  for (const mark of sheet.marks) drawMark(dxf, mark)
  return dxf.stringify()
}

const polyline = (dxf: DxfWriter, points: readonly DrawnPoint[], closed: boolean, layerName: string) =>
  dxf.addLWPolyline(
    points.map((p) => ({ point: point2d(p.xM, p.yM) })),
    { flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, layerName },
  )

const text = (dxf: DxfWriter, at: DrawnPoint, words: string, layerName: string) =>
  dxf.addText(point3d(at.xM, at.yM), TEXT_HEIGHT_M, words, { layerName })

function drawMark(dxf: DxfWriter, mark: Mark): void {
  switch (mark.kind) {
    case 'polygon':
      polyline(dxf, mark.points, true, mark.layer)
      return
    case 'line':
      polyline(dxf, mark.points, false, mark.layer)
      return
    case 'circle':
      dxf.addCircle(point3d(mark.centre.xM, mark.centre.yM), mark.radiusM, { layerName: mark.layer })
      return
    case 'text':
      text(dxf, mark.at, mark.text, mark.layer)
      return
    case 'dimension': {
      const [a, b] = dimensionLine(mark)
      polyline(dxf, [a, b], false, mark.layer)
      text(dxf, { xM: (a.xM + b.xM) / 2, yM: (a.yM + b.yM) / 2 }, mark.text, mark.layer)
    }
  }
}
