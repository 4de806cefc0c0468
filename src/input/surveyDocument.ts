// The shape of a `pawl-survey/2` file as far as scripts are written from it. What it says of names is
// taken as it is: dialects quote every one.

import { Part } from './fill';
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
import type { Depth } from '../core/evidence/requests';
import { visible } from '../core/naming/visible';
import type { KnownFinding, Taken } from '../core/ratchet/against';
import { tableId, type TableId } from '../core/catalogue/identifiers';
import { findTable } from '../core/catalogue/lookups';
import { columnsOfClaim } from '../core/evidence/claims';
import { upgradeCatalogue } from '../core/formats/catalogue';
import { currentFormat, isStored } from '../core/formats/stored';
import { upgradeProposal } from '../core/formats/proposal';
import { type Proposal, remedyOf } from '../core/remedies/index';
import { surveyFormat } from '../core/survey/document';
import { concerns, type Finding, severities } from '../core/rules/finding';
import { catalogueFrom, CatalogueShape, partsOf } from './catalogueShape';
import { JsonError, jsonIn } from './json';
import { errorsInWords, parse, parsePart } from './parse';
import { proposalShapes } from './proposals';
import { Names, SurveyFileError } from './surveyFile';

const most = 1_000_000;

class FoundObjectShape {
  @IsString() @MinLength(1) schema!: string;
  @IsString() @MinLength(1) table!: string;
  @Names() @ArrayMaxSize(64) columns!: string[];
  @IsOptional() @IsString() name?: string;
}

class FindingShape {
  @IsString() @MinLength(1) id!: string;
  @IsString() @MinLength(1) rule!: string;
  @IsIn(concerns) concern!: (typeof concerns)[number];
  @IsIn(severities) severity!: (typeof severities)[number];
  @IsNumber() @Min(0) @Max(1) confidence!: number;
  @ValidateNested() @Part(() => FoundObjectShape) object!: FoundObjectShape;
  @IsObject() evidence!: Record<string, unknown>;
  @IsOptional() @IsString() title?: string;
  @IsOptional() @IsString() message?: string;
  @IsObject() proposal!: Record<string, unknown>;
}

class SourceShape {
  @IsString() engine!: string;
  @IsString() version!: string;
  @IsString() database!: string;
}

class ScopeShape {
  @IsString() @MinLength(1) schema!: string;
  @IsString() @MinLength(1) table!: string;
}

class NotMeasuredShape {
  @IsString() @MinLength(1) schema!: string;
  @IsString() @MinLength(1) table!: string;
  @IsOptional() @IsString() reason?: string;
}

class SurveyDocumentShape {
  @IsIn([surveyFormat]) format!: typeof surveyFormat;
  @ValidateNested() @Part(() => SourceShape) source!: SourceShape;
  @IsString() takenAt!: string;
  @IsIn(['catalogue', 'sampled', 'exact']) depth: Depth = 'exact';
  @IsOptional() @IsArray() @ArrayMaxSize(most) @ValidateNested({ each: true }) @Part(() => ScopeShape) scope?: ScopeShape[];
  @IsArray() @ArrayMaxSize(most) findings!: unknown[];
  /** Of a baseline: what was mended once. */
  @IsArray() @ArrayMaxSize(most) held: unknown[] = [];
  @IsArray() @ArrayMaxSize(most) @ValidateNested({ each: true }) @Part(() => NotMeasuredShape) notMeasured: NotMeasuredShape[] =
    [];
  @ValidateNested() @IsObject() @Part(() => CatalogueShape) catalogue!: CatalogueShape;
}

export interface ReadSurvey extends Taken {
  /** The tables that were looked at; null for all. */
  readonly scope: ReadonlySet<TableId> | null;
  /** Why tables could not be measured. */
  readonly reasons: ReadonlyMap<string, string>;
  readonly source: { readonly engine: string; readonly version: string; readonly database: string };
}

