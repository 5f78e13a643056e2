import { createGlobalStyle } from 'styled-components'

/** Paper and ink. Every colour is named for what it says, not for how it looks. */
export const GlobalStyle = createGlobalStyle`
  :root {
    --sheet: #F3F0E7; --wash: #E9E4D6; --ink: #17212B; --rule: #B9B3A3; --control: #7E7768; --slate: #56626E;
    --in: #0E6B6B; --out: #B93815; --recheck: #8F5A00; --predicted: #4A4FA3;
    --text: 'Atkinson Hyperlegible Next Variable', sans-serif; --label: 'Barlow Condensed', sans-serif;
    color-scheme: light;
  }
  :root[data-sheet='night'] {
    --sheet: #131B23; --wash: #1B2530; --ink: #ECE7DA; --rule: #38434D; --control: #6F7C88; --slate: #9AA7B4;
    --in: #5CC4BD; --out: #FF8A66; --recheck: #E2A83B; --predicted: #A9AEF5;
    color-scheme: dark;
  }
  *, *::before, *::after { box-sizing: border-box; }
  body, h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; }
  ul, ol { padding: 0; list-style: none; }
  html, body, #root { height: 100%; }
  body { background: var(--sheet); color: var(--ink); font: 1rem/1.4 var(--text); -webkit-text-size-adjust: 100%; }
  button, input, select, textarea { font: inherit; color: inherit; }
  a { color: inherit; }
  svg { display: block; }
  .drawn-button { cursor: pointer; outline: none; }
  .drawn-button:focus-visible > rect:last-child { stroke: var(--predicted); stroke-width: 3; }
  svg text { fill: var(--ink); font-family: var(--label); }
  :focus-visible, [data-focus-visible] { outline: 3px solid var(--predicted); outline-offset: 2px; }
  /* Where the system gives the colours, what was said by fill alone keeps an edge, and drawings keep their lines. */
  @media (forced-colors: active) {
    :root {
      --sheet: Canvas; --wash: Canvas; --ink: CanvasText; --rule: GrayText; --control: ButtonBorder; --slate: CanvasText;
      --in: CanvasText; --out: CanvasText; --recheck: CanvasText; --predicted: Highlight;
    }
    svg { forced-color-adjust: none; }
    [data-selected] { outline: 3px solid Highlight; outline-offset: -3px; }
    .drawn-button:focus-visible > rect:last-child { stroke: Highlight; }
  }
  @media print {
    :root { --sheet: #fff; --ink: #000; }
    html, body, #root, #root > div { height: auto; }
  }
`

export const PHONE = '(max-width: 599px)'
export const phone = `@media ${PHONE}`
export const upright = '@media (max-width: 999px)'
/** Little room from top to bottom, be it by the window or by letters twice as large: what stays in sight elsewhere scrolls away. */
export const short = '@media (max-height: 30em)'
