import type { Page } from '@playwright/test'

/** This much of one another two words may have: the boxes of letters are higher than what is inked. */
const INKLESS = 0.22

/** Words of the drawings in sight that lie over one another or stick out of their drawing, as the browser has laid them out. */
export const wordsInTheWay = (page: Page): Promise<readonly string[]> =>
  page.evaluate((inkless) => {
    const found: string[] = []
    for (const svg of document.querySelectorAll('svg')) {
      const frame = svg.getBoundingClientRect()
      if (frame.width < 200) continue
      const words = [...svg.querySelectorAll('text')].flatMap((each) => {
        const { left, right, top, bottom } = each.getBoundingClientRect()
        const spare = (bottom - top) * inkless
        return right > left
          ? [{ text: each.textContent ?? '', left, right, top: top + spare, bottom: bottom - spare }]
          : []
      })
      for (const [index, a] of words.entries()) {
        if (
          a.left < frame.left - 1 ||
          a.right > frame.right + 1 ||
          a.top < frame.top - 1 ||
          a.bottom > frame.bottom + 1
        )
          found.push(`“${a.text}” leaves its drawing`)
        for (const b of words.slice(index + 1)) {
          const across = Math.min(a.right, b.right) - Math.max(a.left, b.left)
          const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)
          if (across > 1 && down > 1) found.push(`“${a.text}” over “${b.text}”`)
        }
      }
    }
    return found
  }, INKLESS)
