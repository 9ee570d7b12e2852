/** Whether a key was meant for the field it was typed in. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement;
  return (
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    target.isContentEditable ||
    target.matches('textarea, select, input:not([type=checkbox], [type=radio], [type=range])')
  );
}

/** Whether a dialog is open, which then has the keyboard to itself. */
export const inDialog = (): boolean => document.querySelector('dialog[open]') !== null;
