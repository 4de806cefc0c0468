import { AsList, ReadAs } from '~/input/fill';
import { ArrayMaxSize, IsArray, IsIn, IsString, MaxLength } from 'class-validator';
import type { TableId } from '~/core/catalogue/identifiers';
import { referentialActions, type ReferentialAction } from '~/core/catalogue/model';
import type { Claim } from '~/core/evidence/claims';
import { partsOf } from '~/core/evidence/expression';
import { askedDefaults } from '~/core/operations/default-value';
import { checkedWhen } from '~/core/operations/change-constraint';
import { type AskedClaim, askedClaims } from '~/core/wishes/keeps';
import { jsonIn } from '~/input/json';
import { type Wish, type WishKind, wishes } from '~/core/wishes/index';
import { namedParts, type NamedPart } from '~/core/wishes/named';

const kinds = Object.keys(wishes) as readonly WishKind[];
const defaults = Object.keys(askedDefaults) as readonly (keyof typeof askedDefaults)[];

/** A list or an object as a form sends it: JSON, checked after. */
function plain(value: unknown): unknown {
  try {
    return typeof value === 'string' ? jsonIn(value) : value;
  } catch {
    return null;
  }
}

/** Where the page begins: a table, columns of it, what is wanted, a constraint. */
export class AskedOf {
  @IsString() @MaxLength(1000) table = '';
  @AsList() @IsArray() @ArrayMaxSize(32) @IsString({ each: true }) column: string[] = [];
  @IsIn(kinds) what: WishKind | null = null;
  @IsString() @MaxLength(1000) constraint = '';
}

export class AskForm {
  @IsIn(kinds) what!: WishKind;
  @IsString() @MaxLength(1000) table!: string;
  @ReadAs(plain) @IsArray() @ArrayMaxSize(32) @IsString({ each: true }) columns: string[] = [];
  @IsString() @MaxLength(1000) parent = '';
  @ReadAs(plain) @IsArray() @ArrayMaxSize(32) @IsString({ each: true }) parentColumns: string[] = [];
  /** One a line. */
  @IsString() @MaxLength(20_000) values = '';
  @IsIn(defaults) as: keyof typeof askedDefaults = 'constant';
  @IsString() @MaxLength(1000) value = '';
  /** What goes: `constraint` or `index`, a blank, and its name. */
  @IsString() @MaxLength(200) part = '';
  @IsString() @MaxLength(200) trigger = '';
  @IsIn(['trigger', 'reference']) switches: 'trigger' | 'reference' = 'trigger';
  @IsIn(['on', 'off']) turn: 'on' | 'off' = 'off';
  /** What is to be otherwise, and how: what is left empty stays. */
  @IsString() @MaxLength(200) changes = '';
  @IsIn(['', 'columns']) over: '' | 'columns' = '';
  @IsIn([...referentialActions, '']) onDelete: ReferentialAction | '' = '';
  @IsIn([...referentialActions, '']) onUpdate: ReferentialAction | '' = '';
  @IsIn([...Object.keys(checkedWhen), '']) deferrable: keyof typeof checkedWhen | '' = '';
  /** What each row keeps to. */
  @IsIn(askedClaims) claim: AskedClaim = 'between';
  @IsString() @MaxLength(60) least = '';
  @IsString() @MaxLength(60) most = '';
  @IsString() @MaxLength(7) characters = '';
  @IsString() @MaxLength(200) pattern = '';
  @IsString() @MaxLength(200) second = '';
  @IsString() @MaxLength(4000) condition = '';
  @IsIn(namedParts) object: NamedPart = 'column';
  @IsString() @MaxLength(200) from = '';
  @IsString() @MaxLength(200) to = '';
  @IsString() @MaxLength(500) reason = '';
}

/** What a form asks for, of a table with these columns, or why it cannot be read; what it leaves out `wishProblem` tells. */
export function wishIn(form: AskForm, named: readonly string[]): Wish | string {
  const { what, table, columns, parent, parentColumns, values } = form;
  const id = table as TableId;
  switch (what) {
    case 'reference':
      return { kind: what, table: id, columns, parent: parent as TableId, parentColumns };
    case 'oneOf': {
      const lines = values.split('\n').map((line) => line.trim());
      return { kind: what, table: id, column: columns[0] ?? '', values: [...new Set(lines.filter((line) => line !== ''))] };
    }
    case 'listed':
      return {
        ...{ kind: what, table: id, column: columns[0] ?? '' },
        ...(parent === '' ? form.to.trim() !== '' && { named: form.to.trim() } : { parent: parent as TableId, parentColumns }),
      };
    case 'changed':
      return {
        ...{ kind: what, table: id, constraint: form.changes },
        ...(form.onDelete !== '' && { onDelete: form.onDelete }),
        ...(form.onUpdate !== '' && { onUpdate: form.onUpdate }),
        ...(form.deferrable !== '' && { deferrable: form.deferrable }),
        ...(form.over === 'columns' && { columns }),
      };
    case 'keeps': {
      const claim = form.claim === 'condition' ? conditionIn(form.condition, named) : claimIn(form);
      return typeof claim === 'string' ? claim : { kind: what, table: id, claim };
    }
    case 'gone':
      return goneIn(id, form.part);
    case 'default': {
      const value = form.as === 'constant' ? { kind: form.as, text: form.value } : { kind: form.as };
      return { kind: what, table: id, column: columns[0] ?? '', value };
    }
    case 'switched':
      return {
        ...{ kind: what, table: id, trigger: form.trigger, on: form.turn === 'on' },
        ...(form.switches === 'reference' && { object: 'reference' as const }),
      };
    case 'named':
      return { kind: what, table: id, object: form.object, from: form.from, to: form.to.trim() };
    default:
      return { kind: what, table: id, columns };
  }
}

function conditionIn(text: string, named: readonly string[]): Claim | string {
  const parts = partsOf(text, named);
  return typeof parts === 'string' ? parts : { kind: 'condition', parts };
}

function claimIn({ claim, columns: [column = ''], least, most, characters, pattern, second }: AskForm): Claim {
  const bound = (text: string): string | null => (text.trim() === '' ? null : text.trim());
  switch (claim) {
    case 'between':
      return { kind: claim, column, least: bound(least), most: bound(most) };
    case 'noLonger':
      return { kind: claim, column, characters: characters.trim() === '' ? Number.NaN : Number(characters) };
    case 'like':
      return { kind: claim, column, pattern };
    case 'ordered':
      return { kind: claim, first: column, second };
    case 'notNegative':
      return { kind: claim, column };
    default:
      return { kind: 'notBlank', column };
  }
}

function goneIn(table: TableId, part: string): Wish {
  const at = part.indexOf(' ');
  const wish = { kind: 'gone', table, constraint: part.slice(at + 1) } as const;
  return part.slice(0, Math.max(0, at)) === 'index' ? { ...wish, object: 'index' } : wish;
}
