import { fillTemplate, NoticeTemplates } from '@/domain/messages/notice'
import { firmTexts } from '../texts'
import { defaultTemplates } from './notice-templates'

const DEFAULT_TEMPLATES = defaultTemplates(firmTexts())

describe('templates', () => {
  const words = {
    customer: 'Nessa',
    site: 'Lark House',
    job: 'routine visit',
    day: 'Friday',
    time: '08:00',
    was: 'Thursday',
    firm: 'The firm',
    report: 'All well.',
    link: '',
  }
  it('are filled without leaving a brace', () => {
    for (const template of Object.values(DEFAULT_TEMPLATES)) {
      const { subject, body } = fillTemplate(template, words)
      expect(`${subject} ${body}`).not.toMatch(/[{}]/)
      expect(body).toContain('Nessa')
    }
  })
  it('do not let a customer’s name bring in words of its own', () =>
    expect(fillTemplate(DEFAULT_TEMPLATES['on-the-way'], { ...words, customer: '{firm}' }).body).toContain(
      'Dear {firm}',
    ))
  it('refuse words that nothing fills', () => {
    const bad = { ...DEFAULT_TEMPLATES, 'on-the-way': { subject: 'Hello', body: 'At {hour}' } }
    expect(NoticeTemplates.safeParse(bad).error!.issues[0]!.path).toEqual(['on-the-way', 'body'])
    expect(NoticeTemplates.safeParse(DEFAULT_TEMPLATES).success).toBe(true)
  })
})
