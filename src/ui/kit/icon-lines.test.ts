import { iconLines } from '../../../scripts/lib/icon-lines'
import { ICON_LINES } from './icon-lines'
import { ICON_NAMES } from './icon-names'

test('every icon that is listed is drawn as the package of icons has it, and none else is carried along', () => {
  expect(ICON_LINES).toEqual(Object.fromEntries(ICON_NAMES.map((name) => [name, iconLines(name)])))
})
