// The shape of a `pawl-survey/1` file as far as scripts are written from it. What it says of names is
// taken as it is: dialects quote every one.

import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';
import type { Catalogue } from '../core/catalogue/model';
import { tableId, type TableId } from '../core/catalogue/identifiers';
import { findTable } from '../core/catalogue/lookups';
import { type Claim, columnsOfClaim, type Form, forms } from '../core/evidence/claims';
import { surveyFormat } from '../core/survey/document';
import { concerns, type Finding, type Proposal, severities } from '../core/rules/rule';
import { catalogueFrom, CatalogueShape, partsOf } from './catalogueShape';
import { errorsInWords, parse, parsePart } from './parse';
import { Names, SurveyFileError } from './surveyFile';

const most = 1_000_000;

class FoundObjectShape {
  @IsString() @MinLength(1) schema!: string;
  @IsString() @MinLength(1) table!: string;
  @Names() @ArrayMaxSize(64) columns!: string[];
  @IsOptional() @IsString() name?: string;
}

class ParentShape {
  @IsString() @MinLength(1) schema!: string;
  @IsString() @MinLength(1) table!: string;
  @Names() columns!: string[];
}

class ClaimShape {
  @IsIn(['ofForm', 'notNegative', 'notBlank', 'ordered', 'noneOf', 'oneOf']) kind!: Claim['kind'];
  @IsOptional() @IsString() @MinLength(1) column?: string;
  @IsOptional() @IsString() @MinLength(1) first?: string;
  @IsOptional() @IsString() @MinLength(1) second?: string;
  @IsOptional() @IsIn(forms) form?: Form;
  @IsOptional() @IsString({ each: true }) @ArrayMaxSize(64) values?: string[];
}

class LikelyChildShape {
  @IsString() @MinLength(1) table!: TableId;
  @Names() columns!: string[];
  @Names() parentColumns!: string[];
}

class ProposalShape {
  @IsIn([
    'primaryKey',
    'surrogateKey',
    'foreignKey',
    'unique',
    'repeats',
    'promote',
    'replaceKey',
    'notNull',
    'nulls',
    'standIns',
    'check',
    'rename',
    'index',
    'validate',
    'byHand',
  ])
  kind!: Proposal['kind'];
  @Names() columns!: string[];
  @IsOptional() @ValidateNested() @Type(() => ParentShape) references?: ParentShape;
  @IsOptional() @IsString() @MinLength(1) name?: string;
  @IsOptional() @IsString() @MinLength(1) from?: string;
  @IsOptional() @IsString() @MinLength(1) to?: string;
  @IsOptional() @IsString() @MinLength(1) index?: string;
  @IsOptional() @IsString() @MinLength(1) surrogate?: string;
  @IsOptional() @ValidateNested() @Type(() => ClaimShape) claim?: ClaimShape;
  @IsOptional() @ValidateNested({ each: true }) @Type(() => ClaimShape) @ArrayMaxSize(8) claims?: ClaimShape[];
  @IsOptional() @ValidateNested({ each: true }) @Type(() => LikelyChildShape) children?: LikelyChildShape[];
}

class FindingShape {
  @IsString() @MinLength(1) id!: string;
  @IsString() @MinLength(1) rule!: string;
  @IsIn(concerns) concern!: (typeof concerns)[number];
  @IsIn(severities) severity!: (typeof severities)[number];
  @IsNumber() @Min(0) @Max(1) confidence!: number;
  @ValidateNested() @Type(() => FoundObjectShape) object!: FoundObjectShape;
  @IsObject() evidence!: Record<string, unknown>;
  @ValidateNested() @Type(() => ProposalShape) proposal!: ProposalShape;
}

class SourceShape {
  @IsString() engine!: string;
  @IsString() version!: string;
  @IsString() database!: string;
}

class SurveyDocumentShape {
  @IsIn([surveyFormat]) format!: typeof surveyFormat;
  @ValidateNested() @Type(() => SourceShape) source!: SourceShape;
  @IsString() takenAt!: string;
  @IsArray() @ArrayMaxSize(most) findings!: unknown[];
  @ValidateNested() @IsObject() @Type(() => CatalogueShape) catalogue!: CatalogueShape;
}

