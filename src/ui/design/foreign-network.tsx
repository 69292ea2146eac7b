'use client'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { useNetwork } from './use-network'

/** A network from a file of someone else's: what flows in it, or why it cannot be read. */
export function ForeignNetwork({ name, text, onClose }: { name: string; text: string; onClose: () => void }) {
  const t = useTexts()

  const show = useShow()
  const state = useNetwork(text)
  return (
    <section className="sheet" aria-label={t('design.foreignNetwork.openedNetwork')}>
      <h2>{name}</h2>
      {state.status === 'solving' ? <p className="soft">{t('design.foreignNetwork.solving')}</p> : null}
      {state.status === 'refused' ? (
        <div className="stop-note" role="alert">
          <p className="mb-1">
            {state.problem.code === 'not-readable'
              ? t('design.foreignNetwork.inpFileCannotRead')
              : t('design.foreignNetwork.networkCannotSolved')}
          </p>
          <ul className="mb-0">
            {state.problem.messages.map((message) => (
              <li key={message}>{message}</li>
            ))}
          </ul>
        </div>
      ) : null}
      {state.status === 'solved' ? (
        <div className="columns two">
          <table className="table table-sm">
            <thead>
              <tr>
                <th>{t('design.foreignNetwork.link')}</th>
                <th>{t('design.foreignNetwork.from')}</th>
                <th className="text-end">{t('design.foreignNetwork.flow')}</th>
              </tr>
            </thead>
            <tbody>
              {state.network.links.map((l) => (
                <tr key={l.id}>
                  <th scope="row">{l.id}</th>
                  <td>
                    {l.from} – {l.to}
                  </td>
                  <td className="text-end">{show(l.flowM3PerH, 'flow')}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <table className="table table-sm">
            <thead>
              <tr>
                <th>{t('design.foreignNetwork.node')}</th>
                <th className="text-end">{t('design.foreignNetwork.head')}</th>
              </tr>
            </thead>
            <tbody>
              {state.network.nodes.map((n) => (
                <tr key={n.id}>
                  <th scope="row">{n.id}</th>
                  <td className="text-end">{show(n.headM, 'length')}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : null}
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onClose}>
        {t('design.foreignNetwork.closeFile')}
      </button>
    </section>
  )
}
