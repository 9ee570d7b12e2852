import { answer } from './interface';

// Node's Request knows no page, so an address without a host has none to belong to.
const Plain = globalThis.Request;
globalThis.Request = class extends Plain {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === 'string' ? new URL(input, location.href) : input, init);
  }
};
globalThis.fetch = answer;
