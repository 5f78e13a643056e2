import { describe, expect, it } from 'vitest'
import { codeOf, mutantsOf } from './mutants.ts'

const changed = (source: string) =>
  mutantsOf(source).map(({ at, from, to }) => source.slice(0, at) + to + source.slice(at + from.length))

describe('what is changed to see whether a test turns red', () => {
  it('is a sign, a limit or a constant, one at a time', () => {
    expect(changed('const low = a + 0.3')).toEqual(['const low = a - 0.3', 'const low = a + 0.45'])
    expect(changed('if (gap < wall && seen) x')).toEqual(['if (gap >= wall && seen) x', 'if (gap < wall || seen) x'])
  })

  it('is never a comment, a text, a name or a place in a list', () => {
    expect(changed("// a + 2\nconst M6 = '2 + 3' // 4\nlist[0]")).toEqual([])
    // biome-ignore lint/suspicious/noTemplateCurlyInString: the template is what is read
    expect(changed('`${a} + 2`')).toEqual([])
  })

  it('stands where it stood: blanked text keeps its length', () => {
    const source = "const a = 'it is 2' /* 3 */ + 1"
    expect(codeOf(source)).toHaveLength(source.length)
  })
})
