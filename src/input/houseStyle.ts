// The shape of a `pawl-house-style/1` file.

import { Equals, IsBoolean, IsIn, IsObject, ValidateIf } from 'class-validator';
import { houseStyleFormat, type HouseStyleDocument, type RuleSetting } from '../core/naming/document';
import { type Dictionary, dictionaryLists, entryProblem, isEmpty, noDictionary } from '../core/naming/dictionary';
import { parseFor, styledKinds } from '../core/naming/styled';
import type { Adopted } from '../core/naming/style';
import { isTemplateProblem } from '../core/naming/template';
import { rules } from '../core/rules/index';
import { type Severity, severities } from '../core/rules/finding';
import { JsonError, jsonIn } from './json';
import { errorsInWords, parse } from './parse';

/** A file that is none, or says what cannot be; the message says what. */
export class HouseStyleError extends Error {
  override readonly name = 'HouseStyleError';
}

class HouseStyleShape {
  @Equals(houseStyleFormat, { message: `$property is not ${houseStyleFormat}` }) format!: typeof houseStyleFormat;
  @IsObject() templates!: Record<string, unknown>;
  @IsObject() rules: Record<string, unknown> = {};
  @IsObject() dictionary: Record<string, unknown> = {};
}

class RuleSettingShape {
  @IsBoolean() on = true;
  @ValidateIf(({ severity }: RuleSettingShape) => severity !== null) @IsIn(severities) severity: Severity | null = null;
  @IsObject() thresholds: Record<string, number> = {};
}

/** Throws HouseStyleError. */
export async function readHouseStyle(text: string): Promise<HouseStyleDocument> {
  const parsed = await parse(HouseStyleShape, plainOf(text));
  if (!parsed.ok) throw new HouseStyleError(`This is no house style of Pawl: ${errorsInWords(parsed.errors)}.`);
  const settings: [string, RuleSetting][] = [];
  for (const [id, plain] of Object.entries(parsed.value.rules)) settings.push([id, await settingIn(id, plain)]);
  const dictionary = dictionaryIn(parsed.value.dictionary);
  return {
    format: houseStyleFormat,
    templates: templatesIn(parsed.value.templates),
    ...(!isEmpty(dictionary) && { dictionary }),
    rules: Object.fromEntries(settings),
  };
}

function plainOf(text: string): unknown {
  try {
    return jsonIn(text);
  } catch (cause) {
    if (!(cause instanceof JsonError)) throw cause;
    throw new HouseStyleError(`This is no house style of Pawl: ${cause.message}.`, { cause });
  }
}

function templatesIn(plain: Readonly<Record<string, unknown>>): Adopted {
  return Object.fromEntries(
    Object.entries(plain).map(([kind, template]) => {
      const known = styledKinds.find((one) => one === kind);
      if (!known)
        throw new HouseStyleError(`There are no names of ${JSON.stringify(kind)}: there are ${styledKinds.join(', ')}.`);
      const read = typeof template === 'string' ? parseFor(known, template) : { at: 0, says: 'A template is a text.' };
      if (isTemplateProblem(read)) throw new HouseStyleError(`The template of ${kind}, at ${read.at + 1}: ${read.says}`);
      return [kind, template];
    }),
  );
}

function dictionaryIn(plain: Readonly<Record<string, unknown>>): Dictionary {
  const lists = Object.entries(plain).map(([name, entries]) => {
    const list = dictionaryLists.find((one) => one === name);
    if (!list || typeof entries !== 'object' || entries === null || Array.isArray(entries))
      throw new HouseStyleError(
        `The dictionary has ${dictionaryLists.join(' and ')}, each an object: not ${JSON.stringify(name)}.`,
      );
    for (const [from, to] of Object.entries(entries)) {
      const problem = typeof to === 'string' ? entryProblem(list, from, to) : 'What it stands for is a text.';
      if (problem !== null) throw new HouseStyleError(`The dictionary, at ${JSON.stringify(from)}: ${problem}`);
    }
    return [list, entries];
  });
  return { ...noDictionary, ...(Object.fromEntries(lists) as Partial<Dictionary>) };
}

async function settingIn(id: string, plain: unknown): Promise<RuleSetting> {
  const rule = rules.find((one) => one.id === id);
  if (!rule) throw new HouseStyleError(`There is no rule ${JSON.stringify(id)} in this version of Pawl.`);
  const parsed = await parse(RuleSettingShape, plain);
  if (!parsed.ok) throw new HouseStyleError(`The rule ${id}: ${errorsInWords(parsed.errors)}.`);
  for (const [name, value] of Object.entries(parsed.value.thresholds))
    if (!Object.hasOwn(rule.thresholds ?? {}, name) || typeof value !== 'number' || !(value >= 0))
      throw new HouseStyleError(`The rule ${id} has no threshold ${JSON.stringify(name)} of ${JSON.stringify(value)}.`);
  return parsed.value;
}
