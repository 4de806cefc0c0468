import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { readSurveyDocument, type ReadSurvey } from '../../src/input/surveyDocument';

/** A survey of the demo, as an engine's server answered it once. */
export function keptSurvey(engine: string): Promise<ReadSurvey> {
  return readSurveyDocument(gunzipSync(readFileSync(join(import.meta.dirname, engine, 'survey.json.gz'))).toString());
}
