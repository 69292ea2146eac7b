/**
 * Water by month, January first, until a weather station's normals are known, °C.
 * @source mild temperate lowland, rounded
 */
export const USUAL_MONTHLY_C: readonly number[] = [3, 4, 7, 11, 15, 18, 20, 20, 16, 11, 7, 4]
