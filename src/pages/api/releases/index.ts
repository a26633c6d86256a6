import { assignedReleases, beginPublishing, endpoint, ok, withDates } from '../../../server';

export const GET = endpoint('GET /api/releases', async ({ as }) => ok(await assignedReleases(as)));
export const POST = endpoint(
  'POST /api/releases',
  async ({ as, body: { id, courseId, settings, questionId, revision, setId } }) => {
    const begun = await beginPublishing(as, {
      id,
      courseId,
      settings: settings ? withDates(settings) : {},
      ...(typeof setId === 'string' ? { setId } : { questionId: questionId ?? '', revision: revision ?? 0 }),
    });
    as.jobs?.wake();
    return begun;
  },
);
