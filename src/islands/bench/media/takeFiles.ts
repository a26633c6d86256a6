import { toast } from 'sonner';
import type { StoredMedium } from '../../../contract';
import { add, applyAll, type MediaId, type Medium, type Question, refTo, type Step, setMedium } from '../../../core';
import { freshId } from '../../../core/document';
import { api } from '../../../ui/api';
import { mediumFixture } from '../layOut/makings';
import type { BenchStore } from '../store';

/** Everything a learner's page has to load, in bytes, before an author is told that it is heavy. */
export const BUDGET = 2_000_000;
export const weightOf = ({ media }: Pick<Question, 'media'>): number =>
  Object.values(media).reduce((sum, { weight }) => sum + weight, 0);

export function inBytes(bytes: number): string {
  if (bytes < 1000) return `${bytes} B`;
  return bytes < 1_000_000 ? `${Math.round(bytes / 1000)} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
}

export async function sendFile(file: File, { scene: { width, height } }: Question): Promise<StoredMedium | null> {
  const result = await api('POST /api/media', { file, query: { name: file.name || 'pasted', width, height } });
  if (result.ok) return result.value;
  const { code, message, problems, nextStep } = result.error;
  if (code === 'offline')
    toast.error('The file could not be sent', {
      description: 'You are offline. Nothing was changed: try again when you are back.',
    });
  else toast.error(message, { description: problems?.[0]?.message ?? nextStep, duration: 10_000 });
  return null;
}

/** The step that gives a question a medium, under a name made of the file's; one that it has already is used again. */
export function entered(question: Question, storedMedium: StoredMedium, name: string): { id: MediaId; step: Step } {
  const there = Object.entries(question.media).find(([, { hash }]) => hash === storedMedium.hash);
  if (there) return { id: there[0] as MediaId, step: [] };
  const stem = name
    .replace(/\.[^.]*$/, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40);
  const taken = new Set(Object.keys(question.media));
  const id = (stem && !taken.has(stem) ? stem : freshId(stem || storedMedium.kind, taken)) as MediaId;
  const medium: Medium = {
    hash: storedMedium.hash,
    kind: storedMedium.kind,
    description: null,
    decorative: false,
    source: '',
    licence: '',
    weight: storedMedium.weight,
    captions: null,
    advances: null,
  };
  return { id, step: setMedium(question, id, medium) };
}

/** Sends a file and gives it to the question. */
export async function takeFile(store: BenchStore, file: File): Promise<{ id: MediaId; kept: StoredMedium } | null> {
  const storedMedium = await sendFile(file, store.getState().question);
  if (!storedMedium) return null;
  const { question, do: act } = store.getState();
  const { id, step } = entered(question, storedMedium, file.name);
  act(step);
  return { id, kept: storedMedium };
}

/** Files dropped on the scene or pasted: each becomes a fixture. */
export async function takeFiles(store: BenchStore, files: readonly File[]): Promise<void> {
  store.getState().say(files.length === 1 ? 'Sending the file' : `Sending ${files.length} files`);
  for (const file of files) {
    const storedMedium = await sendFile(file, store.getState().question);
    if (!storedMedium) continue;
    const { question, do: act, select } = store.getState();
    const { kind } = storedMedium;
    if (kind === 'font') {
      toast('A font is chosen where letters are set', { description: 'Open Letters at Lay out, and take it there.' });
      continue;
    }
    const { id, step } = entered(question, storedMedium, file.name);
    const natural =
      storedMedium.width && storedMedium.height ? { w: storedMedium.width, h: storedMedium.height } : null;
    const fixture = mediumFixture(applyAll(question, step), kind, id, natural);
    act([...step, ...add(question, 'fixtures', [fixture])], `${file.name} is on the scene`);
    select([refTo('fixture', fixture.id)]);
    toast.success(`${file.name || 'The file'} is on the scene`, {
      description: `${inBytes(storedMedium.weight)}. Describe it for those who do not see or hear it.`,
    });
  }
}
