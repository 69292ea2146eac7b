'use client'
import { createContext, use, useCallback, useState, type ReactNode } from 'react'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import { useTexts } from './texts'

/** What a person is asked before something is done that is not easily undone. */
interface Question {
  readonly words: string
  /** What the button says that goes on; never just "OK". */
  readonly goOn: string
  /** Set where something is lost by it. */
  readonly danger?: boolean
}

const Asking = createContext<((question: Question) => Promise<boolean>) | null>(null)

/** Shows questions above a part of the app, one at a time; closed by Escape it answers no. */
export function ConfirmProvider({ children }: { children: ReactNode }) {
  const t = useTexts()

  const [open, setOpen] = useState<(Question & { answer: (yes: boolean) => void }) | null>(null)
  const ask = useCallback(
    (question: Question) => new Promise<boolean>((answer) => setOpen({ ...question, answer })),
    [],
  )
  const close = (yes: boolean) => {
    open?.answer(yes)
    setOpen(null)
  }
  return (
    <Asking value={ask}>
      {children}
      <Modal
        show={open !== null}
        onHide={() => close(false)}
        centered
        animation={false}
        aria-label={t('kit.confirm.question')}
      >
        <Modal.Body>
          <p className="mb-0">{open?.words}</p>
        </Modal.Body>
        <Modal.Footer>
          <Button variant="outline-secondary" onClick={() => close(false)}>
            {t('kit.confirm.leave')}
          </Button>
          <Button autoFocus variant={open?.danger ? 'danger' : 'primary'} onClick={() => close(true)}>
            {open?.goOn}
          </Button>
        </Modal.Footer>
      </Modal>
    </Asking>
  )
}

/** Asks before going on; resolves to whether the person wants to. */
export function useConfirm(): (question: Question) => Promise<boolean> {
  const ask = use(Asking)
  if (!ask) throw new Error('useConfirm needs a ConfirmProvider above it')
  return ask
}
