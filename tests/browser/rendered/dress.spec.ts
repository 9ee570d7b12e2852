import { expect, test, type Page } from '@playwright/test';
import { readdirSync } from 'node:fs';
import { cut, faultsOfAll, show, showAll } from '../faults';
import { axeIn } from '../people';
import { DIFFERENT, element, entries, LAYOUTS, render } from '../rendered';
import { LONG } from '../setting';

// How widgets look: every look over every layout, in several scripts, on light pages and dark ones, and with rules of the owner's own
// that would reach out of the widget.

const LOOKS = readdirSync('resources/looks')
  .filter((file) => file.endsWith('.json'))
  .map((file) => file.replace('.json', ''));
const WIDTHS = [320, 768, 1280];
const dressed = (dress: object, shape: object = { layout: { name: 'grid' } }, of = entries('both')): string =>
  element(render(shape as Record<string, unknown>, of, [], { dress }));

/** Paints every gradient in its first colour (0) or its last (-1) alone, and lifts links off cards; how many gradients there are. */
const flattened = (page: Page, end: number): Promise<number> =>
  page.locator('gnomic-widget').evaluateAll((hosts, end) => {
    let found = 0;
    for (const one of hosts.flatMap((host) => [...host.shadowRoot!.querySelectorAll<HTMLElement>('*')])) {
      const image = one.dataset['gradient'] ?? getComputedStyle(one).backgroundImage;
      const colour = image.startsWith('linear-gradient') ? image.match(/[a-z]+\([\d.,/ %e-]+\)/g)?.at(end) : undefined;
      if (colour === undefined) continue;
      found++;
      one.dataset['gradient'] = image;
      one.style.setProperty('background', colour, 'important');
    }
    // Of what lies under a link over a whole card, axe says nothing either.
    for (const host of hosts)
      for (const link of host.shadowRoot!.querySelectorAll<HTMLElement>('.open')) link.style.visibility = 'hidden';
    return found;
  }, end);

for (const [turn, look] of LOOKS.entries())
  test(`the look ${look} fits every layout, can be read in each, and is as high as predicted`, async ({ page }) => {
    await page.setViewportSize({ width: 1400, height: 900 });
    const dress = { name: look };
    // One of each kind; more of them in the long run.
    const few = entries('both', LONG ? 4 : 2);
    const all = DIFFERENT.map(([name, layout]) => [name, element(render({ layout }, few, [], { dress }))]);
    await showAll(page, Object.fromEntries(all) as Record<string, string>);
    // Each look at one width in turn, so that every layout is seen at all of them; each at all in the long run.
    const widths = LONG ? WIDTHS : [WIDTHS[turn % WIDTHS.length]!];
    for (const width of widths) {
      expect.soft(await faultsOfAll(page, width), `at ${width}`).toEqual({});
      expect.soft(await cut(page), `at ${width}`).toEqual([]);
    }
    // Before a gradient axe says nothing: each of its ends is looked at by itself.
    for (const end of [0, -1]) {
      const gradients = await flattened(page, end);
      const violations = await axeIn(page, '#w', { runOnly: ['color-contrast', 'link-in-text-block'] });
      const said = violations.map(({ nodes }) => nodes.map(({ html, target }) => `${String(target)}: ${html}`));
      expect.soft(said, 'contrast').toEqual([]);
      if (gradients === 0) break;
    }
    const width = 900;
    await faultsOfAll(page, width);
    for (const name of ['grid', 'list', 'masonry', 'carousel']) {
      const options = ['--heights', `--width=${width}`];
      const said = JSON.parse(render({ layout: LAYOUTS[name] }, few, options, { dress })) as {
        height: number;
      };
      const is = await page.evaluate(
        (name) =>
          document
            .querySelector(`[data-name="${name}"] gnomic-widget`)!
            .shadowRoot!.querySelector('.box')!
            .getBoundingClientRect().height,
        name,
      );
      // As many lines as the page's font, which nobody has measured, may make more or less of.
      expect.soft(Math.abs(is - said.height), `${name}: ${is} where ${said.height} was predicted`).toBeLessThan(150);
    }
  });