/** Reads the text of a survey file. Throws SurveyFileError. */
export async function readSurveyDocument(text: string): Promise<ReadSurvey> {
  const { plain, format } = upToDate(parsedJson(text));
  const parsed = await parse(SurveyDocumentShape, plain, 'drop');
  if (!parsed.ok) throw new SurveyFileError(`The file is not a ${surveyFormat} survey: ${errorsInWords(parsed.errors)}.`);
  const { source, takenAt, depth, scope, findings, held, notMeasured } = parsed.value;
  refuseLists([parsed.value.catalogue, source, ...partsOf(parsed.value.catalogue)]);
  const catalogue = catalogueFrom(parsed.value.catalogue);
  return {
    source,
    takenAt,
    depth,
    scope: scope ? new Set(scope.map(({ schema, table }) => tableId(schema, table))) : null,
    catalogue,
    findings: findings.map((plainFinding, at) => {
      const finding = findingFrom(parsedFinding(plainFinding, at), format);
      refuseStrangers(finding, catalogue);
      return finding;
    }),
    // What they are about may be gone since.
    held: held.map((plainFinding, at) => findingFrom(parsedFinding(plainFinding, at), format)),
    notMeasured: notMeasured.map(({ schema, table }) => tableId(schema, table)),
    reasons: new Map(notMeasured.map(({ schema, table, reason = '' }) => [tableId(schema, table), visible(reason)])),
  };
}

function parsedJson(text: string): unknown {
  try {
    return jsonIn(text);
  } catch (cause) {
    if (!(cause instanceof JsonError)) throw cause;
    throw new SurveyFileError(`The file is no survey: ${cause.message}. Write it again with \`pawl survey … --json FILE\`.`, {
      cause,
    });
  }
}

// A file of an earlier version is brought up to date before it is checked.
function upToDate(plain: unknown): { readonly plain: unknown; readonly format: number } {
  if (!isStored(plain) || plain['format'] !== 'pawl-survey/1') return { plain, format: currentFormat };
  const catalogue = isStored(plain['catalogue']) ? upgradeCatalogue(plain['catalogue'], 1) : plain['catalogue'];
  return { plain: { ...plain, format: surveyFormat, catalogue }, format: 1 };
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
  has(own, remedyOf(proposal).columns?.(proposal) ?? proposal.columns);
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
  refuseLists([
    object,
    proposal,
    ...Object.values(proposal).flatMap((part): readonly unknown[] => (Array.isArray(part) ? part : [])),
  ]);
  return parsed.value;
}

// To the validator a list of nothing is as good as an object of any shape.
function refuseLists(parts: readonly unknown[]): void {
  if (parts.some((part) => Array.isArray(part)))
    throw new SurveyFileError(
      'The file has a list where there should be an object. Write it again with `pawl survey … --json FILE`.',
    );
}

// Its facts serve words only, which are read off the message; a decision depends on the proposal alone, which is checked.
function findingFrom(shape: FindingShape, format: number): KnownFinding {
  const { id, rule, concern, severity, confidence, object, evidence, title, message, proposal } = shape;
  return {
    id: id as Finding['id'],
    rule,
    concern,
    severity,
    confidence,
    object,
    facts: null,
    ...(title !== undefined && { title: visible(title) }),
    ...(message !== undefined && { message: visible(message) }),
    proposal: proposalFrom(id, upgradeProposal(proposal, format, evidence)),
  };
}

function proposalFrom(id: string, plain: Readonly<Record<string, unknown>>): Proposal {
  const kind = plain['kind'];
  const Shape = typeof kind === 'string' && Object.hasOwn(proposalShapes, kind) ? proposalShapes[kind as Proposal['kind']] : null;
  if (!Shape) throw new SurveyFileError(`Finding ${id} proposes nothing that is known here.`);
  const parsed = parsePart<Proposal>(Shape, plain);
  if (parsed.ok) return parsed.value;
  throw new SurveyFileError(`Finding ${id} proposes what cannot be read: ${errorsInWords(parsed.errors)}.`);
}
