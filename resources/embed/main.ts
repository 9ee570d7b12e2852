import { define } from './define';
import { settle } from './hosts';

settle(document.currentScript);
define();
