import { writeFileSync } from 'node:fs'
import { ICON_NAMES } from '../src/ui/kit/icon-names'
import { writeAppIcons } from './lib/app-icons'
import { iconLines } from './lib/icon-lines'

const rows = ICON_NAMES.map((name) => `  '${name}': ${JSON.stringify(iconLines(name))},`)
writeFileSync(
  process.env.ICONS_FILE!,
  [
    '// Written by `npm run icons` from bootstrap-icons (MIT licence); not changed by hand.',
    '/* eslint-disable max-lines -- one row an icon */',
    "import type { IconName } from './icon-names'",
    '',
    '/** What is inside each icon: paths of SVG on a field of 16 by 16. */',
    'export const ICON_LINES: Readonly<Record<IconName, readonly { readonly d: string; readonly evenOdd?: true }[]>> = {',
    ...rows,
    '}',
    '',
  ].join('\n'),
)

await writeAppIcons(process.env.APP_ROOT!)
