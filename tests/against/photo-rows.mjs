// Rows of pictures as the npm package justified-layout makes them: reads {cases: [{ratios, width, gap, wish}]} as JSON, prints for each
// the number of pictures and the height of each row. Its last row, which it leaves as it comes, is filled like the others.
import { readFileSync } from 'node:fs';
import justify from 'justified-layout';

const { cases } = JSON.parse(readFileSync(0, 'utf8'));
const rows = ({ ratios, width, gap, wish }) => {
  const { boxes } = justify(ratios, {
    containerWidth: width,
    containerPadding: 0,
    boxSpacing: gap,
    targetRowHeight: wish,
    targetRowHeightTolerance: 0.25,
  });
  const made = [];
  boxes.forEach((box, index) => {
    const last = made[made.length - 1];
    if (last && last.top === box.top) last.ratios.push(ratios[index]);
    else made.push({ top: box.top, ratios: [ratios[index]] });
  });
  return made.map(({ ratios: row }) => ({
    count: row.length,
    height: (width - gap * (row.length - 1)) / row.reduce((sum, ratio) => sum + ratio, 0),
  }));
};
process.stdout.write(JSON.stringify(cases.map(rows)));
