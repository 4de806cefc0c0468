// The terminal commands. Exit codes: 0 done, 1 does not hold (a rehearsal, the journal, a survey against its baseline), 2 wrong usage, 3 cannot connect or read, 4 a bug of ours.

import manifest from '../../package.json' with { type: 'json' };
import { SurveyFileError } from '../input/surveyFile';
import { AnswersError } from '../sources/files/answers';
import { SourceError } from '../sources/SourceError';
import { UsageError } from './arguments';
import * as answer from './commands/answer';
import * as ask from './commands/ask';
import * as baseline from './commands/baseline';
import * as compare from './commands/compare';
import * as docs from './commands/docs';
import * as journal from './commands/journal';
import * as person from './commands/person';
import * as push from './commands/push';
import * as rehearse from './commands/rehearse';
import * as report from './commands/report';
import * as script from './commands/script';
import * as style from './commands/style';
import * as secret from './commands/secret';
import * as source from './commands/source';
import * as survey from './commands/survey';

interface Command {
  readonly usage: string;
  /** What it does, in a sentence or two. */
  readonly about: string;
  run(args: readonly string[]): Promise<number | void>;
}

const commands: Readonly<Record<string, Command>> = {
  survey,
  baseline,
  compare,
  report,
  docs,
  push,
  ask,
  answer,
  script,
  rehearse,
  style,
  source,
  person,
  journal,
  secret,
};
const help = [
  'Usage:',
  ...Object.values(commands).map((command) => `  ${command.usage}`),
  '  pawl COMMAND --help',
  '  pawl --version',
  '',
].join('\n');

// Who reads only the beginning, as `head` does, has seen enough.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 3));
process.exitCode = await main(process.argv.slice(2));

async function main([name, ...rest]: readonly string[]): Promise<number> {
  if (name === undefined || name === 'help' || name === '--help') {
    process.stdout.write(help);
    return name === undefined ? 2 : 0;
  }
  if (name === '--version') {
    process.stdout.write(`${manifest.version}\n`);
    return 0;
  }
  const command = Object.hasOwn(commands, name) ? commands[name] : undefined;
  if (!command) return say(`There is no command ${name}.\n${help}`, 2);
  if (rest.includes('--help')) {
    process.stdout.write(`${command.about}\n\nUsage: ${command.usage}\n`);
    return 0;
  }
  try {
    return (await command.run(rest)) ?? 0;
  } catch (error) {
    if (error instanceof UsageError) return say(`${error.message}\nUsage: ${command.usage}`, 2);
    if (error instanceof SourceError) return say(error.message, error.reason === 'misspelt' ? 2 : 3);
    if (error instanceof SurveyFileError || error instanceof AnswersError) return say(error.message, 3);
    if (isFileError(error)) return say(`${error.path ?? 'A file'} cannot be used: ${error.code}.`, 3);
    // A bug of ours: said as one, with where it is for whoever asks.
    if (process.env['PAWL_DEBUG']) throw error;
    const what = error instanceof Error ? error.message : 'unknown error';
    return say(`This should not have happened: ${what}. PAWL_DEBUG=1 shows where; please report it.`, 4);
  }
}

function say(message: string, exitCode: number): number {
  process.stderr.write(`pawl: ${message}\n`);
  return exitCode;
}

function isFileError(error: unknown): error is NodeJS.ErrnoException & { code: string } {
  return (
    error instanceof Error &&
    'code' in error &&
    ['ENOENT', 'EACCES', 'EEXIST', 'EISDIR', 'ENOTDIR', 'ENOSPC', 'EROFS'].includes(String(error.code))
  );
}
