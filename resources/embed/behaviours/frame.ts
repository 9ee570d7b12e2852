// In a document of its own, that a page has in a frame: tells the page how high it is, so that the frame can be as high.
const tell = (): void =>
  parent.postMessage({ gnomicHeight: Math.ceil(document.documentElement.getBoundingClientRect().height) }, '*');

if (parent !== window) {
  // What stays in the window has no height of its own; what is laid out has.
  new ResizeObserver(tell).observe(document.documentElement);
  addEventListener('load', tell);
  // Links open beside the page, and not in the frame.
  for (const link of document.querySelectorAll('a[href]:not([target])')) link.setAttribute('target', '_blank');
  tell();
}

export {};