const SCRIPTS = {
  ar: 'ليلة ساحرة جدا في المرصد مع الأصدقاء والعائلة، والسماء صافية حتى الفجر. ',
  hi: 'वेधशाला में यह रात अविस्मरणीय रही, शनि के छल्ले बिल्कुल साफ़ दिखे। ',
  ja: '土星の輪がはっきり見えて、娘はレンズに貼ったシールかと尋ねました。また来ます。',
  el: 'Ο Κρόνος ήταν τόσο καθαρός που η κόρη μου ρώτησε αν ήταν αυτοκόλλητο στον φακό. ',
  th: 'ดาวเสาร์คมชัดมากจนลูกสาวถามว่าเป็นสติกเกอร์บนเลนส์หรือเปล่าสองชั่วโมงผ่านไปเหมือนสิบนาที',
  fa: 'زحل آن‌قدر واضح بود که دخترم پرسید آیا برچسبی روی عدسی است؛ دو ساعت مثل ده دقیقه گذشت. ',
  ur: 'زحل اتنا صاف نظر آیا کہ میری بیٹی نے پوچھا کیا یہ عدسے پر لگا اسٹیکر ہے، دو گھنٹے دس منٹ کی طرح گزر گئے۔ ',
  bn: 'শনি এতটাই স্পষ্ট ছিল যে আমার মেয়ে জিজ্ঞেস করল এটা লেন্সে লাগানো স্টিকার কি না, দুই ঘণ্টা দশ মিনিটের মতো কেটে গেল। ',
  ta: 'சனிக்கோள் மிகத் தெளிவாகத் தெரிந்ததால் லென்ஸில் ஒட்டப்பட்ட படமா என்று என் மகள் கேட்டாள். ',
};

/** From left to right and with blanks, as in English, or in the letters of another. */
const MORE = new Set(['hi', 'el', 'fa', 'bn', 'ta']);

const RIGHT_TO_LEFT = ['ar', 'fa', 'ur'];

for (const [language, text] of Object.entries(SCRIPTS))
  test(`every layout speaks ${language} without anything running over${MORE.has(language) ? ' @long' : ''}`, async ({
    page,
  }) => {
    await page.setViewportSize({ width: 1400, height: 900 });
    const of = entries('both').map((entry, index) => ({ ...entry, text: text.repeat(1 + (index % 4)), language }));
    const all = DIFFERENT.map(([name, layout]) => {
      const shape = { layout, actions: [{ does: 'review' }, { does: 'all' }], more: 'button' };
      return [name, element(render(shape, of, [`--language=${language}`]))];
    });
    await showAll(page, Object.fromEntries(all) as Record<string, string>);
    await page.evaluate(
      ([language, dir]) => {
        for (const box of document.querySelectorAll<HTMLElement>('.w')) [box.lang, box.dir] = [language, dir];
      },
      [language, RIGHT_TO_LEFT.includes(language) ? 'rtl' : 'ltr'] as const,
    );
    for (const width of [320, 1280]) expect.soft(await faultsOfAll(page, width), `at ${width}`).toEqual({});
    // By which quotation marks and fonts are chosen, and which a reset of everything would take away.
    const spoken = await page
      .locator('gnomic-widget')
      .first()
      .evaluate((host) => getComputedStyle(host.shadowRoot!.querySelector('.g')!).getPropertyValue('-webkit-locale'));
    expect(spoken).toBe(`"${language}"`);
  });

