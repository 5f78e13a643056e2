import { chromium } from '@playwright/test'

const b = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
})
const [port, ...sizes] = process.argv.slice(2)
for (const s of sizes) {
  const [w, h, sheet] = s.split('x')
  const p = await b.newPage({ viewport: { width: +w, height: +h }, colorScheme: sheet === 'n' ? 'dark' : 'light' })
  p.on('console', (m) => {
    if (m.type() === 'error') console.log(m.text())
  })
  p.on('pageerror', (e) => console.log('ERR', e.message))
  await p.goto(`http://127.0.0.1:${port}/`)
  await p.waitForTimeout(2500)
  await p.screenshot({ path: `/tmp/rack-${s}.png` })
  await p.close()
}
await b.close()
