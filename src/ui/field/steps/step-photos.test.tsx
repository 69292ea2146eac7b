import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { FIELD_PERSON } from '../../../../tests/fixtures/person'
import type { VisitView } from '@/ui/field/device/device-view'
import { dropPhoto, keepPhoto } from '@/ui/field/device/field-device'
import { FieldProvider } from '@/ui/field/field-context'
import { StepPhotos } from './step-photos'
import { jobInWords } from '../../../../tests/fixtures/jobs-in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../../tests/fixtures/usual-in-words'

jest.mock('@/ui/field/device/field-device', () => ({ keepPhoto: jest.fn(), dropPhoto: jest.fn() }))
const kept = jest.mocked(keepPhoto)
const sync = jest.fn().mockResolvedValue('synced')
beforeEach(() => {
  kept.mockReset().mockResolvedValue({ id: 'new' })
  sync.mockClear()
})

const step = jobInWords('routine').steps[0]!
const photo = (id: string, over: object = {}) => ({
  id,
  stepKey: step.key,
  pairOf: null,
  sketchOf: null,
  own: null,
  ...over,
})
const show = (photos: readonly object[] = [], at = step) =>
  render(
    <FieldProvider
      value={{ person: FIELD_PERSON, today: '2027-03-20', products: USUAL_PRODUCTS_IN_WORDS, log: jest.fn(), sync }}
    >
      <StepPhotos view={{ visit: { id: 'v1' }, photos } as unknown as VisitView} step={at} />
    </FieldProvider>,
  )
const picture = (name: string) => new File([name], name, { type: 'image/jpeg' })

describe('photos of a step', () => {
  it('are all kept when several are chosen at once, and sent together', async () => {
    show()
    await userEvent.upload(screen.getByLabelText('Take photo'), [picture('a.jpg'), picture('b.jpg'), picture('c.jpg')])
    expect(kept.mock.calls.map(([facts, file]) => [facts.stepKey, (file as File).name])).toEqual([
      ['arrive-photos', 'a.jpg'],
      ['arrive-photos', 'b.jpg'],
      ['arrive-photos', 'c.jpg'],
    ])
    expect(sync).toHaveBeenCalledTimes(1)
  })
  it('say why one could not be kept, and what to do', async () => {
    kept.mockResolvedValueOnce({ trouble: 'device-full' })
    show()
    await userEvent.upload(screen.getByLabelText('Take photo'), picture('a.jpg'))
    expect(
      await screen.findByText(/This device has no room for another photo\. Nothing saved is lost/),
    ).toBeInTheDocument()
  })
  it('are taken away while they are on this device only', async () => {
    show([photo('here', { own: { state: 'waiting', thumbnail: null } }), photo('there')])
    expect(screen.getAllByRole('button', { name: /^Remove photo/ })).toHaveLength(1)
    await userEvent.click(screen.getByRole('button', { name: 'Remove photo 1' }))
    expect(dropPhoto).toHaveBeenCalledWith('here')
  })
  it('after the work are taken again from the same place, as the counterpart of how it was found', async () => {
    show([photo('found')], { ...step, key: 'after-photos' })
    await userEvent.upload(screen.getByLabelText('Take view 1 again'), picture('again.jpg'))
    expect(kept.mock.calls[0]![0]).toMatchObject({ stepKey: 'after-photos', pairOf: 'found' })
  })
})
