// What hangs on something, for a client whose server has no blocks outside of programs: a statement is made as a text, and run, or
// another that does nothing in its place (manual, "Prepared Statements").

import { literal } from '../mariadb/quote';
import { type Client, onLines, settingsWith } from '../mariadb/scripts';
import { executed, raised } from './variant';

export const prepared: Omit<Client, 'stages' | 'check' | 'run' | 'variant' | 'reserved'> = {
  settings: [settingsWith(), "set @pawl_undo = 'do 0', @pawl_keys = 'do 0', @pawl_orphans = 0;"].join('\n'),
  opens: [],
  closes: [],
  guard: (query, says) => `set @pawl_wrong = (${onLines(query)});\n${raised('@pawl_wrong > 0', says)};`,
  stage: (stage, query, says) =>
    [
      `set @pawl_todo = (${onLines(query)});`,
      ...(stage.alone ? [] : ['start transaction;']),
      ...stage.statements.map(conditional),
      ...(stage.alone ? [] : ['commit;']),
      ...(says ? [`select if(@pawl_todo > 0, ${literal(says.done)}, ${literal(says.before)}) as pawl;`] : []),
    ].join('\n'),
  plainly: (statement) => `${statement};`,
  bare: (statement) => `${statement};\n`,
};

// What only prepares, or remembers what was changed, hangs on nothing.
function conditional(statement: string): string {
  if (/^(prepare|execute|deallocate)\b/.test(statement) || statement.endsWith('= row_count()')) return `${statement};`;
  const text = `set @pawl_do = if(@pawl_todo > 0, ${literal(statement)}, 'do 0');`;
  // It is let go of with the next: what was changed can be asked for until then.
  const [prepare, execute] = executed('@pawl_do');
  return `${text}\n${prepare}; ${execute};`;
}
