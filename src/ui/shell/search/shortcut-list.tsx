'use client'
import { Fragment } from 'react'
import Modal from 'react-bootstrap/Modal'
import { useTexts } from '@/ui/kit/texts'
import { usePageKeyList } from './page-keys'

/** What can be done by keys alone, and from anywhere. */
export function ShortcutList({ onClose }: { onClose: () => void }) {
  const t = useTexts()

  const pages = usePageKeyList()
  const rows: readonly { keys: readonly string[]; between?: string; words: string }[] = [
    {
      keys: [t('search.palette.keys'), '/'],
      between: t('search.shortcuts.or'),
      words: t('search.shortcuts.openSearch'),
    },
    { keys: ['?'], words: t('search.shortcuts.showThis') },
    ...pages.map(({ key, page }) => ({
      keys: ['g', key],
      between: t('search.shortcuts.then'),
      words: t('search.shortcuts.goTo', { page: t(page.label) }),
    })),
    { keys: [t('search.shortcuts.arrows')], words: t('search.shortcuts.inSeason') },
  ]
  return (
    <Modal show onHide={onClose} animation={false} scrollable aria-label={t('search.shortcuts.keyboardShortcuts')}>
      <Modal.Header closeButton closeLabel={t('search.shortcuts.close')}>
        <Modal.Title as="h2">{t('search.shortcuts.keyboardShortcuts')}</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <dl className="shortcuts">
          {rows.map(({ keys, between, words }) => (
            <Fragment key={words}>
              <dt>
                {keys.map((key, i) => (
                  <Fragment key={key}>
                    {i > 0 ? ` ${between} ` : ''}
                    <kbd>{key}</kbd>
                  </Fragment>
                ))}
              </dt>
              <dd>{words}</dd>
            </Fragment>
          ))}
        </dl>
      </Modal.Body>
    </Modal>
  )
}
