/** What is counted, in the order in which it is told. */
export const SHOWN = 0;
export const VIEWS = 1;
export const OPENINGS = 2;
export const READS = 3;
export const CLICKS = 4;
export const ENGAGED = 5;

export type TallyEntry = [ref: string, openings: number, reads: number, clicks: number];

/** Of a widget, what has not been sent yet. */
export interface Tally {
  host: string;
  element: Element;
  /** Of the element when it came, or was seen, in CSS pixels. */
  width: number;
  counts: number[];
  /** Whether somebody has done something with it on this page; the first time is counted. */
  isEngaged: boolean;
  entries: TallyEntry[];
}

/** What counts a press, or what else has happened to a part of a widget. */
export type Pressed = (event: Event, target: Element, root: ShadowRoot, tally: Tally) => void;
