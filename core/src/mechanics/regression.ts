/** Ordinary least squares of y on x, with what a prediction band needs. */
export interface Line {
  readonly slope: number
  readonly intercept: number
  readonly residualSd: number
  readonly meanX: number
  readonly meanY: number
  readonly spreadX: number
  readonly count: number
}

export function fitLine(x: readonly number[], y: readonly number[]): Line {
  const count = x.length
  const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / count
  const meanX = mean(x)
  const meanY = mean(y)
  const spreadX = x.reduce((sum, each) => sum + (each - meanX) ** 2, 0)
  const slope = x.reduce((sum, each, index) => sum + (each - meanX) * ((y[index] as number) - meanY), 0) / spreadX
  const intercept = meanY - slope * meanX
  const squares = x.reduce((sum, each, index) => sum + ((y[index] as number) - intercept - slope * each) ** 2, 0)
  return { slope, intercept, residualSd: Math.sqrt(squares / (count - 2)), meanX, meanY, spreadX, count }
}

/**
 * Where the line and both edges of its prediction band (t standard deviations wide) meet a limit, on the side of the
 * data where the line meets it. Null where they never do.
 */
export function bandCrossings(
  line: Line,
  limit: number,
  t: number,
): { crossing: number | null; earliest: number | null; latest: number | null } {
  const { slope, meanX, meanY, spreadX, count, residualSd } = line
  if (slope === 0) return { crossing: null, earliest: null, latest: null }
  const away = meanY - limit
  const crossing = -away / slope
  const k = (t * residualSd) ** 2
  const a = slope * slope - k / spreadX
  const b = 2 * slope * away
  const c = away * away - k * (1 + 1 / count)
  const discriminant = b * b - 4 * a * c
  if (discriminant < 0 || a === 0) return { crossing: meanX + crossing, earliest: null, latest: null }
  const root = Math.sqrt(discriminant)
  const roots = [(-b - root) / (2 * a), (-b + root) / (2 * a)].sort((one, other) => one - other) as [number, number]
  if (a > 0) return { crossing: meanX + crossing, earliest: meanX + roots[0], latest: meanX + roots[1] }
  // The slope may be of either sign: of the band only an edge met before the line says when it may be at the earliest.
  const near = roots.find((each) => Math.sign(each) === Math.sign(crossing) && each <= crossing)
  return { crossing: meanX + crossing, earliest: near === undefined ? null : meanX + near, latest: null }
}
