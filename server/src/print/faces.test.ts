import fontkit from '@pdf-lib/fontkit'
import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { layFaces, pieces, settable } from './faces.ts'
import { TypeSetter } from './type-setter.ts'

async function laid(text: string) {
  const document = await PDFDocument.create()
  document.registerFontkit(fontkit)
  return (await layFaces(document, text)).text
}

describe('letters on paper', () => {
  // The Unicode blocks of Europe’s languages: Latin-1, Latin Extended-A, Greek, Cyrillic; a pangram or a name of each.
  it.each([
    'Žluťoučký kůň úpěl ďábelské ódy',
    'Zażółć gęślą jaźń',
    'Árvíztűrő tükörfúrógép',
    'Þjóðvegur, smørrebrød, Straße, façade, año, õun',
    'Ξεσκεπάζω την ψυχοφθόρα βδελυγμία',
    'Съешь ещё этих мягких булок, да выпей чаю; їжак, љубав',
    '≥ 89 mm, ½ turn, 50 °, ±0.3',
  ])('%s', async (text) => {
    const faces = await laid(text)
    expect(settable(text, faces)).toBe(text.normalize('NFC'))
    expect(
      pieces(text.normalize('NFC'), faces)
        .map((each) => each.text)
        .join(''),
    ).toBe(text.normalize('NFC'))
  })

  it('a plain text takes our own face alone', async () => {
    expect(await laid('Hire 07, rear')).toHaveLength(1)
    expect((await laid('Hire 07, Кириллица')).length).toBeGreaterThan(1)
  })

  it('what no face has is named; marks of direction are harmless', async () => {
    const faces = await laid('🚲 א')
    expect(settable('🚲 א', faces)).toBe('[U+1F6B2] [U+05D0]')
    expect(settable('left\u202E right\u200F', faces)).toBe('left right')
    expect(settable('a → b −1', faces)).toMatch(/^a (→|to) b (−|-)1$/)
  })

  it('a word longer than the line is broken, and no page runs over', async () => {
    const long = 'x'.repeat(4000)
    const page = await TypeSetter.start({ title: 'x', foot: 'x', text: long })
    page.write(long)
    page.row(['y'.repeat(900), 'short'], [1, 3])
    const pdf = await PDFDocument.load(await page.save())
    // 4000 letters of about 5 points on lines of 519: some forty lines, so one page; the narrow cell’s seventy lines, so two.
    expect(pdf.getPageCount()).toBeLessThanOrEqual(3)
    expect(page.pages).toBe(pdf.getPageCount())
  })
})
