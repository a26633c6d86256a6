import type { APIRoute } from 'astro';
import { calendarFile, endpointOf, failed, theApp } from '../../../server';

const answer: APIRoute = async ({ params, url }) => {
  const found = await calendarFile(await theApp(), params.secret ?? '', url.origin);
  if (!found.ok) return failed(found);
  return new Response(found.value, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'inline; filename="vault-drop.ics"',
      'cache-control': 'private, no-store',
    },
  });
};

export const GET = endpointOf('GET /api/calendar/{secret}.ics', answer);
