import { bedOutline } from '../filter/bed/bed-outline'
import { bedSectionOf, type BedSectionGeometry } from './bed-section'
import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import { BED_MATERIALS } from '../filter/bed/layers'
import { patchRadiusM } from '../plants/planting'
import { crossings } from '../survey/section'
import { plantSpecies } from '../plants/species'
import { circlePoints, middleOf, patchShapes, type PatchGround } from './patch-shapes'
import { dimension, label, rectangle, sheetOf, type DrawnPoint, type Mark, type Sheet, type SheetWords } from './sheet'

const VESSEL_GAP_M = 0.25

/** Plan of the filter: bed or vessels, distribution pipe, vault, way back, plants, north. */
export function planSheet(design: FilterDesign, words: SheetWords): Sheet {
  if (design.type === 'none') return sheetOf(words.text('plan'), [label(0, 0, words.text('no-filter'))])
  const { lengthM, widthM } = design
  const pipeR = design.manifold.diameterM / 2
  const marks: Mark[] = []
  const step = (design.round ? lengthM : widthM) + VESSEL_GAP_M
  for (let i = 0; i < design.vessels; i++) {
    const y0 = i * step
    if (design.round)
      marks.push({
        kind: 'polygon',
        layer: 'OUTLINE',
        points: circlePoints(lengthM / 2, y0 + lengthM / 2, lengthM / 2),
        fill: 'gravel',
      })
    else
      marks.push({
        kind: 'polygon',
        layer: 'OUTLINE',
        points: bedOutline(design).map(({ xM, yM }) => ({ xM, yM: yM + y0 })),
        fill: 'gravel',
      })
    if (design.feed !== 'chamber' && !design.round) marks.push(...feedPipes(design, y0, pipeR))
  }
  const spanY = (design.vessels - 1) * step + (design.round ? lengthM : widthM)
  if (design.vault && !FILTER_TYPE_FACTS[design.type].vessels)
    marks.push(
      {
        kind: 'circle',
        layer: 'PIPE',
        centre: { xM: -design.vault.diameterM / 2, yM: widthM / 2 },
        radiusM: design.vault.diameterM / 2,
        fill: 'water',
      },
      label(-design.vault.diameterM / 2, widthM / 2 + design.vault.diameterM / 2 + 0.08, words.text('vault'), 'middle'),
    )
  marks.push(...plantMarks(design, { lengthM, widthM: spanY, round: design.round && design.vessels === 1 }, words))
  marks.push(...wayBack(design, lengthM, widthM, spanY))
  marks.push(...northArrow(design.northDeg, words, lengthM + 1.1, spanY))
  const gap = Math.max(0.25, 0.06 * Math.max(lengthM, spanY))
  marks.push(dimension({ xM: 0, yM: 0 }, { xM: lengthM, yM: 0 }, -gap, words.length(lengthM)))
  marks.push(
    dimension(
      { xM: lengthM, yM: 0 },
      { xM: lengthM, yM: design.round ? lengthM : widthM },
      -0.75,
      words.length(design.round ? lengthM : widthM),
    ),
  )
  return sheetOf(words.text('plan'), marks)
}

/** Groups of plants, none over another and none beyond the bed. */
function plantMarks({ planting }: FilterDesign, ground: PatchGround, words: SheetWords): Mark[] {
  const placed = planting.flatMap(({ species: key, count, xM, yM }) => {
    const species = plantSpecies(key)
    if (!species || xM > ground.lengthM || yM > ground.widthM) return []
    const radiusM = Math.min(patchRadiusM(species, count), Math.min(ground.lengthM, ground.widthM) / 2)
    return [{ xM, yM, radiusM, name: `${count} ${words.species(species.key)}` }]
  })
  return patchShapes(placed, ground).flatMap((points, i): Mark[] => {
    const at = middleOf(points)
    return at
      ? [
          { kind: 'polygon', layer: 'PLANTS', points, fill: 'plant' },
          label(at.xM, at.yM, placed[i]!.name, 'middle', 'PLANTS'),
        ]
      : []
  })
}

