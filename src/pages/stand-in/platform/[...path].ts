import type { APIContext } from 'astro';
import { type App, failedAs, guarded, knowStandIn, ownAddress } from '../../../server';
import { CLIENT_ID, DEPLOYMENT_ID, ISSUER, keptIn, nothingKept, Platform } from '../../../stand-ins';

// Held on globalThis: the development server reloads this module after each edit.
const shared = globalThis as unknown as { standInPlatform?: Platform };

function platformIn(data: string): Platform {
  const { kept, keep } = keptIn(data, 'stand-in-platform.json', nothingKept);
  return new Platform(kept, keep);
}

/**
 * The stand-in for a school's platform, in the demo alone. It stands at localhost while the application stands at
 * 127.0.0.1, so that a browser takes them for two sites.
 */
async function standIn(app: App, { request, params, url }: APIContext): Promise<Response> {
  if (!app.config.demo) return failedAs('notFound');
  const own = new URL(ownAddress(app.config, request));
  const isHere = app.config.publicUrl === null;
  const at = (host: string) => (isHere ? `http://${host}:${own.port}` : own.origin);
  const path = (params.path ?? '').replace(/\/$/, '');
  if (isHere && url.hostname !== 'localhost' && request.method === 'GET' && path === '')
    return new Response(null, { status: 302, headers: { location: `${at('localhost')}/stand-in/platform` } });
  const where = { school: `${at('localhost')}/stand-in/platform`, tool: at('127.0.0.1') };
  await knowStandIn(app, {
    ...{ name: 'Tarn Hollow School', issuer: ISSUER, clientId: CLIENT_ID, deployments: [DEPLOYMENT_ID] },
    authUrl: `${where.school}/authorize`,
    tokenUrl: `${where.school}/token`,
    jwksUrl: `${where.school}/jwks`,
  });
  shared.standInPlatform ??= platformIn(app.config.data);
  return shared.standInPlatform.answer(request, path, where);
}

export const ALL = guarded(standIn);
