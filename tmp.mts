import { gunzipSync } from 'node:zlib'; import { readFileSync } from 'node:fs';
import { readSurveyDocument } from './src/input/surveyDocument';
import { audit, wordsOf } from './src/core/rules/audit';
const { catalogue, evidence } = await readSurveyDocument(gunzipSync(readFileSync('test/golden/harbour.json.gz')).toString()) as any;
const all = audit(catalogue, evidence ?? {}, { adopted: { unique: 'uq_{table}_{columns}', index: 'ix_{table}_{columns}', 'foreign key':'fk_{table}_{parent}', check:'ck_{table}_{meaning}' } });
for (const f of all.filter(f=>f.concern==='Naming')) console.log(f.rule, wordsOf(f).message);
