export const drawing = {
  bedSection: {
    sectionBedLongDeep: 'Section through the bed, {lengthM} long, {depthM} deep, {count} layers',
    vault: 'vault',
    drainsBackHere: 'drains back to here',
    upperEdgeLayer: 'Upper edge of layer {i}, {name}',
    height: 'height ×{exaggerate}',
  },
  waterLegend: {
    coloursWaterTemperature: 'Water temperature colours',
    ice: 'Ice',
  },
  plantMarks: {
    alongAcross: '{count} {common}{looks}, {xM} along, {yM} across',
  },
  pondPlan: {
    planPondSurface: 'Plan of the pond, {maxX} by {maxY}, surface {areaM2}',
    a: 'A',
    alongAcross: '{name}, {xM} along, {yM} across',
  },
  plantingPlan: {
    plantingPlanBed: 'Planting plan of the bed, {lengthM} by {widthM}',
    distributionPipeBelow: 'distribution pipe below',
    out: 'out',
  },
  flowDiagram: {
    flowDiagram: 'Flow diagram: {map}',
    valveShut: 'valve shut',
  },
  pondSection: {
    sectionDeepMost: 'Section A–A, {maxDepthM} deep at most',
    depth: 'depth ×{exaggerate}',
  },
} as const
