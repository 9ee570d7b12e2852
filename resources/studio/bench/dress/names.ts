/** Colours of a look, as the owner reads them wherever they are named. */
export const COLOURS: Record<string, string> = {
  ground: 'Background',
  groundTo: 'Background, gradient to',
  surface: 'Cards',
  ink: 'Text',
  quiet: 'Small print',
  line: 'Lines',
  accent: 'Accent',
  rating: 'Ratings',
  link: 'Links',
  control: 'Controls',
  behind: 'Page background',
  behindTo: 'Page background, gradient to',
  heading: 'Headings',
  button: 'Buttons',
  buttonInk: 'Text on buttons',
  buttonLine: 'Edge of buttons',
  cardInk: 'Text on cards',
  cardQuiet: 'Small print on cards',
  cardAccent: 'Accent on cards',
  cardRating: 'Ratings on cards',
  cardLink: 'Links on cards',
  cardControl: 'Focus ring on cards',
};

/** Those that may let through what is behind them. */
const OPEN = ['ground', 'groundTo', 'surface', 'line', 'behind', 'behindTo'];

/** What is said where there is none of a colour; undefined where there is always one. */
export function none(token: string): string | undefined {
  if (token === 'ground' || token === 'surface' || token === 'line') return '#ffffff00';
  return ['ink', 'quiet', 'accent', 'rating', 'link', 'control', 'behind'].includes(token) ? undefined : 'none';
}

/** What is read where a colour is missing. */
export function missing(token: string): string {
  if (token === 'heading') return 'as text';
  if (token === 'buttonInk') return 'as it reads';
  return token.startsWith('card') ? 'as elsewhere' : 'none';
}

export const letsThrough = (token: string): boolean => OPEN.includes(token);

/** What colours are of, in the order of the list. */
export const GROUPS: [string, string[]][] = [
  ['Behind', ['ground', 'groundTo', 'behind', 'behindTo']],
  ['Words and signs', ['ink', 'heading', 'quiet', 'accent', 'rating', 'link', 'control']],
  ['Cards', ['surface', 'line', 'cardInk', 'cardQuiet', 'cardAccent', 'cardRating', 'cardLink', 'cardControl']],
  ['Buttons', ['button', 'buttonInk', 'buttonLine']],
];

const TOKENS: Record<string, string> = {
  angle: 'Angle of the gradient',
  picture: 'Picture behind everything',
  text: 'Font of the text',
  headings: 'Font of the headings',
  size: 'Text size, %',
  weight: 'Heading weight',
  leading: 'Line height, %',
  corner: 'Corners, px',
  rule: 'Lines between cards, px',
  edge: 'Line around cards, px',
  shadow: 'Shadow',
  gap: 'Between cards, px',
  inset: 'Within cards, px',
  pictureCorner: 'Corners of pictures, px',
  pictureEdge: 'Line around pictures, px',
  glyph: 'Rating glyphs',
  glyphSize: 'Size of glyphs, %',
  hover: 'Under the pointer',
  quotes: 'Quotation marks',
  head: 'Heading and figures',
  lines: 'Lines stand',
  measure: 'Line length at most, characters',
  pad: 'Above and below cards, px',
  sizeNarrow: 'Text size on phones, %',
  insetNarrow: 'Within cards on phones, px',
  headingSize: 'Heading size, %',
  headingNarrow: 'Heading size on phones, %',
  headingLeading: 'Heading line height, %',
  headingCase: 'Capitals in headings',
  headingSpacing: 'Letter spacing of headings, ‰',
  buttonCorner: 'Corners of buttons, px',
  buttonWeight: 'Button weight',
  buttonCase: 'Capitals on buttons',
  links: 'Links are told',
  hang: 'Painted edges hang out of the column',
};

export const tokenName = (token: string): string => COLOURS[token] ?? TOKENS[token] ?? token;
