import { factsOf } from '../../engines/facts';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';
import { beforeRenaming, objectOf, placeOf, writtenNames } from '../../naming/written';

interface Facts {
  readonly name: string;
  /** The signs in it that call for quotes. */
  readonly odd: readonly string[];
}

/** Names that every statement has to quote, where most can do without. */
export const quotedName = defineRule<Facts>({
  id: 'naming/quoted',
  concern: 'Naming',
  about: 'A table or column whose name has to be quoted in every statement, where most names here need no quotes.',
  *check({ catalogue, tables }) {
    const { bare } = factsOf(catalogue).names;
    const all = [...writtenNames({ tables })];
    const odd = all.filter(({ name }) => !bare.test(name));
    // Where most are so it is how this house writes.
    if (odd.length * 2 > all.length) return;
    for (const written of odd)
      yield {
        ...placeOf(written),
        severity: 'Minor',
        confidence: 1,
        facts: { name: written.name, odd: oddIn(written.name, bare) },
        proposal: byHand(placeOf(written).columns),
      };
  },

  words({ name, odd }, object) {
    const what = objectOf(name, object);
    return {
      title: 'Has to be quoted',
      message: `Every statement has to write ${what} in quotes, for its ${odd.length === 0 ? 'first sign' : odd.map((sign) => JSON.stringify(sign)).join(', ')}.`,
      consequence: 'Who forgets the quotes is told that it does not exist; some tools never get it right.',
      measured: odd.join(' '),
      evidence: [
        { label: 'name', text: JSON.stringify(name) },
        { label: 'calls for quotes', text: odd.length === 0 ? 'it begins with a number' : odd.join(' ') },
      ],
      reasons: ['most names of this source need no quotes'],
      advice: beforeRenaming,
    };
  },
});

function oddIn(name: string, bare: RegExp): readonly string[] {
  return [...new Set([...name].filter((sign) => !bare.test(`a${sign}`)))];
}
