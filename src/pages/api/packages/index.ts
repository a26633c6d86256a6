import { MAX_FILE_BYTES } from '../../../contract';
import {
  endpoint,
  exportPackage,
  fail,
  importPackage,
  mayOnceMore,
  savedFile,
  temporaryFile,
  withUpload,
} from '../../../server';

export const GET = endpoint('GET /api/packages', async ({ as, query: { shelf, set, questions, format } }) => {
  const file = await temporaryFile(as.config);
  const packed = await exportPackage(
    as,
    shelf ? { shelf } : set ? { set } : { questions: questions?.split(',') ?? [] },
    file,
    format,
  );
  return packed.ok ? savedFile(file, 'application/zip', packed.value.name, 'zip') : packed;
});
export const POST = endpoint('POST /api/packages', async ({ as, query, request }) =>
  (await mayOnceMore(as, 'upload', as.person.id))
    ? withUpload(as.config, request, MAX_FILE_BYTES, (file) => importPackage(as, query.id, file))
    : fail('tooMany'),
);
