// What rows of the store are known by: numbers, each of its own kind, so that none is taken for another's.

declare const kind: unique symbol;
type Id<Kind extends string> = number & { readonly [kind]: Kind };

export type SourceId = Id<'source'>;
export type SurveyId = Id<'survey'>;
/** Of a finding as a row of its source; its `identity` is what surveys know it by. */
export type FindingRowId = Id<'finding'>;
export type DocketId = Id<'docket'>;
export type RehearsalId = Id<'rehearsal'>;
export type RunId = Id<'run'>;
export type PersonId = Id<'person'>;
export type GrantId = Id<'grant'>;
export type TokenId = Id<'token'>;
export type ScheduleId = Id<'schedule'>;
export type DriftId = Id<'drift'>;
export type ListenerId = Id<'listener'>;

/** By what people call them. */
export interface Ids {
  readonly source: SourceId;
  readonly survey: SurveyId;
  readonly finding: FindingRowId;
  readonly docket: DocketId;
  readonly rehearsal: RehearsalId;
  readonly run: RunId;
  readonly person: PersonId;
  readonly schedule: ScheduleId;
  readonly drift: DriftId;
}
