import { endpoint, exportPackage, importPackage, queries, savedAs } from '../../server';

export const GET = endpoint(
  'teacher',
  { does: 'Questions, a shelf or a set as one zip of documents and media.', query: queries.packing, gives: ['application/zip'] },
  async ({ as, query: { shelf, set, questions } }) => {
    const packed = await exportPackage(as, shelf ? { shelf } : set ? { set } : { questions: questions?.split(',') ?? [] });
    return packed.ok ? savedAs(packed.value.bytes, 'application/zip', packed.value.name, 'zip') : packed;
  },
);
export const POST = endpoint(
  'teacher',
  { does: 'Takes a package in. Sent again under the same id, it comes in once.', query: queries.importing, sends: 'application/zip' },
  async ({ as, query, request }) => importPackage(as, query.id, new Uint8Array(await request.arrayBuffer())),
);
