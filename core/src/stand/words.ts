/** A sentence begins with a capital; what stands inside one does not. */
export const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
export const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)

/** Most words of what to do in one line. */
export const ONE_LINE = 16

export const countWords = (text: string): number => text.trim().split(/\s+/).length

/** What is said in one line, and the rest of it: its first sentences as far as they go. A first one that is longer stands whole. */
export function oneLine(text: string): { readonly line: string; readonly more?: string } {
  const sentences = text.match(/[^.!?]+(?:\.(?=\d)[^.!?]*)*[.!?]*\s*/g) ?? [text]
  let line = ''
  let taken = 0
  for (const sentence of sentences) {
    if (taken > 0 && countWords(line + sentence) > ONE_LINE) break
    line += sentence
    taken += 1
  }
  const more = sentences.slice(taken).join('').trim()
  return { line: line.trim(), ...(more && { more }) }
}
