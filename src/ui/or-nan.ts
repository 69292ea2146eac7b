/** An emptied field becomes NaN, which the schema refuses by name; the drawing keeps the last good state meanwhile. */
export const orNaN = (value: number | null): number => value ?? Number.NaN
