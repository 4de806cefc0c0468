import type { Stock } from './stock';

export const triggers: Stock = {
  title: 'triggers',
  part: 'triggers',
  fields: [
    { name: 'schema', type: 'text', width: 90, usual: true },
    { name: 'table', type: 'text', width: 170, usual: true },
    { name: 'name', type: 'text', width: 200, usual: true },
    { name: 'function', type: 'text', width: 220, usual: true },
    { name: 'event', type: 'text', width: 130, usual: true, about: 'what it fires at, where that is one event' },
    { name: 'enabled', type: 'truth', width: 80, usual: true },
    { name: 'instead', type: 'truth', width: 80, about: 'whether it takes the place of the change' },
  ],
  lines: ({ catalogue: { tables } }) =>
    tables.flatMap((table) =>
      table.triggers.map((trigger) => ({
        id: `${table.id}!${trigger.name}`,
        table: table.id,
        values: {
          schema: table.schema,
          table: table.name,
          name: trigger.name,
          function: trigger.function,
          event: trigger.event ?? null,
          enabled: trigger.enabled,
          instead: trigger.insteadOf ?? false,
        },
      })),
    ),
};
