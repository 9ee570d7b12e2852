/** An answer of a host, read as a document that runs nothing and shows nothing. */
export interface Parsed {
  status: number;
  ok: boolean;
  content: Document;
}

const WITHOUT: RequestInit = { credentials: 'omit', referrerPolicy: 'strict-origin' };

/**
 * Fetches and parses. Where a page lets no text become markup (Trusted Types), the browser parses the answer itself before any script
 * has it, which is no way in for text.
 */
export async function parsed(address: string, signal: AbortSignal): Promise<Parsed> {
  const answer = await fetch(address, { ...WITHOUT, signal });
  const text = await answer.text();
  let content: Document;
  try {
    content = new DOMParser().parseFromString(text, 'text/html');
  } catch {
    content = await byTheBrowser(address);
  }
  return { status: answer.status, ok: answer.ok, content };
}

const byTheBrowser = (address: string): Promise<Document> =>
  new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open('GET', address);
    request.responseType = 'document';
    request.onload = () => (request.responseXML ? resolve(request.responseXML) : reject(new TypeError('No document')));
    request.onerror = reject;
    request.send();
  });

/** The one template that an edition is; null for anything else. */
export function editionIn(content: Document): HTMLTemplateElement | null {
  const [first] = [...content.head.children, ...content.body.children];
  return first instanceof HTMLTemplateElement && first.matches('[shadowrootmode], [data-place]') ? first : null;
}
