import { define } from './define';
import { homeOf, settle } from './hosts';
import { load } from './load';

settle(document.currentScript);
define();
// The owner, who came from the studio, sees a link beside each widget; nobody else fetches anything for it.
if (location.hash.startsWith('#gnomic-owner='))
  load<(host: string) => void>(`${homeOf()}/owner.js`).then((show) => show(homeOf()));
