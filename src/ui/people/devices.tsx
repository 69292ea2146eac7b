'use client'
import { useTexts } from '@/ui/kit/texts'
import type { SignedInDevice } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { usePerson } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'
import { useConfirm } from '@/ui/kit/confirm'

/** Where people of the firm are signed in; a lost phone is shut out here. */
export function Devices({ devices }: { devices: readonly SignedInDevice[] }) {
  const t = useTexts()

  const { timeZone } = usePerson()
  const { problem, save } = useSave()
  const confirm = useConfirm()
  const shutOut = async (device: SignedInDevice) => {
    const words = t('people.devices.confirmBlock', { device: device.device, person: device.person })
    if (!(await confirm({ words, goOn: t('people.devices.block'), danger: true }))) return
    void save('POST', `/api/v1/devices/${device.id}/shut-out`, {})
  }
  return (
    <section className="sheet" aria-label={t('people.devices.devices')}>
      <h2>{t('people.devices.devicesSigned')}</h2>
      <ul className="plain-list">
        {devices.map((device) => (
          <li key={device.id} className="d-flex gap-2 flex-wrap align-items-baseline">
            <span>
              {device.person}: {device.device || t('people.devices.unknownDevice')}{' '}
              <span className="soft">{t('people.devices.seen', { seenAt: t.instant(device.seenAt, timeZone) })}</span>
            </span>
            <button
              type="button"
              className="btn btn-sm btn-outline-danger ms-auto"
              onClick={() => void shutOut(device)}
              aria-label={t('people.devices.shutOut', { device: device.device, person: device.person })}
            >
              {t('people.devices.shutOut2')}
            </button>
          </li>
        ))}
      </ul>
      <ProblemNote problem={problem} />
    </section>
  )
}
