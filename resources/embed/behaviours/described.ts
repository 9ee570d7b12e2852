import type { GnomicWidget } from '../widget';

const DATA = 'script[type="application/ld+json"]';

/** What the owner lets search engines read stands in the page itself, once a widget. It comes behind the edition. */
export default function described(root: ShadowRoot): void {
  const widget = root.host as GnomicWidget;
  const data = widget.edition?.nextElementSibling;
  const [first] = document.querySelectorAll(`gnomic-widget[key="${widget.getAttribute('key')?.trim()}"]`);
  if (!data?.matches(DATA) || first !== widget) return;
  widget.querySelector(DATA)?.remove();
  widget.append(document.importNode(data, true));
}
