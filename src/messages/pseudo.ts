/** What stands round every text of the made-up language. */
export const MARKS = ['⟦', '⟧'] as const

/** A catalogue whose every text stands between marks; what has none on a page came from elsewhere. */
export const marked = (texts: object): object =>
  Object.fromEntries(
    Object.entries(texts).map(([key, text]) => [
      key,
      typeof text === 'string' ? `${MARKS[0]}${text}${MARKS[1]}` : marked(text as object),
    ]),
  )
