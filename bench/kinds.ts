// Made-up harbour schemas, each with the same kinds of difficulty and its own conventions: tables that share a key, link tables, versions,
// positions, tags, roles, small codes beside lookups, inherited columns; keys and references named in every way that schemas are met with.
// What the corpus has too little of. The rows are made by the corpus's own generator, so that all that is declared holds.

/** How a schema names things. */
export interface Convention {
  readonly name: string;
  readonly table: (words: readonly string[], module: string) => string;
  /** The name of a table's own key. */
  readonly key: (words: readonly string[], module: string) => string;
  /** The name of a column that refers to a table, with a role before it or without (''). */
  readonly reference: (role: readonly string[], parent: readonly string[], parentKey: string) => string;
  /** Put before every column of a table. */
  readonly prefix?: (words: readonly string[]) => string;
  readonly glue: (words: readonly string[]) => string;
  /** Whether a table that extends another takes its key's name over. */
  readonly extensionKeeps: boolean;
  readonly translate?: Readonly<Record<string, string>>;
  /** Tables that keep who changed them inherit that from one. */
  readonly inherits?: boolean;
  readonly textKeys?: boolean;
}

const snake = (words: readonly string[]): string => words.join('_');
const camel = (words: readonly string[]): string => words.map((word) => word.charAt(0).toUpperCase() + word.slice(1)).join('');
const lowerCamel = (words: readonly string[]): string => words.map((word, i) => (i === 0 ? word : camel([word]))).join('');
const plural = (words: readonly string[]): string =>
  snake(words)
    .replace(/$/, 's')
    .replace(/ys$/, 'ies')
    .replace(/(ch|sh|x|s)s$/, '$1es');
const short = (words: readonly string[]): string =>
  words.length === 1
    ? (words[0] ?? '').replace(/(?!^)[aeiou]/g, '').slice(0, 4)
    : words.map((word) => word.slice(0, words.length > 2 ? 1 : 2)).join('');
const with_ = (role: readonly string[], rest: string): string => (role.length > 0 ? `${snake(role)}_${rest}` : rest);

const german: Readonly<Record<string, string>> = {
  party: 'partei',
  person: 'person',
  company: 'firma',
  employee: 'mitarbeiter',
  user: 'benutzer',
  berth: 'liegeplatz',
  quay: 'kai',
  terminal: 'terminal',
  vessel: 'schiff',
  type: 'typ',
  call: 'anlauf',
  manifest: 'manifest',
  line: 'zeile',
  container: 'container',
  cargo: 'ladung',
  tariff: 'tarif',
  version: 'version',
  invoice: 'rechnung',
  payment: 'zahlung',
  certificate: 'zeugnis',
  inspection: 'pruefung',
  item: 'posten',
  status: 'status',
  crane: 'kran',
  tug: 'schlepper',
  truck: 'lkw',
  equipment: 'geraet',
  job: 'auftrag',
  shift: 'schicht',
  document: 'dokument',
  permit: 'genehmigung',
  contract: 'vertrag',
  tag: 'schlagwort',
  note: 'notiz',
  setting: 'einstellung',
  log: 'protokoll',
  message: 'nachricht',
  role: 'rolle',
  permission: 'recht',
  currency: 'waehrung',
  rate: 'kurs',
  route: 'route',
  stop: 'halt',
  pilot: 'lotse',
  reading: 'messung',
  station: 'station',
  account: 'konto',
  entry: 'buchung',
  category: 'kategorie',
  unit: 'einheit',
  country: 'land',
  customer: 'kunde',
  order: 'bestellung',
  product: 'ware',
  warehouse: 'lager',
  movement: 'bewegung',
  journal: 'journal',
  member: 'mitglied',
  group: 'gruppe',
  name: 'name',
  code: 'kennung',
  created: 'angelegt',
  by: 'von',
  approved: 'freigegeben',
  owner: 'besitzer',
  previous: 'vorher',
  parent: 'ober',
  home: 'heimat',
  from: 'ab',
  to: 'an',
};
const french: Readonly<Record<string, string>> = {
  party: 'tiers',
  person: 'personne',
  company: 'societe',
  employee: 'employe',
  user: 'utilisateur',
  berth: 'poste',
  quay: 'quai',
  terminal: 'terminal',
  vessel: 'navire',
  type: 'type',
  call: 'escale',
  manifest: 'manifeste',
  line: 'ligne',
  container: 'conteneur',
  cargo: 'cargaison',
  tariff: 'tarif',
  version: 'version',
  invoice: 'facture',
  payment: 'paiement',
  certificate: 'certificat',
  inspection: 'controle',
  item: 'element',
  status: 'statut',
  crane: 'grue',
  tug: 'remorqueur',
  truck: 'camion',
  equipment: 'engin',
  job: 'travail',
  shift: 'poste_travail',
  document: 'document',
  permit: 'permis',
  contract: 'contrat',
  tag: 'etiquette',
  note: 'remarque',
  setting: 'reglage',
  message: 'courrier',
  role: 'role',
  permission: 'droit',
  currency: 'devise',
  rate: 'cours',
  route: 'route',
  stop: 'arret',
  pilot: 'pilote',
  reading: 'mesure',
  station: 'station',
  account: 'compte',
  entry: 'ecriture',
  category: 'categorie',
  unit: 'unite',
  country: 'pays',
  customer: 'client',
  order: 'commande',
  product: 'produit',
  warehouse: 'entrepot',
  movement: 'mouvement',
  journal: 'journal',
  member: 'membre',
  group: 'groupe',
  name: 'nom',
  created: 'cree',
  by: 'par',
  approved: 'approuve',
  owner: 'proprietaire',
  previous: 'precedent',
  parent: 'parent',
  home: 'attache',
  from: 'origine',
  to: 'destination',
};

