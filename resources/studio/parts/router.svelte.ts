/** Where the owner is: the path of the address, and moving without loading. */
class Router {
  path = $state(location.pathname);

  constructor() {
    addEventListener('popstate', () => (this.path = location.pathname));
  }

  go(path: string): void {
    if (path !== location.pathname + location.search) history.pushState(null, '', path);
    this.path = location.pathname;
    document.querySelector('main')?.focus();
  }

  /** For links: plain clicks stay in the studio, the others are the browser's. */
  follow = (event: MouseEvent): void => {
    const link = (event.target as Element).closest('a');
    if (!link || link.target || event.ctrlKey || event.metaKey || event.shiftKey || event.button !== 0) return;
    const url = new URL(link.href);
    if (url.origin !== location.origin || /^\/(?:w|api|grants)\//.test(url.pathname)) return;
    event.preventDefault();
    this.go(url.pathname + url.search);
  };
}

export const router = new Router();
