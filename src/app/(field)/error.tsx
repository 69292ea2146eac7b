'use client'
import { textId } from '@/ui/kit/texts'
import { WentWrong } from '@/ui/shell/went-wrong'

/** On the field sheet: nothing that was logged is gone, and the page comes from the device itself. */
export default function FieldError() {
  return <WentWrong kept={textId('shell.error.loggedIsKept')} onAgain={() => window.location.reload()} />
}
