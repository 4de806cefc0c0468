import { appendFileSync } from 'node:fs';
import type { FullResult, Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** The plain closing line that CI reads; what failed goes to the file in PAWL_FAILURES, too, for `npm test` to tell it last. */
export default class ClosingLine implements Reporter {
  private readonly outcomes = new Map<string, string>();

  onTestEnd(test: TestCase, result: TestResult): void {
    this.outcomes.set(test.id, result.status);
    const file = process.env['PAWL_FAILURES'];
    if (!file || result.status === 'passed' || result.status === 'skipped') return;
    const errors = result.errors.map((error) => (error.stack ?? error.message ?? '').slice(0, 3_000));
    appendFileSync(file, [test.titlePath().filter(Boolean).join(' › '), ...errors].join('\n') + '\n');
  }

  onEnd(_result: FullResult): void {
    const all = [...this.outcomes.values()];
    const passed = all.filter((status) => status === 'passed').length;
    const skipped = all.filter((status) => status === 'skipped').length;
    process.stdout.write(`${passed} passed, ${all.length - passed - skipped} failed, ${skipped} skipped\n`);
  }
}
