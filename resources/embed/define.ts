import { GnomicWidget } from './widget';

/** Registers the element, once however often the tag is pasted. */
export function define(): void {
  if (!customElements.get('gnomic-widget')) customElements.define('gnomic-widget', GnomicWidget);
}
