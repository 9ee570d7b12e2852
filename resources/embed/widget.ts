import { enliven } from './enliven';
import { broken, causeOf, type Failure, noWidget, policyOf, refused, unreached } from './failure';
import { hostsOf } from './hosts';
import { editionIn, parsed } from './parsed';
import { languageAround } from './language';
import { load } from './load';
import { adoptStyles } from './sheets';
import { whole } from './whole';

/** What to ask for on this page, the likeliest first: files of editions, or keys of other widgets. */
type Decide = (element: Element, told: DOMStringMap, key: string) => string[];

/** Where nothing comes, the room that was kept for it is the page's again; what the page held inside the tag stays. */
function giveBack(element: HTMLElement): void {
  element.style.removeProperty('padding-top');
  for (const kept of element.children) if (kept.matches('svg') && kept.querySelector('set')) kept.remove();
}

/**
 * `<gnomic-widget key="…">`: shows the edition that is out. Sets no cookie, keeps nothing, asks nobody but its host.
 * Where the page already holds the edition (a declarative shadow root), it only adds the behaviour.
 */
export class GnomicWidget extends HTMLElement {
  static observedAttributes = ['key'];

  /** Milliseconds before the one more try, of which chance takes up to as many again. */
  static patience = 1000;

  #visit?: AbortController; // present while connected
  #shown = '';
  #host = ''; // that gave what is shown

  connectedCallback(): void {
    void this.#show();
  }

  /** Shows an edition: the one that fits, or another that a visitor has chosen. */
  put(edition: HTMLTemplateElement, signal?: AbortSignal): void {
    if (!signal) {
      this.#visit?.abort();
      ({ signal } = this.#visit = new AbortController());
    }
    const root = this.shadowRoot ?? this.attachShadow({ mode: 'open' });
    const content = document.importNode(edition.content, true);
    root.adoptedStyleSheets &&= [];
    adoptStyles(root, content);
    root.replaceChildren(content);
    enliven(this, root, this.#host || hostsOf(this)[0]!, signal);
  }

  disconnectedCallback(): void {
    this.#visit?.abort();
    this.#visit = undefined;
  }

  attributeChangedCallback(): void {
    if (this.#visit) void this.#show();
  }

  async #show(): Promise<void> {
    this.#visit?.abort();
    const { signal } = (this.#visit = new AbortController());
    await whole(this, signal);
    if (signal.aborted) return;
    const key = (this.getAttribute('key') ?? '').trim();
    const there = this.shadowRoot;
    if (there && (!this.#shown || this.#shown === key)) {
      this.#shown = key;
      adoptStyles(there, there);
      return enliven(this, there, this.#host || hostsOf(this)[0]!, signal);
    }
    try {
      if (!/^[a-z0-9]{4,40}$/.test(key)) throw noWidget(key);
      const edition = await this.#found(key, signal);
      if (signal.aborted) return;
      if (!edition) return giveBack(this);
      this.#describe(edition);
      this.#shown = key;
      this.put(edition, signal);
    } catch (error) {
      if (signal.aborted) return; // replaced or removed: no failure
      giveBack(this);
      const detail = causeOf(error) ? (error as Failure) : broken('Gnomic', (error as Error).message);
      // What the page held inside the tag stays to be seen; nothing broken is shown.
      console.warn(`Gnomic: ${detail.error.message}. ${detail.next}`);
      this.dispatchEvent(new CustomEvent('gnomic-widget:failed', { detail }));
    }
  }

  /** At the host of the tag; where it has no such widget and the page knows another Gnomic, there. */
  async #found(key: string, signal: AbortSignal): Promise<HTMLTemplateElement | null> {
    let first: unknown;
    for (const host of hostsOf(this)) {
      try {
        this.#host = host;
        return await this.#at(host, key, signal);
      } catch (error) {
        first ??= error;
        // Another host is asked only for what this one does not have; what it says of that is no matter.
        if (signal.aborted || causeOf(first) !== 'address') break;
      }
    }
    throw first;
  }

  /** Null: nothing is to show on this page. */
  async #at(host: string, key: string, signal: AbortSignal): Promise<HTMLTemplateElement | null> {
    const first = await this.#patiently(host, `${key}/open.${languageAround(this)}.html`, signal);
    const { place } = first.dataset;
    if (!place) return first;
    // What shows on which page and to whom, where that is not the same for all, is decided by a part of its own.
    const decide = await load<Decide>(`${host}/b/${place}`).catch(() => () => [`${key}.html`]);
    let failed: unknown;
    for (const found of decide(this, first.dataset, key))
      try {
        return await (found.endsWith('l') ? this.#patiently(host, found, signal) : this.#at(host, found, signal));
      } catch (error) {
        failed = error;
      }
    // What nobody has made for this page is no failure.
    if (failed && causeOf(failed) !== 'address') throw failed;
    return null;
  }

  /** What passes by itself is tried once more, not by all pages at the same moment. */
  async #patiently(host: string, path: string, signal: AbortSignal): Promise<HTMLTemplateElement> {
    try {
      return await this.#edition(host, path, signal);
    } catch (error) {
      if (signal.aborted || !/network|server/.test(causeOf(error) ?? '')) throw error;
      await new Promise((resolve) => setTimeout(resolve, GnomicWidget.patience * (1 + Math.random())));
      signal.throwIfAborted();
      return this.#edition(host, path, signal);
    }
  }

  async #edition(host: string, path: string, signal: AbortSignal): Promise<HTMLTemplateElement> {
    const isRefused = policyOf(host, signal);
    let answer;
    try {
      answer = await parsed(`${host}/w/${path}`, signal);
    } catch (error) {
      if (signal.aborted) throw error;
      throw (await isRefused()) ? refused(host) : unreached(host);
    }
    if (answer.status === 404) throw noWidget(path.split(/[/.]/)[0] ?? '');
    if (!answer.ok) throw broken(host, `answered with status ${answer.status}`);
    const edition = editionIn(answer.content);
    if (!edition) throw broken(host, 'answered with something else than a widget');
    return edition;
  }

  /** What the owner lets search engines read stands in the page itself, once a widget. */
  #describe(edition: Element): void {
    const data = edition.nextElementSibling;
    const [first] = document.querySelectorAll(`gnomic-widget[key="${this.getAttribute('key')?.trim()}"]`);
    if (data?.matches('script[type="application/ld+json"]') && first === this) {
      this.querySelector('script[type="application/ld+json"]')?.remove();
      this.append(document.importNode(data, true));
    }
  }
}
