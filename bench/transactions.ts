// What a busy application does, for `bench/mariadb`: so many clients, each with transactions of a look and three changes by key, as
// fast as they can, for so many seconds. Says how many were done.

import { createConnection } from 'mysql2';
import { parseConnectionString } from '../src/sources/mariadb/connectionString';
import { rowsOf } from '../src/sources/mariadb/connect';

const [url = '', clients = '4', seconds = '30'] = process.argv.slice(2);
const { host, port, user, password, databases } = parseConnectionString(url);
const until = performance.now() + Number(seconds) * 1000;
let done = 0;
await Promise.all(
  Array.from({ length: Number(clients) }, async () => {
    const connection = createConnection({ host, port, user, password, database: databases[0] ?? '', rowsAsArray: true });
    while (performance.now() < until) {
      const [id, amount] = [1 + Math.floor(Math.random() * 500_000), Math.floor(Math.random() * 100)];
      await rowsOf(connection, 'start transaction');
      await rowsOf(connection, `update account set balance = balance + ${amount} where id = ${id}`);
      await rowsOf(connection, `select balance from account where id = ${id}`);
      await rowsOf(connection, `update account set filler = 'x${amount}' where id = ${1 + (id % 500_000)}`);
      await rowsOf(connection, `select count(*) from account where branch = ${id % 200}`);
      await rowsOf(connection, 'commit');
      done++;
    }
    connection.destroy();
  }),
);
console.log(done);
