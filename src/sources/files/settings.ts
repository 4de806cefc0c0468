import { Ticked } from '../../input/fill';
import { IsBoolean, IsIn, IsNotEmpty, IsString, Matches, MaxLength } from 'class-validator';
import { engineNamed } from '../../core/engines/index';
import { type EngineName, engineNames, firstEngine } from '../../core/engines/name';
import type { Field } from '../kind';

/** A database that cannot be reached from here: somebody runs scripts there and brings what they wrote. */
export class FilesSettings {
  @IsIn(engineNames) engine!: EngineName;
  @IsString()
  @IsNotEmpty({ message: 'A database is needed' })
  @MaxLength(128)
  @Matches(/^\P{C}*$/u, { message: 'A database has no control characters' })
  database!: string;
  /** Whether values of the tables may be written into the answers, beside counts. */
  @IsBoolean() @Ticked() rows = false;
}

export const fields: readonly Field[] = [
  {
    name: 'engine',
    label: 'Engine',
    input: engineNames.map((name) => ({ value: name, words: engineNamed(name).title })),
    usual: firstEngine,
  },
  { name: 'database', label: 'Database', input: 'text', usual: '' },
  {
    name: 'rows',
    label: 'Values of the tables may be written into the answers; without them only counts are, and less is found',
    input: 'tick',
    usual: false,
  },
];
