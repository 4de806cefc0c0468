// Catalogues as earlier versions stored them. Format 1 knew two meanings of null in unique keys, and left it to whoever
// read a default whether it makes identifiers.

import { type Stored, withEach } from './stored';

export function upgradeCatalogue(stored: Stored, format: number): Stored {
  return format < 2 ? toSecond(stored) : stored;
}

function toSecond(stored: Stored): Stored {
  return withEach({ source: 'live', unknown: [], ...stored }, 'tables', (table) =>
    withEach(withEach(withEach(table, 'columns', column), 'constraints', unique), 'indexes', unique),
  );
}

const makesIdentity = /^(pg_catalog\.)?(nextval|gen_random_uuid|uuid_generate_v\d)\(/;

function column(stored: Stored): Stored {
  const { identity, default: given } = stored;
  const fillsItself = (identity !== null && identity !== undefined) || makesIdentity.test(typeof given === 'string' ? given : '');
  return { ...stored, fillsItself };
}

function unique({ nullsDistinct, ...stored }: Stored): Stored {
  const has = nullsDistinct !== undefined || stored['kind'] === 'unique';
  return has ? { ...stored, nulls: nullsDistinct === false ? 'alike' : 'distinct' } : stored;
}
