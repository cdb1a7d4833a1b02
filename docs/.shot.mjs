import { chromium } from '@playwright/test'
const [path, file, w=1280, h=800, full='', theme='day', click=''] = process.argv.slice(2)
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu','--disable-background-networking']})
const c = await b.newContext({viewport:{width:+w,height:+h},reducedMotion:'reduce'})
await c.addCookies([{name:'pheasant-theme',value:theme,url:'http://127.0.0.1:3140'}])
const p = await c.newPage()
p.on('console',m=>m.type()==='error'&&console.log(m.text()))
let url=path
if(path.startsWith('first:')){const [,k,rest='']=path.split(':');await p.goto('http://127.0.0.1:3140/k/'+k,{waitUntil:'load'});const href=await p.locator(process.env.SEL ?? 'main li a').first().getAttribute('href');url=href+rest}
await p.goto('http://127.0.0.1:3140'+url,{waitUntil:'load'})
for(const t of click.split('|').filter(Boolean)) await p.getByText(t).first().click()
await p.waitForTimeout(+(process.env.WAIT ?? 1200))
const wide=await p.evaluate(()=>{const W=document.documentElement.clientWidth;return [...document.querySelectorAll('body *')].filter(e=>e.getBoundingClientRect().right>W+1).slice(0,6).map(e=>e.tagName+'.'+(e.getAttribute('class')??'').slice(0,80)+' '+Math.round(e.getBoundingClientRect().right))})
if(wide.length)console.log('wide',wide)
await p.screenshot({path:file,fullPage:full==='full'})
await b.close()
