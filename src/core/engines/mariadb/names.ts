import type { NameRules } from '../engineFacts';
import { quote } from './quote';

/** Characters: manual, "Identifier Names". */
const longestName = 64;

// Manual, "Reserved Words".
const reserved = new Set(
  (
    'accessible add all alter analyze and as asc asensitive before between bigint binary blob both by call cascade case change char ' +
    'character check collate column condition constraint continue convert create cross current_date current_role current_time ' +
    'current_timestamp current_user cursor database databases day_hour day_microsecond day_minute day_second dec decimal declare default ' +
    'delayed delete desc describe deterministic distinct distinctrow div double drop dual each else elseif enclosed escaped except exists ' +
    'exit explain false fetch float float4 float8 for force foreign from fulltext general grant group having high_priority hour_microsecond ' +
    'hour_minute hour_second if ignore in index infile inner inout insensitive insert int int1 int2 int3 int4 int8 integer intersect ' +
    'interval into is iterate join key keys kill leading leave left like limit linear lines load localtime localtimestamp lock long ' +
    'longblob longtext loop low_priority match maxvalue mediumblob mediumint mediumtext middleint minute_microsecond minute_second mod ' +
    'modifies natural not no_write_to_binlog null numeric offset on optimize option optionally or order out outer outfile over partition ' +
    'precision primary procedure purge range read reads read_write real recursive references regexp release rename repeat replace ' +
    'require resignal restrict return returning revoke right rlike row_number rows schema schemas second_microsecond select sensitive ' +
    'separator set show signal smallint spatial specific sql sqlexception sqlstate sqlwarning sql_big_result sql_calc_found_rows ' +
    'sql_small_result ssl starting straight_join table terminated then tinyblob tinyint tinytext to trailing trigger true undo union ' +
    'unique unlock unsigned update usage use using utc_date utc_time utc_timestamp values varbinary varchar varcharacter varying when ' +
    'where while window with write xor year_month zerofill'
  ).split(' '),
);

export const names: NameRules = {
  shorten: (name, room = 0) =>
    Array.from(name)
      .slice(0, Math.max(0, longestName - room))
      .join(''),
  // A unique key is an index of its table; references and checks are told apart further.
  scopeOf: (kind) => (kind === 'unique' || kind === 'index' || kind === 'primary key' ? 'table' : 'schema'),
  // Case tells no names of keys and constraints apart; accents do (measured).
  fold: (name) => name.toLowerCase(),
  bare: /^[a-z_][a-z0-9_$]*$/,
  quotes: [['`', '`']],
  reserved,
  spelt: quote,
  // Manual, "CREATE TABLE": a key that nobody names is called as its first column, a reference as its table and a number.
  templates: {
    'primary key': '{table}_pkey',
    unique: '{columns}',
    'foreign key': '{table}_ibfk_{n}',
    check: 'CONSTRAINT_{n}',
    exclusion: '{columns}',
    'not null': '{columns}',
    index: '{columns}',
    sequence: '{table}_{columns}_seq',
    trigger: '{table}_{n}',
  },
  fixed: { 'primary key': 'PRIMARY' },
  checkOfSeveral: 'CONSTRAINT_{n}',
};
