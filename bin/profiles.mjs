// Writes core/Gather/Language/TrigramProfiles.php from the trigrams of the npm package franc: node bin/profiles.mjs
// The trigrams were counted on the Universal Declaration of Human Rights. Run again when the package changes.
import { writeFileSync } from 'node:fs';
import { data } from '../node_modules/franc/data.js';

/** The languages told apart, by the script they are written in: franc's code and ours (BCP 47). */
const LANGUAGES = {
  Latin: {
    eng: 'en',
    deu: 'de',
    fra: 'fr',
    spa: 'es',
    ita: 'it',
    nld: 'nl',
    por: 'pt',
    swe: 'sv',
    dan: 'da',
    nob: 'nb',
    pol: 'pl',
    ces: 'cs',
    slk: 'sk',
    hun: 'hu',
    ron: 'ro',
    fin: 'fi',
    tur: 'tr',
    hrv: 'hr',
    slv: 'sl',
    ekk: 'et',
    lvs: 'lv',
    lit: 'lt',
    cat: 'ca',
    vie: 'vi',
    ind: 'id',
  },
  Cyrillic: { rus: 'ru', ukr: 'uk', bel: 'be', bul: 'bg', mkd: 'mk', srp: 'sr' },
  Arabic: { arb: 'ar', pes: 'fa', urd: 'ur' },
  Devanagari: { hin: 'hi', mar: 'mr', npi: 'ne' },
};

const quoted = (text) => `'${text.replaceAll('\\', '\\\\').replaceAll("'", "\\'")}'`;
const scripts = Object.entries(LANGUAGES).map(([script, languages]) => {
  const lines = Object.entries(languages).map(
    ([theirs, ours]) => `            '${ours}' => ${quoted(data[script][theirs])},`,
  );
  return `        '${script}' => [\n${lines.join('\n')}\n        ],`;
});
writeFileSync(
  new URL('../core/Gather/Language/TrigramProfiles.php', import.meta.url),
  `<?php

declare(strict_types=1);

namespace Gnomic\\Gather\\Language;

/** The commonest trigrams of each language, the commonest first. Made by bin/profiles.mjs; not to be edited. */
final class TrigramProfiles
{
    public const BY_SCRIPT = [
${scripts.join('\n')}
    ];
}
`,
);
