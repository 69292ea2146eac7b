import { said, type Said } from './said'

/** Text of a file, and how its letters were written. */
export type FileText =
  | { readonly ok: true; readonly text: string; readonly encoding: FileEncoding }
  | { readonly ok: false; readonly message: Said }
type FileEncoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252'

const strictly = (encoding: FileEncoding, bytes: Uint8Array): string | null => {
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes)
  } catch {
    return null
  }
}

const begins = (bytes: Uint8Array, ...mark: number[]): boolean => mark.every((byte, i) => bytes[i] === byte)

/**
 * A file's text: UTF-8 or UTF-16 by its mark, else UTF-8 where all of it is that, else the Western letters that
 * spreadsheets write.
 * What is none of these is refused: a letter that is not understood would be lost in somebody's name.
 */
export function fileText(bytes: Uint8Array): FileText {
  const byMark = (): FileEncoding | null => {
    if (begins(bytes, 0xff, 0xfe)) return 'utf-16le'
    if (begins(bytes, 0xfe, 0xff)) return 'utf-16be'
    return null
  }
  const marked: FileEncoding | null = byMark()
  for (const encoding of marked ? [marked] : (['utf-8', 'windows-1252'] as const)) {
    const text = strictly(encoding, bytes)
    if (text !== null && isText(text)) return { ok: true, text, encoding }
  }
  return { ok: false, message: said('kit.problems.letters') }
}

/** No control characters but tabs and line ends: bytes of another encoding, or of no text at all, have them. */
const isText = (text: string): boolean => !/[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F]/.test(text)
