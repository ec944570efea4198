import { chromium } from '@playwright/test';
const [stop, tag, w = '1280', h = '800', ...steps] = process.argv.slice(2);
const JOB = process.env.JOB ?? '0199b9a6-0003-7000-8000-000000000001';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const context = await browser.newContext({ viewport: { width: +w, height: +h }, locale: 'en-GB', timezoneId: 'Europe/Zurich', colorScheme: process.env.THEME === 'dark' ? 'dark' : 'light' });
const page = await context.newPage();
page.on('pageerror', (e) => console.log('ERR', e.message.slice(0, 300)));
page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text().slice(0, 300)));
const url = stop.startsWith('/') ? stop : `/jobs/${JOB}/${stop}`;
await page.goto(`http://localhost:4599${url}`);
await page.waitForTimeout(+(process.env.WAIT ?? 2500));
for (const s of steps) {
  const i = s.indexOf(':'); const [k, v] = [s.slice(0, i), s.slice(i + 1)];
  if (k === 'button') await page.getByRole('button', { name: new RegExp(v) }).first().click({ timeout: 8000 });
  else if (k === 'click') await page.getByText(v).first().click();
  else if (k === 'css') await page.locator(v).first().click();
  else if (k === 'key') await page.keyboard.press(v);
  else if (k === 'type') await page.keyboard.type(v);
  else if (k === 'scroll') await page.getByText(v).first().scrollIntoViewIfNeeded();
  else if (k === 'wait') await page.waitForTimeout(+v);
  else if (k === 'select') { const [l, o] = v.split('='); await page.getByLabel(l).first().selectOption({ label: o }); }
  else if (k === 'fill') { const [l, o] = v.split('='); await page.getByLabel(l).first().fill(o); await page.keyboard.press('Tab'); }
  await page.waitForTimeout(500);
}
await page.screenshot({ path: `/tmp/pics/${process.env.OUT ?? tag}.png`, fullPage: !!process.env.FULL });
await browser.close();