export interface ReadSurvey {
  readonly source: { readonly engine: string; readonly version: string; readonly database: string };
  readonly takenAt: string;
  readonly catalogue: Catalogue;
  readonly findings: readonly Finding[];
}

/** Reads the text of a survey file. Throws SurveyFileError. */
export async function readSurveyDocument(text: string): Promise<ReadSurvey> {
  let plain: unknown;
  refuseDepth(text);
  // No name and no text in PostgreSQL holds a zero byte.
  if (/(?:^|[^\\])(?:\\\\)*\\u0000/.test(text)) throw new SurveyFileError('The file holds a zero byte, which no database does.');
  try {
    plain = JSON.parse(text);
  } catch (cause) {
    throw new SurveyFileError('The file is not JSON. Write it again with `pawl survey … --json FILE`.', { cause });
  }
  const parsed = await parse(SurveyDocumentShape, plain, 'drop');
  if (!parsed.ok) throw new SurveyFileError(`The file is not a ${surveyFormat} survey: ${errorsInWords(parsed.errors)}.`);
  const { source, takenAt, findings } = parsed.value;
  refuseLists([parsed.value.catalogue, source, ...partsOf(parsed.value.catalogue)]);
  const catalogue = catalogueFrom(parsed.value.catalogue);
  return {
    source,
    takenAt,
    catalogue,
    findings: findings.map((plainFinding, at) => {
      const finding = findingFrom(parsedFinding(plainFinding, at));
      refuseStrangers(finding, catalogue);
      return finding;
    }),
  };
}

// What a finding speaks of has to be in the file's own catalogue.
function refuseStrangers({ id, object, proposal }: Finding, catalogue: Catalogue): void {
  const refuse = (what: string): never => {
    throw new SurveyFileError(`Finding ${id} is about ${what} that the file's catalogue does not have.`);
  };
  const has = (table: TableId, columns: readonly string[]): void => {
    const found = findTable(catalogue, table) ?? refuse(`a table ${table}`);
    const stranger = columns.find((column) => !found.columns.some(({ name }) => name === column));
    if (stranger !== undefined) refuse(`a column ${stranger} of ${table}`);
  };
  const own = tableId(object.schema, object.table);
  has(own, proposal.kind === 'surrogateKey' ? [] : proposal.columns);
  if ('references' in proposal && proposal.references) {
    const { schema, table, columns } = proposal.references;
    has(tableId(schema, table), columns);
  }
  for (const claim of 'claims' in proposal ? proposal.claims : 'claim' in proposal ? [proposal.claim] : [])
    has(own, columnsOfClaim(claim));
}

function parsedFinding(plain: unknown, at: number): FindingShape {
  const parsed = parsePart(FindingShape, plain);
  if (!parsed.ok) throw new SurveyFileError(`The file is no survey: in findings.${at}, ${errorsInWords(parsed.errors)}.`);
  const { object, proposal } = parsed.value;
  const { references, claim, claims = [], children = [] } = proposal;
  refuseLists([object, proposal, references, claim, ...(claims ?? []), ...(children ?? [])]);
  return parsed.value;
}

// To the validator a list of nothing is as good as an object of any shape.
function refuseLists(parts: readonly unknown[]): void {
  if (parts.some((part) => Array.isArray(part)))
    throw new SurveyFileError(
      'The file has a list where there should be an object. Write it again with `pawl survey … --json FILE`.',
    );
}

/** How deep what is in brackets may lie: a survey is not half as deep, and what checks it goes down with it. */
const deepest = 100;

function refuseDepth(text: string): void {
  let depth = 0;
  // Brackets within texts do not count.
  for (const [sign] of text.matchAll(/"(?:[^"\\]|\\.)*(?:"|$)|[[\]{}]/gs)) {
    if (sign === '[' || sign === '{') depth++;
    else if (sign === ']' || sign === '}') depth--;
    if (depth > deepest)
      throw new SurveyFileError(
        `The file is nested more than ${deepest} deep: it is no survey. Write it again with \`pawl survey … --json FILE\`.`,
      );
  }
}

