import 'reflect-metadata';
import { Transform } from 'class-transformer';
import { ArrayMaxSize, IsIn, IsNumber, IsString, MaxLength, Min } from 'class-validator';
import { type Severity, severities } from '~/core/rules/rule';

/** What is set of a rule. `limits` are in the order of the rule's own thresholds. */
export class RuleForm {
  @IsIn(['keep', 'reset', 'waive', 'unwaive']) intent!: 'keep' | 'reset' | 'waive' | 'unwaive';
  @IsIn(['on', 'off']) on: 'on' | 'off' = 'on';
  @IsIn(['', ...severities]) severity: '' | Severity = '';
  @Transform(({ value }: { value: unknown }) => (Array.isArray(value) ? value : [value]).map(Number))
  @IsNumber({}, { each: true, message: 'A threshold is a number' })
  @Min(0, { each: true, message: 'A threshold is not below zero' })
  @ArrayMaxSize(20)
  limits: number[] = [];
  @IsString() @MaxLength(300) object = '';
  @IsString() @MaxLength(500) reason = '';
  /** Of what was shown: another one means that somebody else changed it meanwhile. */
  @IsString() @MaxLength(64) version = '';
}