export const conventions: readonly Convention[] = [
  {
    name: 'surrogate_id',
    table: plural,
    key: () => 'id',
    reference: (role, parent) => with_(role, `${snake(parent)}_id`),
    glue: snake,
    extensionKeeps: false,
  },
  {
    name: 'own_id',
    table: snake,
    key: (words) => `${snake(words)}_id`,
    reference: (role, parent) => with_(role, `${snake(parent)}_id`),
    glue: snake,
    extensionKeeps: true,
  },
  {
    name: 'fk_before',
    table: snake,
    key: () => 'pk',
    reference: (role, parent) => `fk_${snake(role.length > 0 ? role : parent)}`,
    glue: snake,
    extensionKeeps: false,
    inherits: true,
  },
  {
    name: 'fk_behind',
    table: (w) => `t_${snake(w)}`,
    key: (w) => `${snake(w)}_pk`,
    reference: (role, parent) => with_(role, `${snake(parent)}_fk`),
    glue: snake,
    extensionKeeps: true,
  },
  {
    name: 'id_before',
    table: snake,
    key: (w) => `id_${snake(w)}`,
    reference: (role, parent) => `id_${snake(parent)}${role.length > 0 ? `_${snake(role)}` : ''}`,
    glue: snake,
    extensionKeeps: true,
    translate: french,
  },
  {
    name: 'glued',
    table: (w) => w.join(''),
    key: (w) => `${w.join('')}id`,
    reference: (role, parent) => `${role.join('')}${parent.join('')}id`,
    glue: (w) => w.join(''),
    extensionKeeps: true,
  },
  {
    name: 'numbers',
    table: snake,
    key: (w) => `${w.at(-1) ?? ''}_no`,
    reference: (role, parent) => with_(role, `${parent.at(-1) ?? ''}_no`),
    glue: snake,
    extensionKeeps: true,
  },
  {
    name: 'camel',
    table: camel,
    key: () => 'Id',
    reference: (role, parent) => camel([...role, ...parent, 'id']),
    glue: camel,
    extensionKeeps: false,
  },
  {
    name: 'prefixed',
    table: (w, m) => `${m}_${plural(w)}`,
    key: (w) => `${short(w)}_id`,
    prefix: (w) => `${short(w)}_`,
    reference: (role, parent, key) => with_(role, key),
    glue: snake,
    extensionKeeps: false,
  },
  {
    name: 'bare_words',
    table: snake,
    key: () => 'id',
    reference: (role, parent) => snake(role.length > 0 ? role : parent),
    glue: snake,
    extensionKeeps: false,
    inherits: true,
  },
  {
    name: 'lower_camel',
    table: lowerCamel,
    key: (w) => `${lowerCamel(w)}Id`,
    reference: (role, parent) => lowerCamel([...role, ...parent, 'id']),
    glue: lowerCamel,
    extensionKeeps: true,
  },
  {
    name: 'german',
    table: snake,
    key: (w) => `${snake(w)}_nr`,
    reference: (role, parent) => with_(role, `${snake(parent)}_nr`),
    glue: snake,
    extensionKeeps: true,
    translate: german,
  },
  {
    name: 'parent_prefix',
    table: (w) => w.map((x) => x.slice(0, 6)).join(''),
    key: (w) => `${w.map((x) => x.slice(0, 6)).join('')}_id`,
    prefix: (w) => `${w.map((x) => x.slice(0, 6)).join('')}_`,
    reference: (role, parent, key) => with_(role, key),
    glue: snake,
    extensionKeeps: false,
  },
  {
    name: 'x_of',
    table: (w, m) => `${m}${plural(w)}`,
    key: () => 'rowid',
    reference: (role, parent) => `fk_${role.length > 0 ? `${snake(parent)}_${snake(role)}` : snake(parent)}`,
    glue: snake,
    extensionKeeps: false,
  },
];

