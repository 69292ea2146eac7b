export const kit = {
  fileButton: {
    file: '{label}: file',
    fileLargerThanMb: 'This file is too large: the limit is {mostBytes} MB.',
  },
  why: {
    howWeGot: 'How this was calculated',
  },
  quantityField: {
    in: 'in {symbol}',
    ifKnown: '(if known)',
  },
  problems: {
    offline: 'No connection. Nothing was saved; your entries are still here.',
    tooLarge: 'The office cannot accept this entry: it is too long or not readable there.',
  },
} as const
