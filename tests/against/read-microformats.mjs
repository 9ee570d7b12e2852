// Prints what npm microformats-parser finds in the page on standard input, in the form that MarkupTest compares.
import { readFileSync } from 'node:fs';
import { mf2 } from 'microformats-parser';

const { items } = mf2(readFileSync(0, 'utf8'), { baseUrl: process.argv[2] });
const first = (item, name) => item.properties[name]?.[0];
process.stdout.write(
  JSON.stringify(
    items.map((item) => {
      const author = first(item, 'author');
      const photo = author && first(author, 'photo');
      return {
        name: first(item, 'name'),
        author: (author && first(author, 'name')) ?? null,
        photo: photo?.value ?? photo ?? null,
        rating: first(item, 'rating') ?? null,
        words: (first(item, 'content')?.value ?? first(item, 'summary') ?? '').replace(/\s+/g, ''),
        url: first(item, 'url') ?? null,
        published: first(item, 'published')?.slice(0, 10) ?? null,
        item: first(item, 'item') ? first(first(item, 'item'), 'name') : null,
        category: item.properties.category ?? [],
      };
    }),
  ),
);
