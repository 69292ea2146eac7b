import { doHeavy } from './heavy-tasks'
import { threadOf } from './thread'

/** Does what requests ask to be computed or read, one after the other. */
export default threadOf(doHeavy)
