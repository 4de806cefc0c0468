// One more step of a survey by files: with what was brought so far it either ends, or has open questions to be run.

import { Later } from '../reader';
import { survey, type SurveyOptions, type SurveyResult } from '../survey';
import type { KeptAnswer } from './answers';
import { type AskedScript, scriptFor } from './asking';
import { mostRounds } from './rounds';
import type { AskedByFiles } from '../kind';
import { answeredSource } from './reader';

export interface ByFiles {
  readonly asked: AskedByFiles;
  /** How often scripts were run, as far as that is known. */
  readonly rounds: number;
  readonly answers: ReadonlyMap<string, KeptAnswer>;
}

export type Step = { readonly result: SurveyResult } | { readonly asked: AskedScript };

/** Throws SourceError. */
export async function surveyByFiles(
  { asked, rounds, answers }: ByFiles,
  options: Omit<SurveyOptions, 'lastRound' | 'depth'>,
): Promise<Step> {
  const lastRound = rounds >= mostRounds;
  try {
    return { result: await survey(answeredSource(asked, answers), { ...options, depth: 'exact', lastRound }) };
  } catch (error) {
    if (!(error instanceof Later)) throw error;
    return { asked: scriptFor(asked.engine, rounds + 1, error.queries) };
  }
}
