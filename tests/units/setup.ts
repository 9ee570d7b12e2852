import { answer } from './interface';

// Node's Request knows no page, so an address without a host has none to belong to.
const Plain = globalThis.Request;
globalThis.Request = class extends Plain {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === 'string' ? new URL(input, location.href) : input, init);
  }
};
globalThis.fetch = answer;

/** As browsers do, by the same answers: the document of what was fetched. */
globalThis.XMLHttpRequest = class {
  status = 0;
  responseType = '';
  responseXML: Document | null = null;
  onloadend?: () => void;
  #address = '';
  open(_way: string, address: string): void {
    this.#address = address;
  }
  send(): void {
    fetch(this.#address).then(
      async (given) => {
        this.status = given.status;
        this.responseXML = new DOMParser().parseFromString(await given.text(), 'text/html');
        this.onloadend?.();
      },
      () => this.onloadend?.(),
    );
  }
  abort(): void {
    this.onloadend?.();
  }
} as unknown as typeof XMLHttpRequest;
