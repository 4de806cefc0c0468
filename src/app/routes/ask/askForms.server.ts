import 'reflect-metadata';
import { Transform } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsString, MaxLength } from 'class-validator';
import type { TableId } from '~/core/catalogue/identifiers';
import { namedParts, type NamedPart, type Wish, type WishKind, wishKinds } from '~/core/wishes/wish';

const kinds = Object.keys(wishKinds) as readonly WishKind[];

/** A list or an object as a form sends it: JSON, checked after. */
function plain({ value }: { readonly value: unknown }): unknown {
  try {
    return typeof value === 'string' ? JSON.parse(value) : value;
  } catch {
    return null;
  }
}

export class AskForm {
  @IsIn(kinds) what!: WishKind;
  @IsString() @MaxLength(1000) table!: string;
  @Transform(plain) @IsArray() @ArrayMaxSize(32) @IsString({ each: true }) columns: string[] = [];
  @IsString() @MaxLength(1000) parent = '';
  @Transform(plain) @IsArray() @ArrayMaxSize(32) @IsString({ each: true }) parentColumns: string[] = [];
  /** One a line. */
  @IsString() @MaxLength(20_000) values = '';
  @IsString() @MaxLength(200) constraint = '';
  @IsIn(namedParts) object: NamedPart = 'column';
  @IsString() @MaxLength(200) from = '';
  @IsString() @MaxLength(200) to = '';
  @IsString() @MaxLength(500) reason = '';
}

/** What a form asks for; what it leaves out `wishProblem` tells. */
export function wishIn(form: AskForm): Wish {
  const { what, table, columns, parent, parentColumns, values, constraint } = form;
  const id = table as TableId;
  switch (what) {
    case 'reference':
      return { kind: what, table: id, columns, parent: parent as TableId, parentColumns };
    case 'oneOf': {
      const lines = values.split('\n').map((line) => line.trim());
      return { kind: what, table: id, column: columns[0] ?? '', values: [...new Set(lines.filter((line) => line !== ''))] };
    }
    case 'gone':
      return { kind: what, table: id, constraint };
    case 'named':
      return { kind: what, table: id, object: form.object, from: form.from, to: form.to.trim() };
    default:
      return { kind: what, table: id, columns };
  }
}
