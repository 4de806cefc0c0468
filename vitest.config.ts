import { basename } from 'node:path';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

// What is pure shares one process and its modules; all else has a process a file, beside a server of its own.
const pure = [
  'src/core/**/*.test.ts',
  'src/input/**/*.test.ts',
  'test/golden/**/*.test.ts',
  'test/architecture.test.ts',
  'test/floors.test.ts',
];
// MySQL's server is in no stable Debian: `npm run test:mysql` has one.
const notHere = process.env['PAWL_TEST_ENGINE'] === 'mysql' ? [] : ['src/sources/mysql/**'];

/** The slowest at the end of a run would be waited for alone. As the last run told them (`test/kit/closingLine`). */
const slowest = ['operations', 'mending', 'jobs', 'harbour', 'growth', 'slipway', 'crash', 'run', 'terminal', 'worker', 'store'];

class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const turn = ({ moduleId }: TestSpecification) => {
      const at = slowest.indexOf(basename(moduleId, '.test.ts'));
      return at < 0 ? slowest.length : at;
    };
    return (await super.sort(files)).sort((a, b) => turn(a) - turn(b));
  }
}

// A file of its own, without the reactRouter() plugin, which must not run here.
export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    // Half of the time goes to the database beside them: on two cores two at a time.
    maxWorkers: 2,
    sequence: { sequencer: LongestFirst },
    testTimeout: 180_000,
    hookTimeout: 240_000,
    reporters: ['default', './test/kit/closingLine.ts'],
    projects: [
      {
        extends: true,
        test: { name: 'pure', include: pure, pool: 'threads', isolate: false },
      },
      {
        extends: true,
        test: {
          name: 'live',
          include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'test/**/*.test.ts'],
          exclude: [...pure, ...notHere],
          globalSetup: ['test/kit/server.ts'],
        },
      },
    ],
  },
});