function feedPipes(design: FilterDesign, y0: number, pipeR: number): Mark[] {
  const { lengthM, widthM } = design
  if (FILTER_TYPE_FACTS[design.type].path === 'along')
    return [0.08, lengthM - 0.08].map((x) => ({
      kind: 'line',
      layer: 'PIPE',
      points: [
        { xM: x, yM: y0 + 0.05 },
        { xM: x, yM: y0 + widthM - 0.05 },
      ],
    }))
  const { laterals } = design.manifold
  const outline = bedOutline(design)
  return Array.from({ length: laterals }, (_, i) => (widthM * (i + 0.5)) / laterals).flatMap((y): Mark[] => {
    // a pipe ends where a free shape does
    const xs = crossings(outline, y)
    const [from, to] = xs.length > 1 ? [Math.min(...xs), Math.max(...xs)] : [0, lengthM]
    return [y - pipeR, y + pipeR].map((edge) => ({
      kind: 'line',
      layer: 'PIPE',
      points: [
        { xM: from, yM: y0 + edge },
        { xM: to - 0.1, yM: y0 + edge },
      ],
    }))
  })
}

/** Falls lip or return pipes at the far end, with the direction of flow. */
function wayBack(design: FilterDesign, lengthM: number, widthM: number, spanY: number): Mark[] {
  const middle = (FILTER_TYPE_FACTS[design.type].vessels ? spanY : widthM) / 2
  const flow: Mark = {
    kind: 'line',
    layer: 'WATER',
    points: [
      { xM: lengthM + 0.05, yM: middle },
      { xM: lengthM + 0.45, yM: middle },
    ],
    arrow: true,
  }
  if (design.falls) {
    const half = Math.min(design.falls.widthM, spanY) / 2
    return [
      {
        kind: 'line',
        layer: 'WATER',
        points: [
          { xM: lengthM, yM: middle - half },
          { xM: lengthM, yM: middle + half },
        ],
      },
      flow,
    ]
  }
  if (!FILTER_TYPE_FACTS[design.type].pipedOutlet) return [flow]
  const gap = design.outlet.diameterM * 1.6
  const pipes = Array.from({ length: design.outlet.count }, (_, i): Mark => {
    const y = middle + (i - (design.outlet.count - 1) / 2) * gap
    const r = design.outlet.diameterM / 2
    return {
      kind: 'polygon',
      layer: 'PIPE',
      points: rectangle(lengthM, y - r, lengthM + Math.min(design.outlet.lengthM, 0.5), y + r),
      fill: 'water',
    }
  })
  return [...pipes, { ...flow, points: flow.points.map((p) => ({ ...p, xM: p.xM + 0.5 })) }]
}

const NORTH_M = 0.35

/** An arrow to the north; degrees clockwise from up the page. */
export function northArrow(northDeg: number, words: SheetWords, xM: number, yM: number): Mark[] {
  const angle = (northDeg * Math.PI) / 180
  const [dx, dy] = [Math.sin(angle) * NORTH_M, Math.cos(angle) * NORTH_M]
  const foot = { xM, yM: yM - NORTH_M }
  return [
    {
      kind: 'line',
      layer: 'TEXT',
      points: [
        { xM: foot.xM - dx, yM: foot.yM - dy },
        { xM: foot.xM + dx, yM: foot.yM + dy },
      ],
      arrow: true,
    },
    label(foot.xM + dx * 1.35, foot.yM + dy * 1.35, words.text('north'), 'middle'),
  ]
}

/** Long section through the middle of the bed, true to scale both ways. Level 0 is the bed's base. */
export function sectionSheet(design: FilterDesign, words: SheetWords): Sheet {
  if (design.type === 'none') return sheetOf(words.text('long-section'), [label(0, 0, words.text('no-bed'))])
  const section = bedSectionOf(design)
  const { lengthM, depthM } = section
  return sheetOf(words.text('long-section'), [
    ...layerMarks(section, words),
    ...shellMarks(section, words),
    ...levelMarks(section, design.raisedM, words),
    ...waterMarks(section, words),
    dimension({ xM: 0, yM: 0 }, { xM: lengthM, yM: 0 }, -0.22, words.length(lengthM)),
    dimension(
      { xM: lengthM, yM: 0 },
      { xM: lengthM, yM: depthM },
      -Math.max(0.2, lengthM * 0.035),
      words.length(depthM),
    ),
  ])
}

function layerMarks({ bands, lengthM }: BedSectionGeometry, words: SheetWords): Mark[] {
  const nameX = lengthM + Math.max(0.8, lengthM * 0.12)
  return bands.flatMap(({ material, baseM, topM }): Mark[] => {
    const { granular } = BED_MATERIALS[material]
    return [
      {
        kind: 'polygon',
        layer: granular ? 'STONE' : 'MODULES',
        points: rectangle(0, baseM, lengthM, topM),
        fill: granular ? material : 'modules',
      },
      label(nameX, (baseM + topM) / 2, `${words.length(topM - baseM)} ${words.material(material)}`),
    ]
  })
}

