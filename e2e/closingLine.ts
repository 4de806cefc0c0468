import type { FullResult, Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** The plain closing line that CI reads. */
export default class ClosingLine implements Reporter {
  private readonly outcomes = new Map<string, string>();

  onTestEnd(test: TestCase, result: TestResult): void {
    this.outcomes.set(test.id, result.status);
  }

  onEnd(_result: FullResult): void {
    const all = [...this.outcomes.values()];
    const passed = all.filter((status) => status === 'passed').length;
    const skipped = all.filter((status) => status === 'skipped').length;
    process.stdout.write(`${passed} passed, ${all.length - passed - skipped} failed, ${skipped} skipped\n`);
  }
}
