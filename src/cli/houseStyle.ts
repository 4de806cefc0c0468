import { readFile } from 'node:fs/promises';
import type { HouseStyleDocument } from '../core/naming/document';
import { HouseStyleError, readHouseStyle } from '../input/houseStyle';
import { UsageError } from './arguments';

/** The house style that a file holds. Throws UsageError. */
export async function styleIn(file: string): Promise<HouseStyleDocument> {
  const text = await readFile(file, 'utf8').catch((cause: unknown) => {
    throw new UsageError(`${file} cannot be read. Is the path right?`, { cause });
  });
  try {
    return await readHouseStyle(text);
  } catch (cause) {
    if (cause instanceof HouseStyleError) throw new UsageError(`${file}: ${cause.message}`, { cause });
    throw cause;
  }
}
