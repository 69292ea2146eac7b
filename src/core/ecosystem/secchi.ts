/** Secchi depth times extinction. @source Poole & Atkins 1929 */
export const SECCHI = 1.7
