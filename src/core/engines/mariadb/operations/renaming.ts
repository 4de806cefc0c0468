import type { RenameSequence } from '../../../operations/rename-others';
import type { RenameTable } from '../../../operations/rename-table';
import { todoOf } from '../../../operations/index';
import { quote, quoteList, quoteTable } from '../quote';
import { alone, beside, type Writing } from './writing';

const cost = { lock: 'EXCLUSIVE', way: 'instant', blocks: 'others for a moment', work: 'catalogue only' } as const;

/** The table, and a view in its place, which acts with the rights of whoever asks. */
export const renameTable: Writing<RenameTable> = {
  stages(operation) {
    const { table, to, leaves, takesBack } = operation;
    const [here, there] = [quoteTable(table), beside(table, to)];
    const todo = todoOf(operation);
    return [
      // On the way back the view stands where the table goes.
      ...(takesBack ? [alone(`drop view if exists ${there}`, todo, cost)] : []),
      alone(`rename table ${here} to ${there}`, todo, cost),
      ...(leaves
        ? [
            alone(
              [
                `create or replace sql security invoker view ${here}`,
                `as select ${quoteList(leaves.columns)}`,
                `from ${there}`,
              ].join('\n'),
              { kind: 'tableMissing' as const, table },
              cost,
            ),
          ]
        : []),
    ];
  },
  cost: () => cost,
};

export const renameSequence: Writing<RenameSequence> = {
  stages: (operation) => [
    alone(
      `rename table ${quote(operation.schema)}.${quote(operation.from)} to ${quote(operation.schema)}.${quote(operation.to)}`,
      todoOf(operation),
      cost,
    ),
  ],
  cost: () => cost,
};
