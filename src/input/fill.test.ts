import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsString, Max, Min, ValidateNested } from 'class-validator';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { AsList, AsNumber, fill, Part, ReadAs } from './fill';
import { fieldsOf, parse, parseWhatHolds } from './parse';

class Crane {
  @AsNumber() @IsInt() reach!: number;
}
class Thing {
  @IsString() name = 'usual';
}
class Berth extends Thing {
  @ReadAs((value) => value === 'on') @IsBoolean() dry = false;
  @IsOptional() @ValidateNested() @Part(() => Crane) crane?: Crane;
  @IsArray() @ValidateNested({ each: true }) @Part(() => Crane) more: Crane[] = [];
}

test('fills what the class knows, inherited fields too, and reads it first', () => {
  const { value, unknown } = fill(Berth, { name: 'North', dry: 'on', crane: { reach: '12' }, more: [{ reach: 3 }] });
  expect(value).toBeInstanceOf(Berth);
  expect(value.crane).toBeInstanceOf(Crane);
  expect({ ...value, unknown }).toEqual({ name: 'North', dry: true, crane: { reach: 12 }, more: [{ reach: 3 }], unknown: [] });
});

test('leaves the usual value where nothing came', () => {
  expect({ ...fill(Berth, { name: undefined }).value }).toEqual({ name: 'usual', dry: false, more: [] });
});

test('tells the first names that no class knows, with their place', () => {
  expect(fill(Berth, { evil: 1, crane: { reach: 1, sly: 2 }, more: [{ odd: 1 }] }).unknown).toEqual([
    'crane.sly',
    'more.0.odd',
    'evil',
  ]);
});

test('of fifty thousand names that no class knows none is looked into, and ten are told', async () => {
  let touched = 0;
  const many = Object.defineProperties(
    { name: 'x' },
    Object.fromEntries(Array.from({ length: 50_000 }, (_, at) => [`f${at}`, { enumerable: true, get: () => touched++ }])),
  );
  expect((await parse(Thing, many, 'drop')).ok).toBe(true);
  const refused = await parse(Thing, many);
  expect(refused.ok ? {} : Object.keys(refused.errors)).toHaveLength(10);
  expect(touched).toBe(0);
});

test('of what is nested without end only what the class knows is gone into', async () => {
  const deep = JSON.parse(`${'{"a":'.repeat(4_000)}1${'}'.repeat(4_000)}`) as object;
  expect(await parse(Thing, { name: 'x', deep }, 'drop')).toMatchObject({ ok: true, value: { name: 'x' } });
  expect((await parse(Thing, { name: deep }, 'drop')).ok).toBe(false);
});

test.each(['__proto__', 'constructor', 'prototype', 'toString'])('a field %s is one that no class knows', async (name) => {
  const plain = JSON.parse(`{"name":"x","${name}":{"polluted":true}}`) as object;
  expect(await parse(Thing, plain)).toMatchObject({ ok: false, errors: { [name]: ['is not known here'] } });
  const { value } = fill(Berth, plain);
  expect([Object.getPrototypeOf(value), (value as unknown as { polluted?: boolean }).polluted]).toEqual([
    Berth.prototype,
    undefined,
  ]);
});

test('a list where an object belongs, and lists in lists, are left for the checks to refuse', async () => {
  expect((await parse(Berth, { name: 'x', more: [[{ reach: 1 }]] })).ok).toBe(false);
  expect((await parse(Berth, { name: 'x', crane: 'none' })).ok).toBe(false);
});

test('what a class knows comes through, whatever stands beside it', () => {
  fc.assert(
    fc.property(
      fc.string(),
      fc.dictionary(
        fc.string().filter((name) => !['name', 'dry', 'crane', 'more'].includes(name)),
        fc.anything(),
      ),
      (name, beside) => {
        expect({ ...fill(Berth, { ...beside, name }).value }).toEqual({ name, dry: false, more: [] });
      },
    ),
  );
});

test('a form of fifty thousand lines is gone through once', () => {
  const form = new FormData();
  for (let at = 0; at < 50_000; at++) form.append(at % 2 ? `f${at}` : 'finding', String(at));
  const fields = fieldsOf(form);
  expect(Object.keys(fields)).toHaveLength(25_001);
  expect(fields['finding']).toHaveLength(25_000);
});

/** As an address asks for a page. */
class Look {
  @IsIn(['all', 'open']) show = 'open';
  @AsNumber() @IsInt() @Min(1) @Max(9) page = 1;
  @AsList() @IsArray() @ArrayMaxSize(2) @IsString({ each: true }) column: string[] = [];
}

const looked = (query: string) => parseWhatHolds(Look, fieldsOf(new URLSearchParams(query)));

test('of what is mistyped in an address the usual is taken, and the rest holds', async () => {
  expect({ ...(await looked('show=all&page=x&column=a&evil=1')) }).toEqual({ show: 'all', page: 1, column: ['a'] });
  expect({ ...(await looked('show=all&show=open&page=3&column=a&column=b')) }).toEqual({
    show: 'open',
    page: 3,
    column: ['a', 'b'],
  });
});

test('whatever an address says, what is taken of it is as the class asks', async () => {
  const words = fc.constantFrom('all', 'open', '3', '-1', '1e9', '', 'NaN', '__proto__');
  const names = fc.constantFrom('show', 'page', 'column', 'constructor', '__proto__', 'column[]');
  await fc.assert(
    fc.asyncProperty(fc.array(fc.tuple(names, fc.oneof(words, fc.string())), { maxLength: 12 }), async (pairs) => {
      const taken = await parseWhatHolds(Look, fieldsOf(new URLSearchParams(pairs)));
      expect((await parse(Look, { ...taken })).ok).toBe(true);
    }),
  );
});
