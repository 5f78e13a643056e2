import { LinkPress } from '../ui/layout.ts'

/** Where nobody told yet whose papers they are, the way to tell it. */
export const WhosePaper = ({ from }: { from: string }) =>
  from === '' ? <LinkPress href="/workshop">Whose paper? Name and address</LinkPress> : null
