import { IsIn, IsOptional, IsString, Matches, MaxLength, MinLength } from 'class-validator';
import { type Role, roleNames } from '../../core/rights/rights';
import { findPersonNamed, listGrants, listPeople } from '../../store/people/people';
import { findSourceNamed } from '../../store/sources/sources';
import { pawlItself } from '../../work/actor';
import type { Office } from '../../work/office';
import { addPerson, inviteFirst, setDisabled } from '../../work/people';
import { readArguments, UsageError } from '../arguments';
import { origin, withStore } from '../store';

export const usage =
  'pawl person list | first | add NAME "FULL NAME" [--role ROLE] [--source SOURCE] | disable NAME | enable NAME';
export const about =
  'People who may use Pawl: lists them, invites the first one, adds somebody with a role, for all sources or one, shuts somebody out, lets them in again.';

class PersonArguments {
  @IsIn(['list', 'first', 'add', 'disable', 'enable']) what!: 'list' | 'first' | 'add' | 'disable' | 'enable';
  @IsOptional() @IsString() @Matches(/^[a-z0-9][a-z0-9._@-]{0,79}$/) name?: string;
  @IsOptional() @IsString() @MinLength(1) @MaxLength(80) fullName?: string;
  @IsIn(roleNames) role: Role = 'Reader';
  @IsOptional() @IsString() source?: string;
}

/** Who may run this on Pawl's own machine, with its store's login, is its administrator. */
export async function run(args: readonly string[]): Promise<void> {
  const asked = await readArguments(
    PersonArguments,
    args,
    { role: { type: 'string' }, source: { type: 'string' } },
    (values, [what, name, fullName]) => ({ ...values, what, name, fullName }),
  );
  await withStore((office) => carryOut(office, asked));
}

async function carryOut(office: Office, { what, name, fullName, role, source }: PersonArguments): Promise<void> {
  const admin = pawlItself('terminal');
  switch (what) {
    case 'list':
      return list(office);
    case 'first': {
      const token = await inviteFirst(office);
      if (token !== null) process.stdout.write(`${origin()}/invitation/${token}\n`);
      return;
    }
    case 'add': {
      if (name === undefined || fullName === undefined) throw new UsageError('Say what they sign in as, and who it is.');
      const on = source === undefined ? null : await findSourceNamed(office.store, source);
      if (source !== undefined && !on) throw new UsageError(`There is no source ${source}.`);
      const added = await addPerson(office, admin, { name, fullName, grants: [{ role, source: on?.id ?? null }] });
      if (added.problem !== null) throw new UsageError(added.problem);
      process.stdout.write(`${origin()}/invitation/${added.result.invitation}\n`);
      return;
    }
    case 'disable':
    case 'enable': {
      const person = name === undefined ? null : await findPersonNamed(office.store, name);
      if (!person) throw new UsageError(`There is nobody called ${name ?? ''}.`);
      const { problem } = await setDisabled(office, admin, person.id, what === 'disable');
      if (problem !== null) throw new UsageError(problem);
    }
  }
}

async function list({ store }: Office): Promise<void> {
  const [people, grants] = await Promise.all([listPeople(store), listGrants(store)]);
  for (const person of people) {
    const roles = grants
      .filter(({ personId }) => personId === person.id)
      .map(({ role, source }) => (source === null ? role : `${role} on source ${source}`));
    process.stdout.write(
      `${[person.name, person.fullName, roles.join(', ') || 'no role', person.disabledAt ? 'disabled' : ''].join('\t').trimEnd()}\n`,
    );
  }
}
