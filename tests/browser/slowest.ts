import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter';
import { appendFileSync } from 'node:fs';

/** Writes down how long each test took, for the table at the end of a run (bin/lib/slowest.php). */
export default class Slowest implements Reporter {
  onTestEnd(test: TestCase, result: TestResult): void {
    const times = process.env['GNOMIC_TIMES'];
    if (times)
      appendFileSync(times, `${(result.duration / 1000).toFixed(1)}\t${test.titlePath().slice(2).join(' › ')}\n`);
  }

  printsToStdio(): boolean {
    return false;
  }
}
