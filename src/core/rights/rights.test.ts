import fc from 'fast-check';
import { expect, test } from 'vitest';
import { allRights, may, mayAnywhere, overall, type Right, roleNames, roles, rolesWith } from './rights';

const right = fc.constantFrom(...allRights);
const role = fc.constantFrom(...roleNames);

test('nothing is allowed to one who has no grant', () => {
  fc.assert(fc.property(right, fc.option(fc.nat()), (asked, source) => !may({ grants: [] }, asked, source)));
});

test('a grant for one source says nothing about another, or about all', () => {
  fc.assert(
    fc.property(role, right, (granted, asked) => {
      const grants = [{ role: granted, source: 1 }];
      return !may({ grants }, asked, 2) && !may({ grants }, asked, null);
    }),
  );
});

test('rights that are about no single source come by a grant for all only', () => {
  const grants = [{ role: 'Administrator' as const, source: 1 }];
  expect(allRights.filter((asked) => may({ grants }, asked, 1))).toEqual(allRights.filter((asked) => !overall.has(asked)));
});

test('a token gives no more than its maker has, and no more than it says', () => {
  fc.assert(
    fc.property(role, fc.subarray([...allRights]), right, fc.constantFrom(null, 1, 2), (granted, only, asked, source) => {
      const grants = [{ role: granted, source: null }];
      const allowed = may({ grants, only: { rights: only, source } }, asked, 1);
      const expected = (roles[granted].rights as readonly Right[]).includes(asked) && only.includes(asked) && source !== 2;
      return allowed === expected;
    }),
  );
});

test('every right is in some role, and those that sign do not plan or run', () => {
  expect(allRights.filter((asked) => rolesWith(asked).length === 0)).toEqual([]);
  expect(roles.Signer.rights).not.toContain('plan');
  expect(roles.Signer.rights).not.toContain('run');
  expect(mayAnywhere({ grants: [{ role: 'Signer', source: 3 }] }, 'sign')).toBe(true);
});
