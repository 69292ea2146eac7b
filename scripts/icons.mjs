// npm run icons: writes the lines of the icons that src/ui/kit/icon-names.ts lists, from the package bootstrap-icons,
// and the app's own icon in the sizes that devices ask for.
import { inRoot } from './lib/paths.mjs'
import { runOrStop } from './lib/processes.mjs'

const file = inRoot('src', 'ui', 'kit', 'icon-lines.ts')
await runOrStop(
  'The icons could not be written',
  process.execPath,
  ['--import', 'tsx', inRoot('scripts', 'icons.ts')],
  {
    quiet: true,
    env: { ICONS_FILE: file, APP_ROOT: inRoot() },
  },
)
await runOrStop(
  'The icons could not be formatted',
  process.execPath,
  [inRoot('node_modules', 'prettier', 'bin', 'prettier.cjs'), '--write', file],
  { quiet: true },
)
