import { ReadAs } from './fill';
import { IsInt, Min } from 'class-validator';
import { together } from './surveyFile';

/** Whole numbers from `least` on, with commas between them or a field each. */
export const Numbers = (least: number) =>
  together(
    ReadAs((value) => numbersIn(value)),
    IsInt({ each: true }),
    Min(least, { each: true }),
  );

function numbersIn(value: unknown): unknown {
  const texts: unknown = typeof value === 'string' ? value.split(',') : value;
  return Array.isArray(texts) ? texts.map(Number) : value;
}