test('what is painted stands with its edge on the line of the page, or hangs out so that words do', async ({
  page,
}) => {
  const lefts = async (
    hang: number,
    width: number,
  ): Promise<{ column: number; card: number; words: number; head: number }> => {
    await page.setViewportSize({ width, height: 800 });
    const dress = { light: { surface: '#fff0e0' }, tokens: { inset: 24, edge: 1, hang, quotes: 0 } };
    await show(
      page,
      dressed(dress, { layout: { name: 'grid' } }, entries('reviews', 4)),
      'main{max-width:600px;margin:0 auto}',
    );
    return page.evaluate(() => {
      const root = document.querySelector('gnomic-widget')!.shadowRoot!;
      const left = (selector: string): number => Math.round(root.querySelector(selector)!.getBoundingClientRect().left);
      const column = Math.round(document.querySelector('main')!.getBoundingClientRect().left);
      return { column, card: left('.card'), words: left('.words'), head: left('.figures') };
    });
  };
  const flush = await lefts(0, 1200);
  expect([flush.card, flush.words]).toEqual([flush.column, flush.column + 25]);
  const hung = await lefts(1, 1200);
  expect([hung.card, hung.words]).toEqual([hung.column - 25, hung.column]);
  // On a phone there is nowhere to hang to.
  const phone = await lefts(1, 390);
  expect(phone.card).toBe(phone.column);
});

test('ratings are filled to a twentieth of a glyph', async ({ page }) => {
  const values = [1, 1.05, 2.25, 3.7, 4.95, 5];
  const of = values.map((value, index) => ({
    ...entries('reviews')[0],
    id: `v${index}`,
    rating: { value, best: 5, worst: 1 },
  }));
  for (const glyph of ['lozenge', 'star', 'dot', 'bar', 'heart']) {
    await show(page, dressed({ tokens: { glyph } }, { layout: { name: 'list' }, head: [] }, of));
    const filled = await page.evaluate(() =>
      [...document.querySelector('gnomic-widget')!.shadowRoot!.querySelectorAll('.card .glyphs')].map((one) => {
        // Each glyph with what is beside it is 18 units; it is drawn from the first to the fourteenth of 15.
        const inner = one.querySelector('svg');
        return inner ? Number(inner.getAttribute('width')) : 5 * 18;
      }),
    );
    const wanted = [...values].map((value) => {
      const whole = Math.floor(value + 1e-9);
      const part = value - whole;
      return whole * 18 + (part < 0.01 ? 0 : 1 + 13 * part);
    });
    expect(filled.map((one) => Number(one.toFixed(2))).sort()).toEqual(
      wanted.map((one) => Number(one.toFixed(2))).sort(),
    );
  }
});

const ink = (page: Page): Promise<string> =>
  page.evaluate(
    () => getComputedStyle(document.querySelector('gnomic-widget')!.shadowRoot!.querySelector('.g')!).color,
  );

test('a widget is light or dark as the page is, or as its visitor prefers', async ({ page }) => {
  const [light, dark] = ['rgb(32, 36, 44)', 'rgb(240, 241, 244)'];
  const fragment = dressed({ name: 'window' });
  await show(page, fragment);
  expect(await ink(page)).toBe(light);
  await show(page, fragment, ':root{color-scheme:dark}');
  expect(await ink(page)).toBe(dark);
  const visitor = dressed({ name: 'window', scheme: 'visitor' });
  await show(page, visitor);
  expect(await ink(page)).toBe(light);
  await page.emulateMedia({ colorScheme: 'dark' });
  expect(await ink(page)).toBe(dark);
  await show(page, dressed({ name: 'window', scheme: 'light' }));
  expect(await ink(page)).toBe(light);
});

test("what a page calls its own properties does not reach the widget's", async ({ page }) => {
  const names = [
    'ground',
    'ink',
    'quiet',
    'line',
    'accent',
    'rating',
    'link',
    'control',
    'surface',
    'back',
    'text',
    'heads',
    'weight',
    'leading',
    'corner',
    'rule',
    'edge',
    'inset',
    'down',
    'shadow',
    'gsize',
    'picture-corner',
    'picture-edge',
    'rows',
    'lines',
    'most',
  ];
  const look = (): Promise<string[]> =>
    page.evaluate(() =>
      [...document.querySelector('gnomic-widget')!.shadowRoot!.querySelectorAll('.g, .g *')].map((one) => {
        const { color, backgroundColor, fontFamily, fontWeight, borderRadius, padding, width, height } =
          getComputedStyle(one);
        return [color, backgroundColor, fontFamily, fontWeight, borderRadius, padding, width, height].join();
      }),
    );
  for (const name of ['paper', 'linen']) {
    await show(page, dressed({ name }));
    const before = await look();
    await show(page, dressed({ name }), `:root{${names.map((one) => `--${one}:9px`).join(';')}}`);
    expect(await look()).toEqual(before);
  }
});

