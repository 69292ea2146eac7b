/** The field sheet of a visit. */
export const fieldHref = (visitId: string): string => `/field?visit=${visitId}`
