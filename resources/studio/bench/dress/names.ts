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
};

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
};

export const tokenName = (token: string): string => COLOURS[token] ?? TOKENS[token] ?? token;
