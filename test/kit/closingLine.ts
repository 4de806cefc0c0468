import type { Reporter, TestModule } from 'vitest/node';

/** The plain closing line that CI reads. */
export default class ClosingLine implements Reporter {
  onTestRunEnd(modules: readonly TestModule[]): void {
    const tests = modules.flatMap((module) => [...module.children.allTests()]);
    const count = (state: string): number => tests.filter((test) => test.result().state === state).length;
    process.stdout.write(`${count('passed')} passed, ${count('failed')} failed, ${count('skipped')} skipped\n`);
  }
}
