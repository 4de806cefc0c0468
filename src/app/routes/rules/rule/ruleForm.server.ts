// What can be settled of a rule: each intent with the class that its fields are checked by, and what it does.

import { ReadAs } from '~/input/fill';
import { ArrayMaxSize, IsIn, IsNotEmpty, IsNumber, IsString, MaxLength, Min } from 'class-validator';
import { intentsOn } from '~/app/server/intents.server';
import { type Policy, usualPolicy } from '~/core/rules/policy';
import type { Rule } from '~/core/rules/rule';
import { type Severity, severities } from '~/core/rules/finding';
import type { Room } from '~/work/enter';
import { settleRule } from '~/work/settling';

export interface OnRule {
  readonly room: Room;
  readonly rule: Rule;
}

class Shown {
  /** Of what was shown: another one means that somebody else changed it meanwhile. */
  @IsString() @MaxLength(64) version = '';
}

/** `limits` are in the order of the rule's own thresholds. */
class KeepForm extends Shown {
  @IsIn(['on', 'off']) on: 'on' | 'off' = 'on';
  @IsIn(['', ...severities]) severity: '' | Severity = '';
  @ReadAs((value) => (Array.isArray(value) ? value : [value]).map(Number))
  @IsNumber({}, { each: true, message: 'A threshold is a number' })
  @Min(0, { each: true, message: 'A threshold is not below zero' })
  @ArrayMaxSize(20)
  limits: number[] = [];
}

const trimmed = () => ReadAs((value) => (typeof value === 'string' ? value.trim() : value));

class ObjectForm {
  @trimmed() @IsString() @IsNotEmpty({ message: 'Say what is waived' }) @MaxLength(300) object = '';
}

class WaiveForm extends ObjectForm {
  @trimmed() @IsString() @IsNotEmpty({ message: 'Say why it is meant to be so' }) @MaxLength(500) reason = '';
}

const intent = intentsOn<OnRule>();

const withoutWaiver = ({ waivers }: Policy, object: string) => waivers.filter((waiver) => waiver.object !== object);

// Waivers are entries of their own; only what is written over has to be what was shown.
export const ruleIntents = {
  keep: intent(KeepForm, ({ room, rule }, { version, on, severity, limits }) =>
    settleRule(room, rule.id, version, (policy) => ({
      ...policy,
      on: on === 'on',
      severity: severity === '' ? null : severity,
      thresholds: Object.fromEntries(
        Object.entries(rule.thresholds ?? {}).flatMap(([name, { value }], i) => {
          const limit = limits[i];
          return limit === undefined || limit === value ? [] : [[name, limit] as const];
        }),
      ),
    })),
  ),
  reset: intent(Shown, ({ room, rule }, { version }) =>
    settleRule(room, rule.id, version, ({ waivers }) => ({ ...usualPolicy, waivers })),
  ),
  waive: intent(WaiveForm, ({ room, rule }, { object, reason }) =>
    settleRule(room, rule.id, null, (policy) => ({ ...policy, waivers: [...withoutWaiver(policy, object), { object, reason }] })),
  ),
  unwaive: intent(ObjectForm, ({ room, rule }, { object }) =>
    settleRule(room, rule.id, null, (policy) => ({ ...policy, waivers: withoutWaiver(policy, object) })),
  ),
};
