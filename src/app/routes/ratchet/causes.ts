import type { Cause } from '~/core/ratchet/standing';

/** What made places of the board sound or broken, in words. */
export const causeWords: Readonly<Record<Cause, { readonly sound: string; readonly broken: string; readonly about: string }>> = {
  mended: { sound: 'mended', broken: 'mended elsewhere', about: 'A finding there is held since.' },
  slipped: { sound: 'slipped', broken: 'slipped', about: 'What was held there is not held any more.' },
  data: { sound: 'better data', broken: 'new data', about: 'The data says something else than it did.' },
  tables: {
    sound: 'tables gone',
    broken: 'new tables',
    about: 'A table that is not there any more, or that was not there before.',
  },
  rules: { sound: 'rule changed', broken: 'rule changed', about: 'A rule was set otherwise, or the house style was.' },
  waived: { sound: 'waived', broken: 'waiver ended', about: 'A finding there was waived, or is waived no longer.' },
  measured: {
    sound: 'not measured',
    broken: 'measured again',
    about: 'The table could not be measured this time, or could not before.',
  },
};
