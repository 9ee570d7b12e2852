// Means, deviations and intervals of samples, by simple-statistics and jStat. Reads JSON, prints JSON.
import { readFileSync } from 'node:fs';
import jstat from 'jstat';
import { mean, sampleStandardDeviation } from 'simple-statistics';

const samples = JSON.parse(readFileSync(0, 'utf8'));
const { jStat } = jstat;
process.stdout.write(
  JSON.stringify(
    samples.map((sample) => ({
      mean: mean(sample),
      deviation: sampleStandardDeviation(sample),
      quantile: jStat.studentt.inv(0.975, sample.length - 1),
      interval: jStat.tci(mean(sample), 0.05, sample),
    })),
  ),
);
