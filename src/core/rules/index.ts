// Every rule there is, in the order in which findings are shown. Its id is its path.

import { missingKey } from './keys/missing';
import { generatedName } from './naming/generated';
import { absentNotNull } from './nullability/absent';
import { undeclaredReference } from './references/undeclared';
import type { Rule } from './rule';
import { absentUnique } from './uniqueness/absent';

export const rules: readonly Rule[] = [
  missingKey,
  undeclaredReference,
  absentUnique,
  absentNotNull,
  generatedName,
] as readonly Rule[];
