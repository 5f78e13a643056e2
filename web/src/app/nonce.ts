/** The nonce the server wrote into this page: styles made here carry it, or the browser does not take them. */
const meta = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')
const nonce = meta?.nonce || meta?.content
if (nonce) Object.assign(globalThis, { __webpack_nonce__: nonce })
