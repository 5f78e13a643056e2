/** What is used of jstat, which brings no types of its own. */
declare module 'jstat' {
  const jStat: {
    readonly studentt: {
      readonly inv: (probability: number, freedom: number) => number
      readonly cdf: (x: number, freedom: number) => number
    }
  }
  export default jStat
}
