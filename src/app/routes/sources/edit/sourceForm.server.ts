import { Ticked } from '~/input/fill';
import { IsBoolean, IsIn, IsNotEmpty, IsOptional, IsString, Matches, MaxLength } from 'class-validator';
import { type FieldErrors, parse, parseForm } from '~/input/parse';
import { firstSourceKind, sourceKind, type SourceKindId, sourceKindIds } from '~/sources/index';
import { type Environment, environments } from '~/store/sources/sources';

/** What every source has, of whatever kind. */
class SourceForm {
  @IsString()
  @IsNotEmpty({ message: 'A name is needed' })
  @MaxLength(80)
  @Matches(/^\P{C}*$/u, { message: 'A name has no control characters' })
  name!: string;
  @IsIn(environments) environment!: Environment;
  @IsIn(sourceKindIds) kind!: SourceKindId;
  @IsString() @MaxLength(1000) @Matches(/^\P{Cc}*$/u, { message: 'A password has no control characters' }) secret = '';
  @IsBoolean() @Ticked() secondPerson = false;
  @IsBoolean() @Ticked() fittingLogin = false;
  @IsBoolean() @Ticked() sensitive = false;
  /** Of what was shown: another one means that somebody else changed it meanwhile. */
  @IsString() @MaxLength(64) version = '';
  @IsOptional() @IsIn(['try', 'save', 'remove']) intent: 'try' | 'save' | 'remove' = 'save';
}

/** By which kind the form of a new source begins. */
export class NewSource {
  @IsIn(sourceKindIds) kind: SourceKindId = firstSourceKind;
}

type Typed = SourceForm & { readonly settings: object };

/** The form of a source, as typed; its settings as its kind checks them. */
export async function readSourceForm(
  form: FormData,
): Promise<{ readonly ok: true; readonly value: Typed } | { readonly ok: false; readonly errors: FieldErrors }> {
  const kind = sourceKindIds.find((id) => id === form.get('kind')) ?? null;
  const { fields = [], Settings = null } = kind === null ? {} : sourceKind(kind);
  const own = new Set(fields.map(({ name }) => name));
  const base = new FormData();
  for (const [name, value] of form) if (!own.has(name)) base.append(name, value);
  const parsed = await parseForm(SourceForm, base);
  const typed = Object.fromEntries([...form].filter(([name]) => own.has(name)));
  const settings = Settings ? await parse(Settings, typed) : null;
  const errors = { ...(parsed.ok ? {} : parsed.errors), ...(settings && !settings.ok ? settings.errors : {}) };
  return parsed.ok && settings?.ok
    ? { ok: true, value: Object.assign(parsed.value, { settings: { ...settings.value } }) }
    : { ok: false, errors };
}
