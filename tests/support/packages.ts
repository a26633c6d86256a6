import { readFile, rm } from 'node:fs/promises';
import type { Imported, LookedAtPackage } from '../../src/contract';
import type { As, Teacher } from '../../src/server/context';
import type { Result } from '../../src/server/errors';
import { temporaryFile, withBytes } from '../../src/server/media/incoming';
import {
  exportPackage,
  importPackage,
  lookIntoPackage,
  type Ticked,
  type ToPack,
} from '../../src/server/vault/packages';

/** A package as its bytes. */
export async function exported(
  as: As<Teacher>,
  what: ToPack,
  format: 'own' | 'qti' = 'own',
): Promise<Result<{ name: string; bytes: Uint8Array }>> {
  const file = await temporaryFile(as.config);
  const packed = await exportPackage(as, what, file, format);
  if (!packed.ok) return packed;
  const bytes = new Uint8Array(await readFile(file));
  await rm(file);
  return { ok: true, value: { ...packed.value, bytes } };
}

export const imported = (
  as: As<Teacher>,
  id: string,
  bytes: Uint8Array,
  ticked: Ticked = {},
): Promise<Result<Imported>> => withBytes(as.config, bytes, (file) => importPackage(as, id, file, ticked));

export const lookedAt = (as: As<Teacher>, bytes: Uint8Array): Promise<Result<LookedAtPackage>> =>
  withBytes(as.config, bytes, (file) => lookIntoPackage(as, file));
