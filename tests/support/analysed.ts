import type { Analysis } from '../../src/contract';
import type { As, Teacher } from '../../src/server/context';
import { analysisOf } from '../../src/server/results/analysis';
import { workOutDigests } from '../../src/server/sittings/digests';
import { must } from './app';

/** The results of a release, once its job has worked out what was answered. */
export async function analysed(as: As<Teacher>, releaseId: string): Promise<Analysis> {
  const first = must(await analysisOf(as, releaseId));
  if (first.waiting === 0) return first;
  await workOutDigests(as, releaseId);
  return must(await analysisOf(as, releaseId));
}
