/** An answer of a host, read as a document that runs nothing and shows nothing. */
export interface Parsed {
  status: number;
  ok: boolean;
  content: Document;
}

/**
 * Fetches, and lets the browser parse before any script has the text: so it is no way in for text, and a page that lets none become markup
 * (Trusted Types) has nothing to say against it, not even on the console.
 */
export function parsed(address: string, signal: AbortSignal): Promise<Parsed> {
  return new Promise((resolve, reject) => {
    if (signal.aborted) return reject(signal.reason as Error);
    const request = new XMLHttpRequest();
    request.open('GET', address);
    request.responseType = 'document';
    request.onload = () => {
      const { status, responseXML } = request;
      // What is no markup is no edition.
      const content = responseXML ?? document.implementation.createHTMLDocument('');
      resolve({ status, ok: status >= 200 && status < 300, content });
    };
    request.onerror = () => reject(new TypeError('No answer'));
    request.onabort = () => reject(signal.reason as Error);
    signal.addEventListener('abort', () => request.abort());
    request.send();
  });
}

/** The one template that an edition is; null for anything else. */
export function editionIn(content: Document): HTMLTemplateElement | null {
  const [first] = [...(content.head?.children ?? []), ...(content.body?.children ?? [])];
  return first instanceof HTMLTemplateElement && first.matches('[shadowrootmode], [data-place]') ? first : null;
}
