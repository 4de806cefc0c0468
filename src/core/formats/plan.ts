// Plans as earlier versions stored them. Format 1 said how (`validateConstraint`) where now it is said what (`checkRows`),
// left out whether rows are checked where they were not, and stored what a step blocks in words.

import { type Stored, isStored, withEach, withPart } from './stored';

/** `engine`: that of everything that was stored before there were several. */
export function upgradePlan(stored: Stored, format: number, engine: string): Stored {
  return format < 2 ? toSecond({ engine, ...stored }) : stored;
}

function toSecond(stored: Stored): Stored {
  const steps = withEach(stored, 'steps', (step) => withPart(withPart(step, 'operation', operation), 'cost', cost));
  return ['back', 'undo'].reduce((plan, name) => withEach(plan, name, operation), steps);
}

const kinds: Readonly<Record<string, string>> = {
  addIdentityColumn: 'numberRows',
  validateConstraint: 'checkRows',
  forgetValidation: 'uncheckRows',
  renameConstraint: 'rename',
};

function operation(stored: Stored): Stored {
  const kind = String(stored['kind']);
  const named = { ...stored, kind: kinds[kind] ?? kind };
  const said = kind === 'addForeignKey' || kind === 'addCheck' ? { rows: 'new only', ...named } : named;
  const remade = withEach(said, 'references', (reference) => withPart(reference, 'reference', operation));
  return isStored(remade['before']) ? withPart(remade, 'before', operation) : remade;
}

const blocks: Readonly<Record<string, string>> = { 'readers and writers': 'everyone', 'no reader or writer': 'nobody' };

function cost(stored: Stored): Stored {
  const said = String(stored['blocks']);
  return { ...stored, blocks: blocks[said] ?? said };
}
