/**
 * What the processes need to know of one hour: weather, water level, what runs and what is fed. One object a run,
 * its figures overwritten every hour, so that a year costs no memory.
 */
export class Environment {
  /** 1..365. */
  dayOfYear = 1
  dayLengthH = 12
  daysShorten = false
  waterC = 10
  iceM = 0
  windMPerS = 2
  /** Photosynthetic light just under the open surface, W/m². */
  lightW = 0
  /** 1/volume of the pond's water, 1/m³. */
  perM3 = 1
  areaM2 = 1
  depthM = 1
  /** Share of the surface under ice, and under leaves that lie on it. */
  iceShare = 0
  leafCover = 0
  /** A hole is kept open in the ice, and there is ice. */
  iceHole = false
  /** Loss of light with depth, 1/m. */
  extinctionPerM = 0.5
  /** Water through the bed and over the falls, m³/d; 0 with the pump off. */
  bedFlowM3PerD = 0
  bedRunning = true
  /** Share of the stone that is under water. */
  bedWetShare = 1
  /** Share of the stone's pores that sludge fills. */
  poreLoss = 0
  uvFlowM3PerD = 0
  /** Fine matter that the bed takes out of the pond's water, 1/d. */
  capturePerD = 0
  aeratorGPerD = 0
  fishMassKg = 0
  /** Fish in the water that there is, kg/m³. */
  fishKgPerM3 = 0
  /** How hungry the fish search the pond for food, 0..1. */
  fishHunger = 0
  /** Feed eaten and left over, g/d, and its protein. */
  feedEatenGPerD = 0
  feedLeftGPerD = 0
  feedProtein = 0.35
  /** Animals and bathers, g/d. */
  guestNitrogenGPerD = 0
  guestPhosphorusGPerD = 0
  /** Dry leaves that reach the water, g/d. */
  leavesGPerD = 0
  /** CO2 as a share of inorganic carbon. */
  carbonDioxideShare = 0.05
  ph = 7.5
}
