// What Chromium does with pages that have a policy: which of the things a widget needs it lets them have. Reads JSON, prints JSON. Nothing
// goes over the network: every address is answered here.
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../browser/chromium.mjs';
import { readFileSync } from 'node:fs';

const patience = Number(process.argv[2] ?? 1);
const workers = patience > 1 ? 1 : 4;
const cases = JSON.parse(readFileSync(0, 'utf8'));
const PIXEL = Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64');
const SCRIPT = (host) =>
  `window.ran = true; import(${JSON.stringify(`${host}/b/0123456789ab.js`)}).then(() => (window.imported = true), () => 0);`;
const escaped = (text) => text.replace(/&/g, '&amp;').replace(/"/g, '&quot;');

// Frames in the process of their page: a process for each is most of the time.
const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-site-isolation-trials',
  '--disable-features=site-per-process',
];
const browser = await chromium.launch({ executablePath: CHROMIUM, args });
async function ask(page, { page: address, host, headers, reporting, metas, nonce, integrity }) {
  let framed = false;
  const attributes = `${nonce ? ` nonce="${nonce}"` : ''}${integrity ? ` integrity="${integrity}" crossorigin` : ''}`;
  const script = `<script src="${host}/gnomic.js"${attributes}></script>`;
  const html = `<!doctype html><meta charset="utf-8">${metas.map((one) => `<meta http-equiv="Content-Security-Policy" content="${escaped(one)}">`).join('')}
    <style${nonce ? ` nonce="${nonce}"` : ''}>#sheet{color:rgb(1,2,3)}</style><p id="sheet">a</p><p id="own" style="color:rgb(4,5,6)">b</p>
    <img id="picture" src="${host}/w/p/a.gif"><iframe src="${host}/w/dome4visit"></iframe>${script}`;
  await page.route('**/*', (route) => {
    const url = route.request().url();
    const cors = { 'Access-Control-Allow-Origin': '*' };
    if (url === address)
      return route.fulfill({
        contentType: 'text/html',
        // Several headers of a name are one with commas between.
        headers: {
          ...(headers.length ? { 'Content-Security-Policy': headers.join(', ') } : {}),
          ...(reporting.length ? { 'Content-Security-Policy-Report-Only': reporting.join(', ') } : {}),
        },
        body: html,
      });
    if (url.endsWith('.js'))
      return route.fulfill({
        contentType: 'text/javascript',
        headers: cors,
        body: url.endsWith('gnomic.js') ? SCRIPT(host) : 'export default 1',
      });
    if (url.endsWith('.gif')) return route.fulfill({ contentType: 'image/gif', headers: cors, body: PIXEL });
    if (url.endsWith('/w/dome4visit')) framed = true;
    return route.fulfill({ contentType: 'text/html', headers: cors, body: '<!doctype html>x' });
  });
  await page.goto(address, { waitUntil: 'commit', timeout: 8000 * patience }).catch(() => console.error(headers));
  await page.waitForTimeout(400 * patience);
  const found = page.evaluate(async (host) => {
    const colour = (id) => getComputedStyle(document.getElementById(id)).color;
    return {
      script: window.ran === true,
      import: window.imported === true,
      connect: await fetch(`${host}/w/dome4visit.html`).then(
        () => true,
        () => false,
      ),
      img: document.getElementById('picture').naturalWidth > 0,
      style: colour('sheet') === 'rgb(1, 2, 3)',
      'style-attribute': colour('own') === 'rgb(4, 5, 6)',
    };
  }, host);
  // Where no script runs at all, nobody can ask.
  const nobody = new Promise((resolve) => setTimeout(() => resolve({ script: false }), 3000 * patience));
  const one = { ...(await Promise.race([found.catch(() => ({ script: false })), nobody])), frame: framed };
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  return one;
}

const told = [];
await Promise.all(
  Array.from({ length: workers }, async (_, worker) => {
    const page = await browser.newPage();
    for (let at = worker; at < cases.length; at += workers) told[at] = await ask(page, cases[at]);
  }),
);
await browser.close();
process.stdout.write(JSON.stringify(told));
