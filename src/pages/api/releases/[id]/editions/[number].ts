import { applyEdition, endpoint, fail, previewEdition } from '../../../../../server';

const numberIn = (text: string | undefined) => (/^\d{1,6}$/.test(text ?? '') ? Number(text) : null);

/** What applying the edition would do to marks already given. */
export const GET = endpoint('teacher', null, async ({ as, id, params }) => {
  const number = numberIn(params.number);
  return number === null ? fail('notFound') : previewEdition(as, id, number);
});
/** Applies it to them. */
export const PUT = endpoint('teacher', null, async ({ as, id, params }) => {
  const number = numberIn(params.number);
  return number === null ? fail('notFound') : applyEdition(as, id, number);
});