/** Rules that would load something, leave the widget, or cover the page. */
const TRICKS = [
  '.card{background:url(https://evil.test/1)}',
  '.card{background-image:url("https://evil.test/2")}',
  '.card{background:URL(https://evil.test/3)}',
  '.card{background:u\\72l(https://evil.test/4)}',
  '.card{background:\\75 rl(https://evil.test/5)}',
  '.card{background:image-set("https://evil.test/6" 1x)}',
  '.card{background:-webkit-image-set(url(https://evil.test/7) 1x)}',
  '.card{background:cross-fade(url(https://evil.test/8),red)}',
  '.card{list-style-image:url(https://evil.test/9)}',
  '.card{content:url(https://evil.test/10)}',
  '.card::before{content:url(https://evil.test/11)}',
  '.card{cursor:url(https://evil.test/12),auto}',
  '.card{mask:url(https://evil.test/13)}',
  '.card{-webkit-mask-image:url(https://evil.test/14)}',
  '.card{filter:url(https://evil.test/15#f)}',
  '.card{clip-path:url(https://evil.test/16#c)}',
  '.card{border-image:url(https://evil.test/17) 1}',
  '.card{shape-outside:url(https://evil.test/18)}',
  '.card{offset-path:url(https://evil.test/19)}',
  '@import "https://evil.test/20";',
  '@import url(https://evil.test/21);',
  '@import/**/"https://evil.test/22";',
  '@\\69mport "https://evil.test/23";',
  '@charset "x";@import "https://evil.test/24";',
  '@font-face{font-family:x;src:url(https://evil.test/25)}.card{font-family:x}',
  '@namespace url(https://evil.test/26);',
  '@media screen{@import "https://evil.test/27";}',
  '@supports (a:b){.card{background:url(https://evil.test/28)}}',
  '@layer x{.card{background:url(https://evil.test/29)}}',
  '@property --ink{syntax:"<url>";inherits:true;initial-value:url(https://evil.test/30)}',
  '.card{--ink:url(https://evil.test/31);background:var(--ink)}',
  '.card{background:var(--none,url(https://evil.test/32))}',
  '.card{color:red;background:src("https://evil.test/33")}',
  '.card{background:image("https://evil.test/34")}',
  '.card{background:element(#x)}',
  '.card{background:paint(x)}',
  '.card{width:expression(alert(1))}',
  '.card{behavior:url(https://evil.test/35)}',
  '.card{-moz-binding:url(https://evil.test/36)}',
  'body{display:none}',
  'html,body{background:red}',
  '*{color:red!important}',
  'h1{display:none}',
  ':host{position:fixed;inset:0}',
  ':host-context(body){display:none}',
  ':host(gnomic-widget){margin:-500px}',
  '::slotted(*){display:none}',
  ':root{font-size:90px}',
  'gnomic-widget{position:absolute;top:0}',
  '.card{position:fixed;inset:0;z-index:9}',
  '.card{position:absolute;top:-900px}',
  '.card{position:sticky;top:0}',
  '.card{pos\\69tion:fixed;inset:0}',
  '.card{POSITION:FIXED;INSET:0}',
  '.card{margin:-900px}',
  '.card{margin-top:calc(0px - 900px)}',
  '.widget{margin-top:-400px}',
  '.card{transform:translateY(-900px)}',
  '.card{translate:0 -900px}',
  '.card{scale:40}',
  '.card{zoom:40}',
  '.card{inset:-900px}',
  '.card{top:-900px}',
  '.card{width:100vw;height:100vh}',
  '.card{font-size:9999px}',
  '.card{padding:99999px}',
  '.card{box-shadow:0 0 0 9999px red}',
  '.card{outline:9999px solid red}',
  '.card{text-shadow:-900px -900px red}',
  '.card{text-indent:-900em}',
  '.card{letter-spacing:900em}',
  '.card{animation:x 1s}',
  '@keyframes x{to{transform:scale(99)}}',
  '.card{float:left;clear:both}',
  '.card{anchor-name:--x}',
  '.card{view-transition-name:x}',
  '.card{contain:none}',
  '.widget{contain:none;overflow:visible}',
  '.widget{display:block}</style><script>fetch("https://evil.test/37")</script><style>',
  '.card::before{content:"</style><img src=https://evil.test/38>"}',
  '.card{color:red;}}body{display:none',
  '.card{color:red',
  '}body{display:none}',
  '.card{color:"\n}body{display:none}',
  '/*',
  '.card{/*}*/background:url(https://evil.test/39)}',
  '<!-- body{display:none} -->',
  '.card{color:red\\;}body{display:none}',
  '[part]{display:none}',
  '.card:has(~ *){display:none}',
  '.card:not(body){position:fixed}',
  '.box{contain:none!important;overflow:visible!important}',
  '.card{position:fixed!important}',
  '.card { background: url (https://evil.test/40) }',
  '.head{margin-top:calc(5px - 400px)}',
  '.widget{margin-top:calc(0px - 400px)}',
  '.card{padding:calc(1200px*400)}',
  '.card{font-size:calc(60em*9999)}',
  '.card{width:400%}',
  '.card{outline-offset:400px;outline:3px solid red}',
  '.card{filter:drop-shadow(400px 0 red)}',
  '.card{background:-moz-element(#a)}',
];

