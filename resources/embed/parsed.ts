/** An answer of a host. */
export interface Parsed {
  /** 0 where there was none. */
  status: number;
  /** Read as a document that runs nothing and shows nothing; null where it is not what was asked for. */
  content: Document | null;
}

/**
 * Fetches, and lets the browser parse before any script has the text: so it is no way in for text, and a page that lets none become markup
 * (Trusted Types) has nothing to say against it, not even on the console. Whoever ends it is answered as by nobody.
 */
export const parsed = (address: string, signal?: AbortSignal): Promise<Parsed> =>
  new Promise((resolve) => {
    const request = new XMLHttpRequest();
    request.open('GET', address);
    request.responseType = 'document';
    request.onloadend = () => {
      const { status, responseXML } = request;
      resolve({ status, content: status < 300 ? responseXML : null });
    };
    signal?.addEventListener('abort', () => request.abort());
    request.send();
  });

/** The one template that an edition is; null for anything else. */
export function editionIn(content: Document | null): HTMLTemplateElement | null {
  const first = content?.querySelector(':is(head, body) > :first-child');
  return first instanceof HTMLTemplateElement && first.matches('[shadowrootmode], [data-place]') ? first : null;
}
