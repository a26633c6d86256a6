import type { Figures } from '../../src/contract';
import type { As, Teacher } from '../../src/server/context';
import { analysisOf, workOutResults } from '../../src/server/results/analysis';
import { must } from './app';

/** How a release was answered, once its job has worked it out. */
export async function analysed(as: As<Teacher>, releaseId: string): Promise<Figures> {
  if (!must(await analysisOf(as, releaseId)).isCurrent) await workOutResults(as, releaseId);
  const { isCurrent, figures } = must(await analysisOf(as, releaseId));
  if (!isCurrent || !figures) throw new Error('The results could not be worked out');
  return figures;
}
