import type { Failure, Telling } from './behaviours/failed';
import { enliven } from './enliven';
import { homeOf, hostsOf } from './hosts';
import { languageAround } from './language';
import { load } from './load';
import { editionIn, parsed } from './parsed';
import { adoptStyles } from './sheets';
import { whole } from './whole';

/** The file of what tells failures, set by the build. */
declare const GNOMIC_FAILED: string;

/** An edition; else the status of the answer, 0 where there was none. */
type Given = HTMLTemplateElement | number;

/** What to ask for on this page, the likeliest first: files of editions, or keys of other widgets. */
type Decide = (element: Element, told: DOMStringMap, key: string) => string[];

/** Where nothing comes, the room that was kept for it is the page's again; what the page held inside the tag stays. */
function giveBack(element: HTMLElement): void {
  element.style.removeProperty('padding-top');
  element.querySelector(':scope > svg > set')?.parentElement!.remove();
}

/**
 * `<gnomic-widget key="…">`: shows the edition that is out. Sets no cookie, keeps nothing, asks nobody but its host.
 * Where the page already holds the edition (a declarative shadow root), it only adds the behaviour.
 */
export class GnomicWidget extends HTMLElement {
  static observedAttributes = ['key'];

  /** Milliseconds before the one more try, of which chance takes up to as many again. */
  static patience = 1000;

  /** That was fetched and is shown. */
  edition?: Element;

  #visit?: AbortController; // present while connected
  #shown = '';
  #host = ''; // that gave what is shown

  connectedCallback(): void {
    void this.#show();
  }

  /** Shows an edition: the one that fits, or another that a visitor has chosen. */
  put(edition: HTMLTemplateElement, signal = this.#begun()): void {
    this.edition = edition;
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

  /** What was under way ends, and something else begins. */
  #begun(): AbortSignal {
    this.#visit?.abort();
    return (this.#visit = new AbortController()).signal;
  }

  async #show(): Promise<void> {
    const signal = this.#begun();
    await whole(this, signal);
    if (signal.aborted) return;
    const key = (this.getAttribute('key') ?? '').trim();
    const there = this.shadowRoot;
    if (there && (!this.#shown || this.#shown === key)) {
      this.#shown = key;
      adoptStyles(there, there);
      return enliven(this, there, this.#host || hostsOf(this)[0]!, signal);
    }
    // An address that is none is no host's.
    const given = await this.#found(key, signal).catch(() => 0);
    if (signal.aborted) return; // replaced or removed: no failure
    if (typeof given === 'number' || !given) {
      giveBack(this);
      return given === null ? undefined : this.#tell(key, given);
    }
    this.#shown = key;
    this.put(given, signal);
  }

  /** What the page held inside the tag stays to be seen; nothing broken is shown. */
  async #tell(key: string, status: number): Promise<void> {
    const detail = await load<Telling>(`${homeOf()}/b/${GNOMIC_FAILED}`)
      .then((failed) => failed(this.#host, key, status))
      .catch((): Failure => ({
        cause: 'network',
        error: new Error(`${this.#host} cannot be reached`),
        next: 'A Content-Security-Policy or an extension may block it',
      }));
    console.warn(`Gnomic: ${detail.error.message}. ${detail.next}`);
    this.dispatchEvent(new CustomEvent('gnomic-widget:failed', { detail }));
  }

  /** At the host of the tag; where it has no such widget and the page knows another Gnomic, there. Null: nothing is to show on this page. */
  async #found(key: string, signal: AbortSignal): Promise<Given | null> {
    let first: number | undefined;
    if (/^[a-z0-9]{4,40}$/.test(key))
      for (this.#host of hostsOf(this)) {
        const given = await this.#at(this.#host, key, signal);
        if (typeof given !== 'number') return given;
        // Another host is asked only for what this one does not have; what it says of that is no matter.
        if ((first ??= given) !== 404) break;
      }
    return first ?? 404;
  }

  async #at(host: string, key: string, signal: AbortSignal): Promise<Given | null> {
    const first = await this.#asked(host, `${key}/open.${languageAround(this)}.html`, signal);
    const told = typeof first === 'number' ? {} : first.dataset;
    if (!told['place']) return first;
    // What shows on which page and to whom, where that is not the same for all, is decided by a part of its own.
    const decide = await load<Decide>(`${host}/b/${told['place']}`).catch(() => () => [`${key}.html`]);
    let status = 404;
    for (const found of decide(this, told, key)) {
      const given = await (found.endsWith('l') ? this.#asked(host, found, signal) : this.#at(host, found, signal));
      if (typeof given !== 'number') return given;
      status = given;
    }
    // What nobody has made for this page is no failure.
    return status === 404 ? null : status;
  }

  /** What passes by itself is tried once more, not by all pages at the same moment. */
  async #asked(host: string, path: string, signal: AbortSignal): Promise<Given> {
    for (let isAgain = false; ; isAgain = true) {
      const { status, content } = await parsed(`${host}/w/${path}`, signal);
      const given = editionIn(content) ?? status;
      if (given !== status || status === 404 || isAgain || signal.aborted) return given;
      await new Promise((resolve) => setTimeout(resolve, GnomicWidget.patience * (1 + Math.random())));
    }
  }
}
