import { ProductBook, productCsv, readProductCsv } from './product-book'
import { withEnglish } from '../../../tests/fixtures/in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'

describe('the product book', () => {
  it('begins with one that holds by its own rules', () =>
    expect(ProductBook.safeParse(USUAL_PRODUCTS_IN_WORDS).success).toBe(true))
  it('names what is wrong with a product', () => {
    const [first] = USUAL_PRODUCTS_IN_WORDS
    const of = (changes: object) => ProductBook.safeParse([{ ...first, ...changes }]).error!.issues[0]
    expect(of({ rate: 0 })!.path).toEqual([0, 'rate'])
    expect(of({ waterC: [20, 10] })).toMatchObject({ path: [0, 'waterC', 1] })
    expect(ProductBook.safeParse([first, { ...first, key: 'other' }]).error!.issues[0]!.message).toBe(
      'stores.problems.twoProductsName',
    )
  })
  it('goes out as CSV and comes back without a change', () => {
    const { products, read, problems } = readProductCsv(productCsv(USUAL_PRODUCTS_IN_WORDS), USUAL_PRODUCTS_IN_WORDS)
    expect({ read, problems }).toEqual({ read: USUAL_PRODUCTS_IN_WORDS.length, problems: [] })
    expect(products).toEqual(USUAL_PRODUCTS_IN_WORDS)
  })
  it('changes what a row names, adds what is new, and names rows that do not read', () => {
    const csv =
      'name,purpose,unit,rate,most_per_m3\nClay flocculant,flocculant,g,35,70\nOwn culture,bacteria,mL,5,15\nBad one,bacteria,mL,lots,15'
    const { products, read, problems } = readProductCsv(csv, USUAL_PRODUCTS_IN_WORDS)
    expect(read).toBe(2)
    expect(products.find((p) => p.key === 'flocculant')).toMatchObject({ rate: 35, mostPerM3: 70, waterC: [4, 35] })
    expect(products.at(-1)).toMatchObject({ key: 'own-culture', basis: 'volume' })
    expect(withEnglish(problems)).toEqual([{ line: 4, message: expect.stringMatching(/^rate: /) }])
    expect(readProductCsv('a,b\n1,2', USUAL_PRODUCTS_IN_WORDS).problems[0]!.message).toContain('name, purpose')
  })
})
