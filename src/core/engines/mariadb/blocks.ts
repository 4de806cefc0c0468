// What hangs on something, for a client whose server runs blocks of statements outside of programs too (manual, "Using Compound
// Statements Outside of Stored Programs").

import type { Stage } from '../dialect';
import { literal } from './quote';
import { indent, type Client, onLines, settingsWith } from './scripts';

export const blocks: Omit<Client, 'stages' | 'check' | 'run' | 'variant' | 'reserved'> = {
  settings: settingsWith('check_constraint_checks = 1'),
  opens: ['delimiter //'],
  closes: ['delimiter ;'],
  guard: (query, says) =>
    `if (${onLines(query)}) > 0 then\n  signal sqlstate '45000' set message_text = ${literal(says)}; end if//`,
  stage: (stage, query, says) =>
    [
      `begin not atomic${stage.alone ? '' : ' declare exit handler for sqlexception begin rollback; resignal; end;'}`,
      `if (${onLines(query)}) > 0 then`,
      ...statementsOf(stage).map((statement) => `${indent(statement.replace(/^begin not atomic/, 'begin'), 2)};`),
      ...(says ? [`  ${say(says.done)}`, `else ${say(says.before)}`] : []),
      'end if; end//',
    ].join('\n'),
  plainly: (statement) => `${statement}//`,
  // A block has semicolons of its own.
  bare: (statement) =>
    statement.startsWith('begin not atomic') ? `delimiter //\n${statement}//\ndelimiter ;\n` : `${statement};\n`,
};

function say(words: string): string {
  return `select ${literal(words)} as pawl;`;
}

function statementsOf({ statements, alone }: Stage): readonly string[] {
  return alone ? statements : ['start transaction', ...statements, 'commit'];
}
