import 'fake-indexeddb/auto'
import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { AsPerson, FIELD_PERSON } from '../../../tests/fixtures/person'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'
import type { VisitView } from './device/device-view'
import { keepPhoto } from './device/field-device'
import { dropShared, keepShared, sharedPictures } from './device/shared-pictures'
import { FieldProvider, type Field } from './field-context'
import { SharedPhotos } from './shared-photos'

// jsdom has none, and the store in memory asks for it
globalThis.structuredClone ??= <Value,>(value: Value): Value =>
  typeof value === 'object' && value !== null ? { ...value } : value

jest.mock('./device/field-device', () => ({ keepPhoto: jest.fn() }))
const kept = jest.mocked(keepPhoto)
const sync = jest.fn()

const visit = (id: string, state: string): VisitView =>
  ({
    visit: { id, siteName: id, day: '2027-04-10', startTime: '08:00', state, job: jobInWords('routine') },
  }) as unknown as VisitView
const show = (...views: VisitView[]) =>
  render(
    <AsPerson>
      <FieldProvider value={{ person: FIELD_PERSON, sync } as unknown as Field}>
        <SharedPhotos views={views} />
      </FieldProvider>
    </AsPerson>,
  )
const picture = (name: string, type = 'image/jpeg') => {
  const file = new File([new Uint8Array([1, 2, 3])], name, { type })
  // jsdom's files cannot be read so
  file.arrayBuffer = async () => new Uint8Array([1, 2, 3]).buffer
  return file
}
async function share(...files: File[]): Promise<number> {
  const form = new FormData()
  files.forEach((file) => form.append('photos', file))
  form.append('title', 'words that come along')
  form.getAll = () => files
  return keepShared(form)
}
beforeEach(async () => {
  kept.mockReset().mockResolvedValue({ id: 'p' })
  await dropShared((await sharedPictures()).map(({ id }) => id))
})

describe('pictures shared from another app', () => {
  it('are kept, nothing but pictures, and shown to nobody while there are none', async () => {
    const { container } = show(visit('Tarn House', 'under-way'))
    expect(container.querySelector('section')).toBeNull()
    expect(await share(picture('a.jpg'), picture('list.pdf', 'application/pdf'))).toBe(1)
    expect(await screen.findByRole('region', { name: '1 shared photo' })).toBeInTheDocument()
  })
  it('go to the visit under way unless another is chosen, to its step for photographs, and are gone from here', async () => {
    await share(picture('a.jpg'), picture('b.jpg'))
    show(visit('Mill Yard', 'done'), visit('Tarn House', 'under-way'), visit('Old Weir', 'planned'))
    const choice = await screen.findByLabelText('Visit')
    expect(choice).toHaveValue('Tarn House')
    expect(screen.getAllByRole('option')).toHaveLength(2)
    await userEvent.selectOptions(choice, 'Mill Yard')
    await userEvent.click(screen.getByRole('button', { name: 'Add to visit' }))
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Add to visit' })).not.toBeInTheDocument())
    const step = jobInWords('routine').steps.find((s) => s.kind === 'photo')!
    expect(kept.mock.calls.map(([to]) => to)).toEqual(
      Array(2).fill({ userId: FIELD_PERSON.userId, visitId: 'Mill Yard', stepKey: step.key }),
    )
    expect(await sharedPictures()).toEqual([])
    expect(sync).toHaveBeenCalled()
  })
  it('stay here where the device is full, and says so', async () => {
    kept.mockResolvedValue({ trouble: 'device-full' })
    await share(picture('a.jpg'))
    show(visit('Tarn House', 'under-way'))
    await userEvent.click(await screen.findByRole('button', { name: 'Add to visit' }))
    expect(await screen.findByRole('alert')).toBeInTheDocument()
    expect(await sharedPictures()).toHaveLength(1)
  })
  it('that could not be kept are said, so that they are shared again', async () => {
    window.history.replaceState(null, '', '/field?shared=lost')
    show(visit('Tarn House', 'under-way'))
    expect(await screen.findByRole('alert')).toHaveTextContent('share them again')
    window.history.replaceState(null, '', '/field')
  })
  it('wait while no visit was begun, which the office would refuse them for, and can be let go', async () => {
    await share(picture('a.jpg'))
    show(visit('Old Weir', 'planned'))
    expect(await screen.findByText('Start the visit they belong to; until then they wait here.')).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: 'Add to visit' })).not.toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Discard' }))
    await waitFor(async () => expect(await sharedPictures()).toEqual([]))
  })
})
