/// <reference path="./jstat.d.ts" />
import jStat from 'jstat'

/** Below this of Student’s t lies the probability `p`, 0 to 1, with so many degrees of freedom, whole or not. */
export const tQuantile = (p: number, freedom: number): number => jStat.studentt.inv(p, freedom)

/** The probability that Student’s t of so many degrees of freedom lies below x. */
export const tCdf = (x: number, freedom: number): number => jStat.studentt.cdf(x, freedom)
