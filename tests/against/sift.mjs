// An evaluation of the rules of docs/formats.md that shares nothing with Gnomic's own: reads {entries, briefs, day} as JSON,
// prints for each brief the identifiers it selects and the step at which each other entry is kept out.
import { readFileSync } from 'node:fs';

const { entries, briefs, day } = JSON.parse(readFileSync(0, 'utf8'));
const characters = new Intl.Segmenter('und', { granularity: 'grapheme' });
const length = (text) => [...characters.segment(text.trim())].length;

const fold = (text) =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f\ufe0f]/g, '')
    .normalize('NFC')
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replaceAll('ς', 'σ');
const alone = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]/u;
/** Runs of letters, marks and numbers, each folded by itself; marks with nothing to stand on are no word. */
const tokens = (text) =>
  (text.normalize('NFC').match(/[\p{L}\p{N}][\p{L}\p{N}\p{M}]*/gu) ?? []).flatMap((whole) => {
    const run = fold(whole);
    const found = [];
    let word = '';
    for (const character of run) {
      if (alone.test(character)) {
        if (word) found.push(word);
        found.push(character);
        word = '';
      } else word += character;
    }
    return word ? [...found, word] : found;
  });
/** Whether the tokens of a term follow each other in those of a text; the last one may go on where a star ends the term. */
const says = (entry, term) => {
  const wanted = tokens(term);
  const open = term.trimEnd().endsWith('*');
  const text = tokens(`${entry.title ?? ''}\n${entry.text}`);
  return text.some((_, at) =>
    wanted.every((word, index) =>
      open && index === wanted.length - 1 ? text[at + index]?.startsWith(word) : text[at + index] === word,
    ),
  );
};
const tag = (text) => fold(text.replace(/^#+/, '')).replace(/\s+/g, ' ').trim();
const inText = (entry) =>
  [
    ...`${entry.title ?? ''}\n${entry.text}`.matchAll(
      /(?<![\p{L}\p{N}_])(?<![\p{L}\p{N}_]\p{M}+)#([\p{L}\p{N}\p{M}_]+)/gu,
    ),
  ]
    .map((found) => found[1])
    .filter((name) => !/^\p{N}+$/u.test(name));
const has = (tags, term) =>
  term.endsWith('*')
    ? tags.some((one) => tag(one).startsWith(tag(term.slice(0, -1))))
    : tags.some((one) => tag(one) === tag(term));
const lists = (wanted, test) =>
  (wanted.all ?? []).every(test) &&
  ((wanted.any ?? []).length === 0 || wanted.any.some(test)) &&
  !(wanted.none ?? []).some(test);

function stars({ rating }) {
  if (!rating) return null;
  const { value, best = 5, worst = 1 } = rating;
  // In proportion where the scale starts at 0 or at a tenth of its best, never below 1; else affine from the worst.
  return worst === 0 || worst === best / 10
    ? Math.max(1, (5 * value) / best)
    : 1 + (4 * (value - worst)) / (best - worst);
}

const steps = {
  sources: ({ gather: { sources } }, entry) => !sources || sources.includes(entry.source),
  subjects: ({ gather: { subjects } }, entry) => !subjects || subjects.includes(entry.subject),
  kinds: ({ gather: { kinds } }, entry) => !kinds || kinds.includes(entry.kind),
  hidden: ({ sift: { hidden = [] } }, entry) => !hidden.includes(entry.id),
  stars: ({ sift: { stars: wanted } }, entry) => {
    if (!wanted) return true;
    const given = stars(entry);
    if (given === null) return wanted.unrated === 'keep';
    const [from, to] = [wanted.from ?? 1, wanted.to ?? 5].sort((a, b) => a - b);
    return given >= from && given <= to;
  },
  words: ({ sift: { withWords } }, entry) => !withWords || entry.text.trim() !== '',
  length: ({ sift: { length: wanted } }, entry) => {
    if (!wanted) return true;
    const [from, to] = [wanted.from ?? 0, wanted.to ?? Infinity].sort((a, b) => a - b);
    return length(entry.text) >= from && length(entry.text) <= to;
  },
  pictures: ({ sift: { withPictures } }, entry) => !withPictures || entry.media.some(({ type }) => type === 'image'),
  reply: ({ sift: { withReply } }, entry) => !withReply || entry.reply !== null,
  languages: ({ sift: { languages } }, entry) => {
    if (!languages?.only) return true;
    if (entry.language === null) return languages.unknown === 'keep';
    const spoken = entry.language.toLowerCase();
    return languages.only.some((range) => `${spoken}-`.startsWith(`${range.toLowerCase()}-`));
  },
  when: ({ sift: { when } }, entry) => {
    if (!when) return true;
    if (!entry.published) return false;
    const said = entry.published.slice(0, 10); // all of them, and the site, are in UTC here
    const back = new Date(`${day}T00:00:00Z`);
    if (when.last) back.setUTCDate(back.getUTCDate() - when.last + 1);
    const [from, to] = when.from && when.to ? [when.from, when.to].sort() : [when.from, when.to];
    return (
      (!when.last || (said >= back.toISOString().slice(0, 10) && said <= day)) &&
      (!from || said >= from) &&
      (!to || said <= to)
    );
  },
  said: ({ sift: { words } }, entry) => !words || lists(words, (term) => says(entry, term)),
  hashtags: ({ sift: { hashtags } }, entry) =>
    !hashtags || lists(hashtags, (term) => has([...entry.tags, ...inText(entry)], term)),
  labels: ({ sift: { labels } }, entry) => !labels || lists(labels, (term) => has(entry.tags, term)),
};

/** By bytes, as identifiers are told apart. */
const bytes = (one, other) => Buffer.compare(Buffer.from(one.id), Buffer.from(other.id));
const time = (entry) => (entry.published ? Date.parse(entry.published) : null);
const last = (one, other) => Number(one === null) - Number(other === null);
const newest = (one, other) =>
  last(time(one), time(other)) || (time(other) ?? 0) - (time(one) ?? 0) || bytes(one, other);
const orders = {
  newest,
  oldest: (one, other) => last(time(one), time(other)) || (time(one) ?? 0) - (time(other) ?? 0) || bytes(one, other),
  highest: (one, other) =>
    last(stars(one), stars(other)) || (stars(other) ?? 0) - (stars(one) ?? 0) || newest(one, other),
  lowest: (one, other) =>
    last(stars(one), stars(other)) || (stars(one) ?? 0) - (stars(other) ?? 0) || newest(one, other),
  liked: (one, other) => (other.likes ?? -1) - (one.likes ?? -1) || newest(one, other),
  longest: (one, other) => length(other.text) - length(one.text) || newest(one, other),
};

function evaluate(brief) {
  const { gather = {}, sift = {} } = brief;
  const whole = { gather, sift };
  const pins = sift.pins ?? [];
  const out = {};
  const passed = entries.filter((entry) => {
    const step = Object.keys(steps).find(
      (key) => !(pins.includes(entry.id) && key !== 'hidden') && !steps[key](whole, entry),
    );
    if (step) out[entry.id] = step;
    return !step;
  });
  const place = (entry) => (pins.includes(entry.id) ? pins.indexOf(entry.id) : Infinity);
  passed.sort((one, other) =>
    place(one) === place(other) ? orders[sift.order ?? 'newest'](one, other) : place(one) - place(other),
  );
  let kept = passed;
  for (const [step, most, of] of [
    ['mostOfAuthor', sift.most?.author, (entry) => tokens(entry.author.name ?? '').join(' ') || null],
    ['mostOfSource', sift.most?.source, (entry) => entry.source],
  ]) {
    const counts = new Map();
    kept = kept.filter((entry) => {
      const name = of(entry);
      if (!most || name === null) return true;
      counts.set(name, (counts.get(name) ?? 0) + 1);
      if (counts.get(name) <= most || pins.includes(entry.id)) return true;
      out[entry.id] = step;
      return false;
    });
  }
  const limit = sift.limit ?? 10;
  for (const entry of kept.slice(limit)) out[entry.id] = 'shown';
  return { shown: kept.slice(0, limit).map(({ id }) => id), out };
}

process.stdout.write(JSON.stringify(briefs.map(evaluate)));
