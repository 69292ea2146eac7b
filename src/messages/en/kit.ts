export const kit = {
  fileButton: {
    file: '{label}: file',
    fileLargerThanMb: 'This file is larger than the {mostBytes} MB that fit here.',
  },
  why: {
    howWeGot: 'How we got this',
  },
  quantityField: {
    in: 'in {symbol}',
    ifKnown: '(if known)',
  },
} as const
