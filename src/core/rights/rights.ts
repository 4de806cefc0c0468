// What people may do with sources, each a right of its own; roles bundle them. A grant is for one source, or for all.

/** In the order in which the job is done. */
export const rights = {
  seeFindings: 'see findings',
  seeRows: 'see rows of data',
  survey: 'survey',
  care: 'say who sees to a finding, and comment on it',
  plan: 'plan dockets',
  sign: 'sign dockets',
  run: 'run dockets',
  vouch: 'say what was done outside of Pawl',
  keepSources: 'keep sources and their logins',
  chooseRehearsalServer: 'choose where production is copied to for a rehearsal',
  keepRules: 'keep house style and rules',
  readJournal: 'read the journal',
  keepPeople: 'keep people',
} as const;
export type Right = keyof typeof rights;
export const allRights = Object.keys(rights) as readonly Right[];

export function isRight(text: string): text is Right {
  return Object.hasOwn(rights, text);
}

/** Rights that are about no single source: only a grant for all sources gives them. */
export const overall: ReadonlySet<Right> = new Set(['keepPeople', 'readJournal']);

export interface RoleShape {
  readonly about: string;
  readonly rights: readonly Right[];
}

const seeing = ['seeFindings', 'seeRows'] as const;

export const roles = {
  Reader: { about: 'reads findings, no rows of data', rights: ['seeFindings'] },
  Auditor: { about: 'surveys, looks at rows, settles rules', rights: [...seeing, 'survey', 'care', 'keepRules'] },
  Planner: { about: 'plans and rehearses dockets', rights: [...seeing, 'survey', 'care', 'plan'] },
  Signer: { about: 'signs what others planned', rights: [...seeing, 'care', 'sign'] },
  Operator: { about: 'runs dockets in their window', rights: [...seeing, 'survey', 'care', 'run', 'vouch'] },
  Keeper: {
    about: 'keeps sources, their logins, and where they are rehearsed',
    rights: ['seeFindings', 'survey', 'care', 'keepSources', 'chooseRehearsalServer', 'keepRules'],
  },
  Administrator: { about: 'may do everything, and keeps people', rights: allRights },
} as const satisfies Readonly<Record<string, RoleShape>>;
export type Role = keyof typeof roles;
export const roleNames = Object.keys(roles) as readonly Role[];

export interface Grant {
  readonly role: Role;
  /** Null for all sources. */
  readonly source: number | null;
}

/** What one who asks may do: by grants, and no more than `only` where a token says so. */
export interface Bounds {
  readonly grants: readonly Grant[];
  readonly only?: { readonly rights: readonly Right[]; readonly source: number | null } | undefined;
}

/** Whether that is allowed on a source; `null` asks for all sources, and for what is about none. Denied unless a grant says so. */
export function may({ grants, only }: Bounds, right: Right, source: number | null): boolean {
  const granted = grants.some(
    (grant) =>
      (roles[grant.role].rights as readonly Right[]).includes(right) &&
      (grant.source === null || (grant.source === source && !overall.has(right))),
  );
  if (!granted || !only) return granted;
  return only.rights.includes(right) && (only.source === null || only.source === source);
}

/** Whether there is any source on which that is allowed: for what is offered before one is chosen. */
export function mayAnywhere(bounds: Bounds, right: Right): boolean {
  return may(bounds, right, null) || bounds.grants.some(({ source }) => source !== null && may(bounds, right, source));
}

/** The roles that have a right, for telling whom to ask. */
export function rolesWith(right: Right): readonly Role[] {
  return roleNames.filter((role) => (roles[role].rights as readonly Right[]).includes(right));
}
