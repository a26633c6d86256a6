import { type Imported, type LookedAtPackage, MAX_FILE_BYTES } from '../../../contract';
import {
  endpoint,
  exportPackage,
  fail,
  importPackage,
  lookIntoPackage,
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
    ? withUpload<Imported | LookedAtPackage>(as.config, request, MAX_FILE_BYTES, (file) =>
        query.look ? lookIntoPackage(as, file) : importPackage(as, query.id, file, query),
      )
    : fail('tooMany'),
);
