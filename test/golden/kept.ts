import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { audit } from '../../src/core/rules/audit';
import { readSurveyDocument, type ReadSurvey } from '../../src/input/surveyDocument';
import { evidence } from '../kit/measured';

/** A survey of the demo, as an engine's server answered it once. What had no script then and is seen in the catalogue alone is judged as it is today. */
export function keptSurvey(engine: string): Promise<ReadSurvey> {
  const known = read.get(engine) ?? judgedToday(engine);
  read.set(engine, known);
  return known;
}

const read = new Map<string, Promise<ReadSurvey>>();

async function judgedToday(engine: string): Promise<ReadSurvey> {
  const kept = await readSurveyDocument(gunzipSync(readFileSync(join(import.meta.dirname, engine, 'survey.json.gz'))).toString());
  const today = new Map(audit(kept.catalogue, evidence()).map((finding) => [finding.id, finding]));
  return {
    ...kept,
    findings: kept.findings.map((finding) => (finding.proposal.kind === 'byHand' ? (today.get(finding.id) ?? finding) : finding)),
  };
}
