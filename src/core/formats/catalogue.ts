// Catalogues as earlier versions kept them. Format 1 knew two meanings of null in unique keys, and left it to whoever
// read a default whether it makes identifiers.

import { type Kept, withEach } from './kept';

export function upgradeCatalogue(kept: Kept, format: number): Kept {
  return format < 2 ? toSecond(kept) : kept;
}

function toSecond(kept: Kept): Kept {
  return withEach({ source: 'live', unknown: [], ...kept }, 'tables', (table) =>
    withEach(withEach(withEach(table, 'columns', column), 'constraints', unique), 'indexes', unique),
  );
}

const makesIdentity = /^(pg_catalog\.)?(nextval|gen_random_uuid|uuid_generate_v\d)\(/;

function column(kept: Kept): Kept {
  const { identity, default: given } = kept;
  const fillsItself = (identity !== null && identity !== undefined) || makesIdentity.test(typeof given === 'string' ? given : '');
  return { ...kept, fillsItself };
}

function unique({ nullsDistinct, ...kept }: Kept): Kept {
  const has = nullsDistinct !== undefined || kept['kind'] === 'unique';
  return has ? { ...kept, nulls: nullsDistinct === false ? 'alike' : 'distinct' } : kept;
}
