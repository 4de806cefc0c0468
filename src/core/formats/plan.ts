// Plans as earlier versions kept them. Format 1 said how (`validateConstraint`) where now it is said what (`checkRows`),
// left out whether rows are checked where they were not, and kept what a step blocks in words.

import { type Kept, isKept, withEach, withPart } from './kept';

/** `engine`: that of everything that was kept before there were several. */
export function upgradePlan(kept: Kept, format: number, engine: string): Kept {
  return format < 2 ? toSecond({ engine, ...kept }) : kept;
}

function toSecond(kept: Kept): Kept {
  const steps = withEach(kept, 'steps', (step) => withPart(withPart(step, 'operation', operation), 'cost', cost));
  return ['back', 'undo'].reduce((plan, name) => withEach(plan, name, operation), steps);
}

const kinds: Readonly<Record<string, string>> = {
  addIdentityColumn: 'numberRows',
  validateConstraint: 'checkRows',
  forgetValidation: 'uncheckRows',
  renameConstraint: 'rename',
};

function operation(kept: Kept): Kept {
  const kind = String(kept['kind']);
  const named = { ...kept, kind: kinds[kind] ?? kind };
  const said = kind === 'addForeignKey' || kind === 'addCheck' ? { rows: 'new only', ...named } : named;
  const remade = withEach(said, 'references', (reference) => withPart(reference, 'reference', operation));
  return isKept(remade['before']) ? withPart(remade, 'before', operation) : remade;
}

const blocks: Readonly<Record<string, string>> = { 'readers and writers': 'everyone', 'no reader or writer': 'nobody' };

function cost(kept: Kept): Kept {
  const said = String(kept['blocks']);
  return { ...kept, blocks: blocks[said] ?? said };
}
