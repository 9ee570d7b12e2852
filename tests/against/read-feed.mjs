// Prints what two well-known readers make of a feed: node read-feed.mjs FILE. Used by RssTest.
import { createReadStream, readFileSync } from 'node:fs';
import FeedParser from 'feedparser';
import RssParser from 'rss-parser';

const file = process.argv[2];
const items = [];
await new Promise((resolve, reject) => {
  const parser = new FeedParser({ addmeta: false, feedurl: 'https://hill.example/feed.xml' });
  parser.on('error', reject);
  parser.on('end', resolve);
  parser.on('readable', function () {
    for (let item; (item = this.read());)
      items.push({
        id: item.guid,
        title: item.title,
        url: item.link,
        date: item.pubdate?.toISOString() ?? null,
        author: item.author,
      });
  });
  createReadStream(file).pipe(parser);
});
const other = await new RssParser().parseString(readFileSync(file, 'utf8'));
process.stdout.write(
  JSON.stringify({
    feedparser: items,
    rssParser: other.items.map((item) => ({
      title: item.title ?? null,
      url: item.link ?? null,
      date: item.isoDate ?? null,
      text: item.contentSnippet ?? '',
    })),
  }),
);
