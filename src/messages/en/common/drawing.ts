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
  sheets: {
    plan: 'Plan',
    'long-section': 'Longitudinal section',
    'layer-detail': 'Layer detail',
    'flow-diagram': 'Flow diagram',
    'no-filter': 'No filter: plants and surface carry this pond',
    'no-bed': 'No bed',
    vault: 'vault',
    ground: 'ground',
    north: 'N',
    liner: 'liner between two underlayments',
    'perforated-loop': 'perforated loop dashed; water returns over the stone ring',
    'back-to-pond': 'all back to the pond',
    'not-to-scale': 'not to scale',
  },
  sheetLines: {
    waterLevel: 'water level +{level}',
    drainsBackTo: 'drains back to +{level}',
    band: 'band {width} wide, {along} along the shore',
    scale: '1 : {scale}, bar {barM} m',
  },
  flowNames: {
    pond: 'Pond',
    bed: 'Bed',
    bedByFalls: 'Bed over falls',
    bedByPipe: 'Bed by pipe',
    return: 'Return',
    returnByFalls: 'Return over falls',
    returnByPipe: 'Return by pipe',
  },
} as const