// Facts that a decision can depend on are rebuilt from the proposal, which was checked.
function findingFrom(finding: FindingShape): Finding {
  const proposal = proposalFrom(finding);
  const columns = proposal.columns;
  const isKey = proposal.kind === 'primaryKey' || proposal.kind === 'surrogateKey';
  const orphans = finding.evidence['orphanRows'];
  const facts = isKey
    ? {
        rows: null,
        surrogate: proposal.kind === 'surrogateKey' ? (columns[0] ?? 'id') : 'id',
        candidates:
          proposal.kind === 'primaryKey' ? [{ columns, how: { kind: 'exact' }, nullRows: 0, score: 1, reasons: [] }] : [],
      }
    : { ...countsIn(finding.evidence), orphanRows: typeof orphans === 'number' ? orphans : null, how: null };
  const { id, rule, concern, severity, confidence, object } = finding;
  return { id: id as Finding['id'], rule, concern, severity, confidence, object, facts, proposal };
}

// What questions about repairs are asked by.
const counts = ['nulls', 'repeatedRows', 'repeatedValues', 'broken', 'others'] as const;

function countsIn(facts: Readonly<Record<string, unknown>>): Readonly<Record<string, number>> {
  return Object.fromEntries(
    counts.flatMap((name) => {
      const count = facts[name];
      return typeof count === 'number' ? [[name, count]] : [];
    }),
  );
}

function claimFrom(id: string, { kind, column, first, second, form, values }: ClaimShape): Claim {
  if (kind === 'ordered' && first !== undefined && second !== undefined) return { kind, first, second };
  if (column !== undefined) {
    if (kind === 'notNegative' || kind === 'notBlank') return { kind, column };
    if (kind === 'ofForm' && form) return { kind, column, form };
    if ((kind === 'noneOf' || kind === 'oneOf') && values && values.length > 0) return { kind, column, values };
  }
  throw new SurveyFileError(`Finding ${id} makes a claim that says too little to be checked.`);
}

function proposalFrom({ id, proposal }: FindingShape): Proposal {
  const { kind, columns, references, name, from, to, index, surrogate, claim, claims, children } = proposal;
  if (kind === 'byHand') return { kind, columns };
  if (kind === 'validate') {
    if (name === undefined) throw new SurveyFileError(`Finding ${id} proposes to validate a constraint without saying which.`);
    if (references && references.columns.length !== columns.length)
      throw new SurveyFileError(`Finding ${id} proposes to validate a reference without as many parent columns as columns.`);
    return { kind, columns, name, ...(references && { references }) };
  }
  if (kind === 'foreignKey') {
    if (!references || references.columns.length !== columns.length)
      throw new SurveyFileError(`Finding ${id} proposes a reference without as many parent columns as columns.`);
    return { kind, columns, references };
  }
  if (kind === 'rename') {
    if (from === undefined || to === undefined)
      throw new SurveyFileError(`Finding ${id} proposes a new name without saying from what to what.`);
    return { kind, columns, from, to };
  }
  if (kind === 'standIns') {
    if (!claims || claims.length === 0) throw new SurveyFileError(`Finding ${id} does not say which values stand for none.`);
    return { kind, columns, claims: claims.map((each) => claimFrom(id, each)) };
  }
  if (kind === 'check') {
    if (!claim) throw new SurveyFileError(`Finding ${id} proposes a check without saying of what.`);
    return { kind, columns, claim: claimFrom(id, claim) };
  }
  if (kind === 'promote') {
    if (index === undefined) throw new SurveyFileError(`Finding ${id} proposes a constraint on an index without naming it.`);
    return { kind, columns, index };
  }
  if (kind === 'replaceKey') {
    if (name === undefined || surrogate === undefined)
      throw new SurveyFileError(`Finding ${id} proposes to replace a key without saying which, or by what.`);
    return { kind, columns, name, surrogate };
  }
  if (columns.length === 0) throw new SurveyFileError(`Finding ${id} proposes a change of no column.`);
  return kind === 'repeats' ? { kind, columns, children: children ?? [] } : { kind, columns };
}
