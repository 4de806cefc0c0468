// Run before anything else at every start: the store's migrations, and the key that seals passwords.

import { storeUrl } from './db';
import { migrate } from './migrate';
import { seal } from './secrets';

await migrate(storeUrl());
seal('');
