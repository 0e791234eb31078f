import { chromium } from '@playwright/test';
const [,, out, width, theme, path, ...acts] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox','--disable-gpu'] });
const c = await b.newContext({ viewport: { width: Number(width), height: width==='390'?844:800 }, colorScheme: theme==='night'?'dark':'light' });
await c.addCookies([{ name: 'grim_person', value: '0190a000-0000-7000-8000-000000000001', url: 'http://127.0.0.1:3055' }]);
const p = await c.newPage();
p.on('console', m => m.type()==='error' && console.log('console:', m.text()));
await p.goto('http://127.0.0.1:3055'+path);
if (theme==='night') await p.evaluate(() => { document.documentElement.classList.add('dark'); document.documentElement.dataset.theme='dark'; });
for (const a of acts) { const [k, ...r] = a.split(':'); const v = r.join(':'); 
 if (k==='click') await p.getByRole('button', { name: v }).first().click();
 if (k==='link') await p.getByRole('link', { name: v }).first().click();
 if (k==='tab') await p.getByRole('tab', { name: v }).first().click();
 if (k==='wait') await p.waitForTimeout(Number(v));
 if (k==='file') await p.locator('input[type=file]').first().setInputFiles(v);
 if (k==='fill') { const [n, t] = v.split('='); await p.getByLabel(n).first().fill(t); }
 if (k==='top') await p.getByText(v).first().scrollIntoViewIfNeeded();
}
await p.waitForTimeout(500);
await p.screenshot({ path: out });
console.log(p.url());
await b.close();