// name (module): tokens. `>parent` refers, `role>parent` with a role, `role:>parent` by the role alone; `?` may be empty; `&parent` refers and is part of the key;
// `^parent` takes the parent's key over as its own; `#n` numbers rows, `%n` is a text, both part of the key; `name:type` is a plain column, `!` unique; `{a,b}` is unique together.
const model = `
party (core): kind:small name:text note:long? created:ts created_by:>user? audited
person (core): ^party given_name:text family_name:text birth:date? title:code?
company (core): ^party vat_code:text? legal_form:code rating:small
employee (hr): ^party staff_number:text! hired:date manager>employee? >unit
customer (core): ^party credit_limit:num level:small owner:>user?
user (core): login:text! password_hash:text email:text active:bool last_login:ts? mode:small
unit (hr): name:text parent>unit? cost_centre:code?
country (core): iso_code:code! name:text
terminal (port): code:code! name:text operator>company? >country
quay (port): >terminal name:text length_m:num {terminal,name}
berth (port): >quay code:code depth:num status:small position:small {quay,code}
vessel_type (port): name:text! priority:small
vessel (port): imo:text! name:text >vessel_type >country home>berth? owner>company? gross_tonnage:int built:date?
port_call (port): >vessel >berth pilot:>person? eta:ts etd:ts? status:small previous>port_call? approved_by:>user? audited
manifest (cargo): >port_call manifest_code:text! weight:num status:small created_by:>user
manifest_line (cargo): &manifest #line >container? description:long weight:num
container_type (cargo): iso:code! size:small name:text
container (cargo): container_code:text! >container_type owner>company? tare:num mode:small
product (cargo): name:text ean:text? >category unit_price:num
category (cargo): name:text parent>category? sort_order:small
warehouse (cargo): name:text >terminal capacity:int
movement (cargo): >container from>warehouse? to>warehouse? moved:ts quantity:int kind:small done_by:>user
tariff (fin): code:code! name:text
tariff_version (fin): &tariff #version valid_from:date rate:num approved_by:>user?
invoice (fin): invoice_code:text! >customer >port_call? billing>party? total:num issued:date status:small >currency
invoice_line (fin): &invoice #position >product? amount:num >tariff?
payment (fin): >invoice amount:num paid:ts method:small reference:text?
currency (fin): code:code! name:text decimals:small
exchange_rate (fin): &currency #period rate:num
account (fin): account_code:text! name:text parent>account? >category?
journal_entry (fin): >account >invoice? amount:num booked:ts approved:bool entered_by:>user
equipment (gear): serial:text! >terminal bought:date? state:small
crane (gear): ^equipment reach:num lift:num >berth?
tug (gear): ^equipment power:int >vessel?
truck (gear): ^equipment plate:text! driver>employee?
maintenance_job (gear): >equipment planned:date done:date? priority:small assigned>employee?
shift (hr): >unit starts:ts ends:ts level:small
shift_member (hr): &shift &employee role_code:code? hours:num
group (core): name:text!
group_member (core): &group &user since:date?
permission (core): name:text! level:small
group_permission (core): &group &permission granted_by:>user?
document (doc): title:text >party? kind:small size:int path:text audited
permit (doc): ^document permit_code:text! valid_until:date >vessel?
contract (doc): ^document >customer amount:num signed_by:>person?
document_version (doc): &document #version body:long author:>user hash:text
document_tag (doc): &document &tag
tag (doc): name:text!
note (doc): >document? >user subject:text body:long reply_to:>note?
setting (core): &user %name value:long?
message (core): sender:>user recipient:>user subject:text body:long sent:ts status:small
session (core): >user token:text! started:ts address:text
log_entry (core): >user? at:ts level:small message:long
certificate (port): >vessel certificate_code:text issued:date expires:date? issuer>company? {vessel,certificate_code}
inspection (port): >vessel inspector:>employee >inspection_status held:ts score:small
inspection_status (port): name:text!
inspection_item (port): &inspection #item finding:long severity:small
route (port): name:text! length:num
route_stop (port): &route #sequence >berth stay:int
station (tide): code:code! name:text latitude:num longitude:num
reading (tide): >station taken:ts level:num quality:small {station,taken}
subscription (tide): &station &user since:ts
order (cargo): order_code:text! >customer >warehouse? delivered:date? created_by:>user changed_by:>user? audited
order_line (cargo): >order >product quantity:int price:num position:small {order,product}
timesheet (hr): >shift >employee day:date hours:num break_count:small
access_entry (core): >group >user at:ts result:small
event (port): >port_call event_type:small vessel_count:int order_no:int at:ts mode:small
event_type (port): name:text! sort_order:small
summary (fin): period:int invoice_count:int payment_total:num account_type:small customer_level:small user_rank:small {period,invoice_count}
job_queue (core): job_type:small state:small retry_count:int max_users:int note_length:int queued:ts >user?
transfer (fin): from>account to>account amount:num booked:ts batch_no:int
pilot_licence (port): >person >terminal grade:small valid_until:date
`;

