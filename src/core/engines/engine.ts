// An engine as a whole: what it is, how it is written to, and what is asked of it. Pure: nothing here reads or runs. No file
// outside of an engine's own folders names one.

import type { Dialect } from './dialect';
import type { EngineFacts } from './engineFacts';
import type { Questions } from './questions';

export interface Engine extends EngineFacts {
  /** Its dialect, as the parser that colours scripts names it. */
  readonly grammar: string;
  /** Its own client, at a terminal where the database is: how it runs a file, and one of questions. */
  readonly client: {
    readonly name: string;
    readonly runs: (file: string) => string;
    readonly asks: (file: string, answers: string) => string;
  };
  readonly dialect: Dialect;
  readonly questions: Questions;
}
