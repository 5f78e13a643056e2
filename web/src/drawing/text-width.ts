/** The widest that letters of the drawings’ type come to on average, in parts of its size. */
const LETTER = 0.475

/** About as wide as words come to on a drawing, in its own pixels: a little more rather than less. */
export const widthOf = (text: string, size: number): number => LETTER * size * text.length
