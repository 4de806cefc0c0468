import { appendFileSync } from 'node:fs';
import { stripVTControlCharacters } from 'node:util';
import type { Reporter, SerializedError, TestCase, TestModule } from 'vitest/node';

/** The plain closing line that CI reads; what failed goes to the file in PAWL_FAILURES, too, for `npm test` to tell it last. */
export default class ClosingLine implements Reporter {
  onTestRunEnd(modules: readonly TestModule[], unhandled: readonly SerializedError[]): void {
    const tests = modules.flatMap((module) => [...module.children.allTests()]);
    const count = (state: string): number => tests.filter((test) => test.result().state === state).length;
    const slowest = modules.map((module) => [module.diagnostic(), module.relativeModuleId] as const);
    const took = ({ collectDuration, setupDuration, duration }: (typeof slowest)[number][0]): number =>
      Math.round((collectDuration + setupDuration + duration) / 1000);
    if (modules.length > 10)
      process.stdout.write(
        `The ten slowest files:\n${slowest
          .sort(([a], [b]) => took(b) - took(a))
          .slice(0, 10)
          .map(([file, name]) => `${String(took(file)).padStart(5)} s  ${name}\n`)
          .join('')}`,
      );
    process.stdout.write(`${count('passed')} passed, ${count('failed')} failed, ${count('skipped')} skipped\n`);
    const failures = [
      ...(unhandled.length > 0 ? [told('Outside of every test', unhandled)] : []),
      ...modules.flatMap(outside),
      ...tests.filter((test) => test.result().state === 'failed').map(failure),
    ];
    const file = process.env['PAWL_FAILURES'];
    if (file && failures.length > 0) appendFileSync(file, failures.join('\n') + '\n');
  }
}

function failure(test: TestCase): string {
  return told(`${test.module.relativeModuleId} › ${test.fullName}`, test.result().errors ?? []);
}

/** What failed in a file outside its tests: while it was read, or in what goes before and after them. */
function outside(module: TestModule): string[] {
  const suites = [...module.children.allSuites()].flatMap((suite) => suite.errors());
  const errors = [...module.errors(), ...suites];
  return errors.length > 0 ? [told(module.relativeModuleId, errors)] : [];
}

function told(where: string, errors: readonly SerializedError[]): string {
  return [where, ...errors.map(inOurLines)].join('\n');
}

/** An error with the difference and the lines of ours that it came by. */
function inOurLines(error: SerializedError): string {
  const lines = (error.stack ?? error.message).split('\n').filter((line) => !line.includes('/node_modules/'));
  const { diff } = error as { readonly diff?: string };
  const difference = stripVTControlCharacters(diff ?? '');
  return [...lines, difference].join('\n').slice(0, 3_000);
}