/** Liner, walls, and the way out at the far end. */
function shellMarks({ liner, walls, outlet, falls, lengthM, waterM }: BedSectionGeometry, words: SheetWords): Mark[] {
  return [
    ...(liner.length > 0 ? [{ kind: 'line', layer: 'OUTLINE', points: liner } as const] : []),
    ...walls.map((points): Mark => ({ kind: 'polygon', layer: 'OUTLINE', points, fill: 'wall' })),
    ...(outlet
      ? [
          { kind: 'polygon', layer: 'PIPE', points: outlet, fill: 'water' } as const,
          label(outlet[1]!.xM, waterM + 0.12, words.text('return'), 'end'),
        ]
      : []),
    ...(falls
      ? [
          { kind: 'line', layer: 'WATER', points: falls, arrow: true } as const,
          label(lengthM + 0.05, waterM + 0.05, words.text('falls'), 'start'),
        ]
      : []),
  ]
}

/** Water, ground, and the level to which the bed drains back. */
function levelMarks(section: BedSectionGeometry, raisedM: number, words: SheetWords): Mark[] {
  const { lengthM, depthM, waterM, airBreakM, vault } = section
  // the ground begins beside the vault, not in it
  const edgeM = vault ? vault[0]!.xM : 0
  const ground = depthM - raisedM + (raisedM > 0 ? 0 : 0.05)
  const level = (layer: 'WATER' | 'GROUND' | 'LEVELS', from: number, to: number, yM: number): Mark => ({
    kind: 'line',
    layer,
    points: [
      { xM: from, yM },
      { xM: to, yM },
    ],
    ...(layer === 'LEVELS' ? { dashed: true } : {}),
  })
  return [
    level('WATER', 0, lengthM, waterM),
    label(lengthM * 0.5, waterM + 0.04, words.waterLevel(waterM), 'middle', 'LEVELS'),
    level('GROUND', edgeM - 0.5, edgeM, ground),
    label(edgeM - 0.5, ground + 0.03, words.text('ground'), 'start', 'GROUND'),
    ...(airBreakM === null
      ? []
      : [
          level('LEVELS', 0, lengthM, airBreakM),
          label(0.05, airBreakM + 0.03, words.drainsBackTo(airBreakM), 'start', 'LEVELS'),
        ]),
  ]
}

/** Pipe, headers, vault, and the ways of the water. */
function waterMarks({ pipe, headers, vault, flow, depthM }: BedSectionGeometry, words: SheetWords): Mark[] {
  const filled = (points: readonly DrawnPoint[]): Mark => ({ kind: 'polygon', layer: 'PIPE', points, fill: 'water' })
  return [
    ...(pipe ? [filled(pipe)] : []),
    ...headers.map(filled),
    ...(vault ? [filled(vault), label(vault[0]!.xM / 2, depthM + 0.1, words.text('vault'), 'middle')] : []),
    ...flow.map((points): Mark => ({ kind: 'line', layer: 'WATER', points, arrow: true })),
  ]
}

const DETAIL_WIDTH_M = 0.8

/** One metre of bed large: layer by layer with thickness, stone and its mass on a square metre. */
export function detailSheet(design: FilterDesign, words: SheetWords): Sheet {
  const marks: Mark[] = []
  let base = 0
  design.layers.forEach((layer) => {
    const { granular } = BED_MATERIALS[layer.material]
    const top = base + layer.thicknessM
    marks.push(
      {
        kind: 'polygon',
        layer: granular ? 'STONE' : 'MODULES',
        points: rectangle(0, base, DETAIL_WIDTH_M, top),
        fill: granular ? layer.material : 'modules',
      },
      dimension({ xM: 0, yM: base }, { xM: 0, yM: top }, 0.08, words.length(layer.thicknessM)),
      label(DETAIL_WIDTH_M + 0.06, (base + top) / 2, words.material(layer.material)),
    )
    base = top
  })
  if (FILTER_TYPE_FACTS[design.type].lined)
    marks.push(
      {
        kind: 'line',
        layer: 'OUTLINE',
        points: [
          { xM: 0, yM: -0.01 },
          { xM: DETAIL_WIDTH_M, yM: -0.01 },
        ],
      },
      label(DETAIL_WIDTH_M + 0.06, -0.04, words.text('liner')),
    )
  marks.push({
    kind: 'line',
    layer: 'WATER',
    points: [
      { xM: 0, yM: base + design.waterOverGravelM },
      { xM: DETAIL_WIDTH_M, yM: base + design.waterOverGravelM },
    ],
  })
  return sheetOf(words.text('layer-detail'), marks)
}
