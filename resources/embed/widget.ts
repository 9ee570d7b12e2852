import { behaviours } from './behaviours';
import { fitting, languageAround } from './variants';
import { whole } from './whole';

/**
 * `<gnomic-widget key="…">`: shows the edition that is out. Sets no cookie, keeps nothing, asks nobody but its host.
 * Where the page already holds the edition (a declarative shadow root), it only adds the behaviour.
 */
export class GnomicWidget extends HTMLElement {
  static observedAttributes = ['key'];
  /** Origin of the editions. */
  static host = '';

  #visit?: AbortController; // present while connected
  #shown = '';

  connectedCallback(): void {
    void this.#show();
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
    const key = this.getAttribute('key') ?? '';
    const there = this.shadowRoot;
    if (there && (!this.#shown || this.#shown === key)) {
      this.#shown = key;
      return this.#enliven(there, signal);
    }
    try {
      if (!/^[a-z0-9]{4,40}$/.test(key)) throw new Error(`"${key}" is no key of a widget`);
      let edition = await this.#edition(`${key}.html`, signal);
      const manifest = edition?.getAttribute('data-variants');
      const variant = manifest ? fitting(manifest, languageAround(this), location.pathname) : '';
      // One that cannot be had leaves the usual one, which is never wrong.
      if (variant) edition = (await this.#edition(`${key}/at.${variant}.html`, signal).catch(() => null)) ?? edition;
      if (!edition || signal.aborted) return;
      const root = there ?? this.attachShadow({ mode: 'open' });
      root.replaceChildren(edition.content);
      this.#shown = key;
      this.#enliven(root, signal);
    } catch (error) {
      if (signal.aborted) return; // replaced or removed: no failure
      // What the page held inside the tag stays to be seen; nothing broken is shown.
      console.warn(`Gnomic: ${(error as Error).message}. Copy the code of the widget once more.`);
      this.dispatchEvent(new CustomEvent('gnomic-widget:failed', { detail: { error } }));
    }
  }

  async #edition(path: string, signal: AbortSignal): Promise<HTMLTemplateElement | null> {
    const answer = await fetch(`${GnomicWidget.host}/w/${path}`, { signal, credentials: 'omit' });
    if (!answer.ok)
      throw new Error(
        answer.status === 404
          ? `there is no widget with the key ${this.getAttribute('key')}`
          : `status ${answer.status}`,
      );
    const holder = document.createElement('template');
    holder.innerHTML = await answer.text();
    return holder.content.querySelector('template');
  }

  #enliven(root: ShadowRoot, signal: AbortSignal): void {
    for (const enliven of behaviours) enliven(root, signal);
  }
}
