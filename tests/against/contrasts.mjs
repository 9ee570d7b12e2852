// Prints the least contrast of colours with what is behind them, by culori: gradients mixed premultiplied, what lets through laid over
// what is below it. JSON comes on standard input: sets of {ground, groundTo, behind, behindTo, surface, over: [[colour, "ground"]…]}.
import { blend, parse, wcagLuminance } from 'culori';

const POINTS = 17;
const asked = JSON.parse(await new Response(process.stdin).text());
const along = (from, to) => {
  if (!to) return [parse(from)];
  const [one, two] = [parse(from), parse(to)];
  const [alpha, beta] = [one.alpha ?? 1, two.alpha ?? 1];
  // CSS Images 4, 3.1: channels times alpha are mixed, and divided by the alpha that is mixed.
  return Array.from({ length: POINTS }, (_, at) => {
    const [own, other] = [(1 - at / (POINTS - 1)) * alpha, (at / (POINTS - 1)) * beta];
    const mixed = (a, b) => (own + other === 0 ? 0 : (a * own + b * other) / (own + other));
    return { mode: 'rgb', r: mixed(one.r, two.r), g: mixed(one.g, two.g), b: mixed(one.b, two.b), alpha: own + other };
  });
};
const ends = (colours) => {
  const light = colours.map((one) => wcagLuminance(one));
  return [Math.min(...light), Math.max(...light)];
};
const contrast = (colour, [least, most]) => {
  const own = wcagLuminance(parse(colour));
  if (own < least) return (least + 0.05) / (own + 0.05);
  return own > most ? (own + 0.05) / (most + 0.05) : 1;
};

process.stdout.write(
  JSON.stringify(
    asked.map(({ ground, groundTo, behind, behindTo, surface, button, over }) => {
      const below = along(behind, behindTo);
      const seen = along(ground, groundTo).flatMap((one) => below.map((under) => blend([under, one], 'normal')));
      const on = {
        ground: ends(seen),
        surface: ends(seen.map((under) => blend([under, parse(surface)], 'normal'))),
        button: button ? ends([parse(button)]) : null,
      };
      return over.map(([colour, where]) => contrast(colour, on[where]));
    }),
  ),
);
