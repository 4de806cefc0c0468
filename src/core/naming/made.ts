// What a server calls constraints and indexes by itself, and how such names are told from those that somebody thought of.

import type { NameRules } from '../engines/engineFacts';
import type { NamedObject, ToName } from './named';
import { readable, spell, type Template } from './template';

/**
 * True when a name was made by a server and not by a person: the server's own pattern with a
 * number behind it, or one that is only a number (`$1`, `sys_c00123`).
 */
export function isServerMade(rules: NameRules, { name, ...object }: NamedObject): boolean {
  if (/^(\$\d+|sys_c\d+|con\d+|constraint_?\d+|[a-z]{2}__.*__[0-9a-f]{8})$/i.test(name)) return true;
  const own = ownName(rules, object);
  return name.replace(/\d+$/, '') === own || name === own;
}

export function serverName(rules: NameRules, object: ToName): string {
  return rules.shorten(ownName(rules, object));
}

// Few, and read again for every name.
const serverTemplates = new Map<string, Template>();

function serverTemplate(text: string): Template {
  let template = serverTemplates.get(text);
  if (!template) serverTemplates.set(text, (template = readable(text)));
  return template;
}

// The server leaves out the columns of a check that covers several.
function ownName(rules: NameRules, { kind, of }: ToName): string {
  const several = kind === 'check' && of.columns.length !== 1;
  const { parts } = serverTemplate(several ? rules.checkOfSeveral : rules.templates[kind]);
  return spell(parts, of, false).replaceAll(/__+/g, '_');
}
