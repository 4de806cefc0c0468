// The shape of a list of the inventory: what there is of one kind, a line each, in fields that can be shown, filtered and
// sorted by.

import type { Catalogue, UnknownPart } from '../catalogue/model';
import type { Evidence } from '../evidence/evidence';
import type { Finding } from '../rules/finding';

export type Value = string | number | boolean | null;

/** `share`: 0 to 1, said in percent. `bytes` and `number` can be told with k, M and G. */
export type FieldType = 'text' | 'number' | 'share' | 'bytes' | 'truth' | 'moment';

export interface Field {
  /** As the filter language and the address call it. */
  readonly name: string;
  /** Above its column, where that is not its name. */
  readonly title?: string;
  readonly type: FieldType;
  /** Pixels that it usually takes. */
  readonly width: number;
  /** True when it is shown unless somebody chooses otherwise. */
  readonly usual?: boolean;
  /** True when it holds values of rows: for those alone who may see such. */
  readonly data?: boolean;
  /** What it tells, where its title does not. */
  readonly about?: string;
}

/** A line: its id, the table that it belongs to, and its values by field. */
export interface Line {
  readonly id: string;
  readonly table: string | null;
  readonly values: Readonly<Record<string, Value>>;
}

export interface Stock {
  /** Of what may be hidden from a login: what that is called there. */
  readonly part?: UnknownPart;
  /** `columns`. */
  readonly title: string;
  readonly fields: readonly Field[];
  /** In the order in which they are shown unless somebody chooses otherwise. */
  lines(taken: Taken): readonly Line[];
}

/** What a survey saw. */
export interface Taken {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly findings: readonly Finding[];
}
