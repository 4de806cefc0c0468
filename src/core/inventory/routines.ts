import type { Stock } from './stock';

export const routines: Stock = {
  title: 'routines',
  part: 'routines',
  fields: [
    { name: 'schema', type: 'text', width: 80, usual: true },
    { name: 'name', type: 'text', width: 170, usual: true },
    { name: 'kind', type: 'text', width: 80, usual: true },
    { name: 'takes', type: 'text', width: 200, usual: true, about: 'its arguments' },
    { name: 'returns', type: 'text', width: 120, usual: true },
    { name: 'language', type: 'text', width: 80, usual: true },
    { name: 'triggers', type: 'number', width: 70, about: 'that call it' },
    {
      name: 'volatility',
      type: 'text',
      width: 80,
      about: 'whether it does the same for the same arguments, as it says of itself',
    },
    { name: 'definer', title: 'as owner', type: 'truth', width: 70, about: 'whether it runs with the rights of its owner' },
    { name: 'owner', type: 'text', width: 110 },
    { name: 'comment', type: 'text', width: 200 },
  ],
  lines: ({ catalogue: { tables, routines: all = [] } }) => {
    const calls = new Map<string, number>();
    for (const { function: called } of tables.flatMap(({ triggers }) => triggers))
      calls.set(called, (calls.get(called) ?? 0) + 1);
    return all.map((routine) => ({
      id: `${routine.schema}.${routine.name}(${routine.arguments})`,
      table: null,
      values: {
        schema: routine.schema,
        name: routine.name,
        kind: routine.kind,
        takes: routine.arguments || null,
        returns: routine.returns,
        language: routine.language,
        triggers: calls.get(`${routine.schema}.${routine.name}`) ?? calls.get(routine.name) ?? 0,
        volatility: routine.volatility,
        definer: routine.asOwner,
        owner: routine.owner,
        comment: routine.comment,
      },
    }));
  },
};
