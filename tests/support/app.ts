import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { SetSection } from '../../src/contract';
import type { Question } from '../../src/core';
import { makePerson } from '../../src/server/accounts/people';
import { type App, makeApp } from '../../src/server/app';
import { readConfig } from '../../src/server/config';
import type { As, Learner, Teacher } from '../../src/server/context';
import { makeCourse } from '../../src/server/courses/courses';
import { makeLearner } from '../../src/server/courses/roster';
import type { Result } from '../../src/server/errors';
import { publish } from '../../src/server/releases/publish';
import { saveNew } from '../../src/server/vault/questions';

/** An application over a database of its own in a folder of its own, which `done` takes away. */
export async function testApp(
  env: Record<string, string> = {},
): Promise<{ app: App; folder: string; done: () => void }> {
  const folder = mkdtempSync(join(tmpdir(), 'vault-drop-unit-'));
  const app = await makeApp(readConfig({ VAULT_DROP_DATA: folder, VAULT_DROP_ROOT: process.cwd(), ...env }));
  return { app, folder, done: () => rmSync(folder, { recursive: true, force: true }) };
}

export function must<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(`${result.code} ${JSON.stringify(result.problems ?? '')}`);
  return result.value;
}

export async function teacher(app: App, username: string): Promise<As<Teacher>> {
  const { id } = must(
    await makePerson(app, { name: username, username, password: 'seedlings-26', role: 'teacher', madeBy: null }),
  );
  return { ...app, person: { id, name: username, username, role: 'teacher' } };
}

export async function learner(as: As<Teacher>, courseId: string, username: string): Promise<As<Learner>> {
  const { id } = must(await makeLearner(as, courseId, { name: username, username, password: 'seedlings-26' }));
  return { ...as, person: { id, name: username, username, role: 'learner' } };
}

export async function course(as: As<Teacher>): Promise<string> {
  return must(await makeCourse(as, randomUUID(), 'Tarn Hollow induction')).id;
}

export async function release(as: As<Teacher>, courseId: string, question: Question): Promise<string> {
  must(await saveNew(as, question));
  return must(await publish(as, { id: randomUUID(), courseId, questionId: question.id, revision: 1 })).id;
}

/** The sections of a set in which each question is asked, one after another. */
export const inOrder = (ids: readonly string[]): SetSection[] => [
  { title: '', draw: null, questions: ids.map((id) => ({ id, points: null })) },
];

export { seeds } from './seeds';
