import { chromium } from '@playwright/test'
import { CHROMIUM } from './chromium.mjs'
const BASE=process.env.BASE??'http://127.0.0.1:4991'
const [out,name,end,size='1280x800',script='']=process.argv.slice(2)
const [width,height]=size.split('x').map(Number)
const b=await chromium.launch(CHROMIUM)
const c=await b.newContext({viewport:{width,height},colorScheme:process.env.NIGHT?'dark':'light',locale:'en-GB',timezoneId:'UTC'})
const page=await c.newPage()
page.on('console',m=>{if(m.type()==='error')console.log('CONSOLE',m.text())}); page.on('pageerror',e=>console.log('PAGEERR',e.message))
let path=name
if(!name.startsWith('/')){const rack=await(await fetch(BASE+'/api/bicycles')).json();const j=rack.find(e=>e.name===name).brakes.find(e=>e.end===end).job; path=`/stand/${j.id}`}
await page.goto(BASE+path); await page.waitForTimeout(900)
if(script) await (new Function('page','return (async()=>{'+script+'})()'))(page)
await page.waitForTimeout(400)
await page.screenshot({path:out}); await b.close()
