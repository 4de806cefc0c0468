import { engineNamed } from '../../core/engines/index';
import type { SourceKind } from '../kind';
import { fields, FilesSettings } from './settings';

export const files: SourceKind<FilesSettings> = {
  title: 'A database behind a wall, by files',
  engineOf: ({ engine }) => engine,
  Settings: FilesSettings,
  fields,
  secret: null,
  placeOf: ({ engine, database }) => `${database} (${engineNamed(engine).title}), by files`,
  destinationOf: ({ engine, database }) => JSON.stringify([engine, database]),
  open: null,
  byFiles: (settings) => settings,
  change: null,
  scratch: null,
  commandLine: null,
};
