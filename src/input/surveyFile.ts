import { IsArray, IsString, MinLength } from 'class-validator';

/** A survey file that is not what it should be; the message says where. */
export class SurveyFileError extends Error {
  override readonly name = 'SurveyFileError';
}

/** A list of names, each of which says something. */
export const Names = () => together(IsArray(), IsString({ each: true }), MinLength(1, { each: true }));

/** Several decorators as one. */
export function together(...decorators: readonly PropertyDecorator[]): PropertyDecorator {
  return (target, property) => decorators.forEach((decorate) => decorate(target, property));
}
