import { factsOf } from '../../engines/facts';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';
import { beforeRenaming, objectOf, placeOf, writtenNames } from '../../naming/written';

interface Facts {
  readonly name: string;
  readonly engine: string;
}

/** Names that are words of the language itself. */
export const reservedName = defineRule<Facts>({
  id: 'naming/reserved',
  concern: 'Naming',
  about: 'A table or column that is called a reserved word of the engine.',
  *check({ catalogue, tables }) {
    const { names, title } = factsOf(catalogue);
    for (const written of writtenNames({ tables }))
      if (names.reserved.has(written.name.toLowerCase()))
        yield {
          ...placeOf(written),
          severity: 'Minor',
          confidence: 1,
          facts: { name: written.name, engine: title },
          proposal: byHand(placeOf(written).columns),
        };
  },

  words({ name, engine }, object) {
    return {
      title: 'Reserved word',
      message: `${objectOf(name, object).replace(/^t/, 'T')} bears a reserved word of ${engine} for its name.`,
      consequence: `A statement that says ${name} without quotes fails, or means something else than the ${object.columns.length === 0 ? 'table' : 'column'}.`,
      measured: name,
      evidence: [{ label: 'name', text: name }],
      reasons: [`${name.toUpperCase()} is reserved in ${engine}`],
      advice: beforeRenaming,
    };
  },
});
