// How an engine spells what questions of every engine are made of. Expressions, conditions and names are given and taken as SQL, but
// for what is called a name: that is quoted here.

import type { ExpressionFunction } from '../../evidence/expression';
import type { TableId } from '../../catalogue/identifiers';
import type { Column } from '../../catalogue/model';
import type { Form } from '../../evidence/claims';

export interface Spelling {
  readonly quote: (name: string) => string;
  readonly literal: (text: string) => string;
  /** An expression as a text, where it may be something else. */
  readonly asText: (expression: string) => string;
  /** A table behind FROM: with the rows of those that inherit from it, where there are such, or its own only. */
  readonly rowsOf: (table: TableId, only: boolean) => string;
  /** True where there is no value. */
  readonly isNull: (expression: string) => string;
  /** Rows that a condition is true of. */
  readonly countWhere: (condition: string) => string;
  /** Different values of several columns together, in rows that have them all. */
  readonly countTogether: (names: readonly string[], filled: string) => string;
  /** How many characters a text has. */
  readonly length: (name: string) => string;
  /** Case and outer spaces taken away. */
  readonly folded: (column: Pick<Column, 'name'>) => string;
  readonly claims: ClaimSpelling;
}

export interface ClaimSpelling {
  /** True of a text of nothing but white space, and of one with more. */
  readonly blank: (name: string) => string;
  readonly notBlank: (name: string) => string;
  /** The same where a form is looked for. */
  readonly saysSomething: (name: string) => string;
  readonly lacksForm: (name: string, form: Form) => string;
  /** True of a value that is one of a list of constants, and of one that is not, where rows are looked at. */
  readonly oneOf: (name: string, list: string) => string;
  readonly noneOf: (name: string, list: string) => string;
  /** True of a text that is not of a pattern, whose case counts. */
  readonly unlike: (name: string, pattern: string) => string;
  /** What a function of conditions is called here, whatever somebody has made of its name. */
  readonly called: (name: ExpressionFunction) => string;
  /** True of a text of a form that the server, having read it, would write otherwise. */
  readonly otherwiseWritten: (name: string, form: Form) => string;
  /** A text of a form as the server writes it that has read it. */
  readonly asWritten: (expression: string, form: Form) => string;
  readonly rounded: (expression: string, decimals: number) => string;
  /** True of a number that needs more decimals, as the server writes it. */
  readonly moreDecimals: (name: string, most: string) => string;
  /** True of a local time that is skipped in a zone. */
  readonly skippedIn: (name: string, zone: string) => string;
}
