// Prints what reference libraries make of colours: read from CSS, in OKLCH, mapped into sRGB, and as other eyes see them.
import Color from 'colorjs.io';
import {
  converter,
  filterDeficiencyProt,
  filterDeficiencyDeuter,
  filterDeficiencyTrit,
  formatHex8,
  parse,
  toGamut,
} from 'culori';

const asked = JSON.parse(await new Response(process.stdin).text());
const rgb = converter('rgb');
const oklch = converter('oklch');
const mapped = toGamut('rgb', 'oklch');
const channels = (colour) =>
  [colour.r, colour.g, colour.b, colour.alpha ?? 1].map((one) => Math.min(1, Math.max(0, one)));

process.stdout.write(
  JSON.stringify({
    read: asked.read.map((css) => {
      const colour = new Color(css);
      return [
        ...colour
          .to('srgb')
          .toGamut({ space: 'srgb', method: 'clip' })
          .coords.map((one) => one ?? 0),
        colour.alpha,
      ];
    }),
    oklch: asked.hex.map((hex) => {
      const { l, c, h = 0 } = oklch(hex);
      return [l, c, h];
    }),
    culori: asked.lch.map(([l, c, h]) => channels(mapped({ mode: 'oklch', l, c, h }))),
    colorjs: asked.lch.map(([l, c, h]) =>
      new Color('oklch', [l, c, h])
        .to('srgb')
        .toGamut({ space: 'srgb', method: 'css' })
        .coords.map((one) => Math.min(1, Math.max(0, one))),
    ),
    seen: asked.hex.map((hex) =>
      [filterDeficiencyProt(1), filterDeficiencyDeuter(1), filterDeficiencyTrit(1)].map((filter) =>
        channels(rgb(filter(rgb(hex)))),
      ),
    ),
    hex: asked.hex.map((hex) => formatHex8(parse(hex))),
  }),
);
