import { kindOf } from '../mariadb/kind';

export const mysql = kindOf('mysql', 'MySQL, over the network', 'PAWL_REHEARSAL_MYSQL_URL');