test('own rules that would reach out reach nothing and load nothing', async ({ page }) => {
  expect(TRICKS.length).toBeGreaterThanOrEqual(60);
  const asked: string[] = [];
  await page.route('**/evil.test/**', (route) => {
    asked.push(route.request().url());
    return route.abort();
  });
  await page.setViewportSize({ width: 1000, height: 900 });
  const around = async (css: string): Promise<unknown> => {
    await show(
      page,
      `<p id="before">Before, in the page's own words</p>${dressed({ css }, { layout: { name: 'list' } }, entries('reviews', 2))}<p id="after">After</p>`,
    );
    return page.evaluate(() => {
      const seen = (selector: string): unknown => {
        const one = document.querySelector(selector)!;
        const { x, y, width, height } = one.getBoundingClientRect();
        const { color, backgroundColor, fontSize, display, position } = getComputedStyle(one);
        const middle = document.elementFromPoint(x + Math.min(width / 2, 40), y + height / 2);
        return [x, y, width, height, color, backgroundColor, fontSize, display, position, middle === one];
      };
      const after = document.querySelector('#after')!;
      return {
        ran: (globalThis as Record<string, unknown>)['ran'] ?? null,
        // Where it begins is the widget's matter; that it follows the widget, and is the page's, is not.
        after: [getComputedStyle(after).color, getComputedStyle(after).display, after.getBoundingClientRect().x],
        wide: document.documentElement.scrollWidth,
        others: ['html', 'body', 'h1', '#before']
          .map(seen)
          .map((one) => (one as unknown[]).filter((_, at) => at !== 3)),
      };
    });
  };
  const usual = await around('');
  for (const trick of TRICKS) expect.soft(await around(trick), trick).toEqual(usual);
  expect(asked).toEqual([]);
});

/** Parts that say what was said and what it rests on. */
const SAID = ['figure', 'base', 'rating', 'glyphs', 'name', 'source', 'date', 'words'];

