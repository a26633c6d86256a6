import { applyEdition, bodies, endpoint, fail, previewEdition } from '../../../../../server';

const numberIn = (text: string | undefined) => (/^\d{1,6}$/.test(text ?? '') ? Number(text) : null);

export const GET = endpoint('teacher', { does: 'What applying an edition would do to marks already given.' }, async ({ as, id, params }) => {
  const number = numberIn(params.number);
  return number === null ? fail('notFound') : previewEdition(as, id, number);
});
export const PUT = endpoint('teacher', { does: 'Applies the newest edition to marks already given.', body: bodies.applying }, async ({ as, id, params, body }) => {
  const number = numberIn(params.number);
  return number === null ? fail('notFound') : applyEdition(as, id, number, body.spare);
});