interface Entity {
  readonly words: readonly string[];
  readonly module: string;
  readonly tokens: readonly string[];
}

const entities: readonly Entity[] = model
  .trim()
  .split('\n')
  .map((line) => {
    const [, name = '', module = '', rest = ''] = /^(\w+) \((\w+)\): (.*)$/.exec(line) ?? [];
    return { words: name.split('_'), module, tokens: rest.split(' ') };
  });

const types: Readonly<Record<string, string>> = {
  small: 'smallint',
  int: 'integer',
  text: 'varchar(80)',
  long: 'text',
  code: 'varchar(8)',
  ts: 'timestamptz',
  date: 'date',
  num: 'numeric(12,2)',
  bool: 'boolean',
};

/** The statements that make a schema of these kinds by one convention; about a sixth of the tables are left out, others for each. */
export function ddlOf(convention: Convention): string {
  const random = randomOf(convention.name);
  const needed = new Set(['party', 'person', 'company', 'user', 'vessel', 'document', 'equipment', 'berth', 'quay', 'terminal']);
  const kept = entities.filter((entity) => needed.has(entity.words.join('_')) || random() > 0.17);
  const byName = new Map(kept.map((entity) => [entity.words.join('_'), entity]));
  const said = (words: readonly string[]): readonly string[] => words.map((word) => convention.translate?.[word] ?? word);
  const quote = (name: string): string => `"${name}"`;
  const tableName = ({ words, module }: Entity): string => convention.table(said(words), module);
  const lineage = (entity: Entity): Entity => {
    const above = entity.tokens.find((token) => token.startsWith('^'));
    const parent = above ? byName.get(above.slice(1)) : undefined;
    return parent ?? entity;
  };
  const rootOf = (entity: Entity): Entity => (lineage(entity) === entity ? entity : rootOf(lineage(entity)));
  const keyName = (entity: Entity): string => {
    const root = convention.extensionKeeps ? rootOf(entity) : entity;
    return convention.key(said(root.words), root.module);
  };
  const statements: string[] = [];
  const references: string[] = [];
  if (convention.inherits) {
    statements.push(
      `create table audit_fields (${quote(convention.key(['audit'], 'audit') === 'pk' ? 'pk_audit' : 'audit_id')} serial primary key, row_version integer not null default 0, modified_when timestamptz not null default now(), modified_by varchar(40) not null);`,
    );
  }
  for (const entity of kept) {
    const prefix = convention.prefix?.(said(entity.words)) ?? '';
    const columns: string[] = [];
    const key: string[] = [];
    const named = new Map<string, string>();
    const uniques: string[] = [];
    let inherits = '';
    const plain = (words: readonly string[]): string => `${prefix}${convention.glue(said(words))}`;
    const refer = (role: readonly string[], alone: boolean, parent: Entity, optional: boolean): string => {
      const parentKey = keyName(parent);
      const named_ = alone
        ? convention.name === 'fk_before' || convention.name === 'x_of'
          ? `fk_${snake(said(role))}`
          : convention.glue(said(role))
        : convention.reference(said(role), said(parent.words), parentKey);
      const name = `${prefix}${named_}`;
      columns.push(`${quote(name)} integer${optional ? '' : ' not null'}`);
      references.push(
        `alter table ${quote(tableName(entity))} add foreign key (${quote(name)}) references ${quote(tableName(parent))} (${quote(parentKey)});`,
      );
      return name;
    };
    const extended = lineage(entity);
    if (extended !== entity) {
      const name = keyName(entity);
      columns.push(`${quote(name)} integer not null`);
      key.push(name);
      references.push(
        `alter table ${quote(tableName(entity))} add foreign key (${quote(name)}) references ${quote(tableName(extended))} (${quote(keyName(extended))});`,
      );
    } else if (!entity.tokens.some((token) => /^[&#%]/.test(token))) {
      const name = keyName(entity);
      columns.push(`${quote(name)} serial`);
      key.push(name);
    }
    for (const token of entity.tokens) {
      const optional = token.endsWith('?');
      const body = token.replace(/[?!]$/, '');
      const reference = /^(\w*)(:?)>(\w+)$/.exec(body);
      if (token === 'audited') inherits = convention.inherits ? ' inherits (audit_fields)' : '';
      else if (token.startsWith('^')) continue;
      else if (token.startsWith('&')) {
        const parent = byName.get(body.slice(1));
        if (!parent) continue;
        const name = refer([], false, parent, false);
        key.push(name);
        named.set(body.slice(1), name);
      } else if (/^[#%]/.test(token)) {
        const name = plain([body.slice(1)]);
        columns.push(`${quote(name)} ${token.startsWith('#') ? 'integer' : 'varchar(40)'} not null`);
        key.push(name);
      } else if (reference) {
        const parent = byName.get(reference[3] ?? '');
        if (!parent) continue;
        const role = (reference[1] ?? '').split('_').filter(Boolean);
        named.set(reference[3] ?? '', refer(role, reference[2] === ':', parent, optional));
      } else if (token.startsWith('{')) {
        const parts = token
          .slice(1, -1)
          .split(',')
          .map((part) => named.get(part));
        if (parts.every((part) => part !== undefined)) uniques.push(`unique (${parts.map((part) => quote(part)).join(', ')})`);
      } else {
        const [name = '', type = 'text'] = body.split(':');
        const spelt = plain(name.split('_'));
        if (columns.some((column) => column.startsWith(`${quote(spelt)} `))) continue;
        named.set(name, spelt);
        columns.push(`${quote(spelt)} ${types[type]}${optional ? '' : ' not null'}${token.endsWith('!') ? ' unique' : ''}`);
      }
    }
    if (key.length < 2 && entity.tokens.filter((token) => /^[&#%]/.test(token)).length > 1) continue;
    statements.push(
      `create table ${quote(tableName(entity))} (${[...columns, `primary key (${key.map(quote).join(', ')})`, ...uniques].join(', ')})${inherits};`,
    );
  }
  const made = new Set(statements.map((statement) => /create table "([^"]+)"/.exec(statement)?.[1]));
  return [
    ...statements,
    ...references.filter(
      (statement) =>
        made.has(/alter table "([^"]+)"/.exec(statement)?.[1]) && made.has(/references "([^"]+)"/.exec(statement)?.[1]),
    ),
  ].join('\n');
}

/** The same numbers for the same word, each from 0 to below 1 (mulberry32). */
export function randomOf(word: string): () => number {
  let state = [...word].reduce((sum, letter) => Math.imul(sum ^ letter.charCodeAt(0), 16777619), 2166136261) >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