test('what was said stays to be seen as it is, and nothing is painted over the page', async ({ page }) => {
  await page.setViewportSize({ width: 800, height: 1400 });
  const extremes = [
    SAID.map(
      (part) =>
        `.${part}{display:none;font-size:0;color:transparent;opacity:0}.${part}::before{content:"5.0 of 5"}.${part}::after{content:" (verified)"}`,
    ).join(''),
    // As far as each property goes.
    '.card{padding:64px;margin:64px;border:16px solid red;border-radius:200px;font-size:64px;letter-spacing:8px;line-height:2.5}',
    '.widget{padding:calc(100% + 900em);margin:calc(100% - 4em)}',
    '.words,.name,.by{font-size:900em;padding:900em;margin:900em}',
    '.card,.head,.figure,.widget{opacity:.85;filter:brightness(.7) contrast(.8)}',
    '.card{box-shadow:24px 24px 40px 12px red,-24px -24px 40px 12px red;outline:6px solid red;outline-offset:8px}',
    '.name,.words{text-shadow:4px 4px 12px red;letter-spacing:-1px;word-spacing:-2px;line-height:1;font-size:.01em}',
    '.card,.by,.head{gap:64px;align-items:end;justify-content:end;text-align:right}',
    '.card::before{content:"»";display:block;width:480px;height:480px;padding:64px;background:red}',
    '.widget{--ink:#000;--inset:64px;--edge:12px;--corner:60px;--shadow:24px 24px 40px 12px red}',
  ];
  const shown = async (css: string): Promise<{ over: string; under: string; wide: number }> => {
    const around = 'height:120px;background:repeating-linear-gradient(45deg,#eee 0 6px,#bbd 6px 12px)';
    await show(
      page,
      `<div id="over" style="${around}"></div>${dressed({ css }, { layout: { name: 'list' } }, entries('reviews', 2))}<div id="under" style="${around}"></div>`,
      'body{margin:0;overflow-x:clip}',
    );
    const told = await page.evaluate(() => {
      const box = (id: string): DOMRect => document.getElementById(id)!.getBoundingClientRect();
      return {
        over: box('over').top + scrollY,
        under: box('under').top + scrollY,
        wide: document.documentElement.scrollWidth,
      };
    });
    const strip = async (y: number): Promise<string> =>
      (await page.screenshot({ clip: { x: 0, y, width: 800, height: 70 }, fullPage: true })).toString('base64');
    return { over: await strip(told.over), under: await strip(told.under + 48), wide: told.wide };
  };
  const usual = await shown('');
  for (const part of SAID) expect(await page.locator(`gnomic-widget .${part}`).count(), part).toBeGreaterThan(0);
  for (const css of extremes) {
    expect.soft(await shown(css), css).toEqual(usual);
    for (const part of SAID) {
      const element = page.locator(`gnomic-widget .${part}`).first();
      const told = await element.evaluate((one) => ({
        height: one.getBoundingClientRect().height,
        beside: ['before', 'after'].map((side) => getComputedStyle(one, `::${side}`).content).join(''),
      }));
      expect.soft(told.height, `${css} ${part}`).toBeGreaterThan(8);
      if (part !== 'glyphs') expect.soft(told.beside, `${css} ${part}`).toBe('nonenone');
      // Its pixels are there: without it, the picture is another.
      const seen = await element.screenshot();
      await element.evaluate((one: HTMLElement) => one.style.setProperty('opacity', '0', 'important'));
      expect.soft(seen.equals(await element.screenshot()), `${css} ${part}`).toBe(false);
      await element.evaluate((one: HTMLElement) => one.style.removeProperty('opacity'));
    }
  }
});

test('own rules that are meant are taken', async ({ page }) => {
  await show(
    page,
    dressed({ css: '.heading{letter-spacing:3px}\n::part(card):hover{opacity:.9}\n.name{color:#123456}' }),
  );
  const style = await page.evaluate(() => {
    const root = document.querySelector('gnomic-widget')!.shadowRoot!;
    return [
      getComputedStyle(root.querySelector('.heading')!).letterSpacing,
      getComputedStyle(root.querySelector('.name')!).color,
    ];
  });
  expect(style).toEqual(['3px', 'rgb(18, 52, 86)']);
  // The same parts are reached from the page's own style sheet.
  await show(page, dressed({}), 'gnomic-widget::part(name){color:rgb(1, 2, 3)}');
  const name = (): Promise<string> =>
    page.evaluate(
      () => getComputedStyle(document.querySelector('gnomic-widget')!.shadowRoot!.querySelector('.name')!).color,
    );
  expect(await name()).toBe('rgb(1, 2, 3)');
});
