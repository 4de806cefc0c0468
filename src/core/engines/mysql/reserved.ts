import { names } from '../mariadb/names';

/** Manual, "Keywords and Reserved Words": those that MariaDB does not keep to itself. */
export const reserved: ReadonlySet<string> = new Set([
  ...names.reserved,
  ...(
    'cube cume_dist dense_rank empty first_value function generated get grouping groups io_after_gtids io_before_gtids json_table lag ' +
    'last_value lateral lead manual master_bind nth_value ntile of optimizer_costs parallel percent_rank qualify rank stored system ' +
    'tablesample virtual'
  ).split(' '),
]);
