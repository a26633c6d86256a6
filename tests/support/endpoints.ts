import type { APIContext } from 'astro';
import { pathOf } from '../../scripts/apiDocument';
import type { App } from '../../src/server/app';
import type { Person } from '../../src/server/context';
import type { Endpoint } from '../../src/server/http/endpoint';

/** Every route of the application by method and path, as the contract writes it: `PUT /api/sets/{id}`. */
export const ENDPOINTS: ReadonlyMap<string, Endpoint> = new Map(
  Object.entries(import.meta.glob<Record<string, unknown>>('../../src/pages/**/*.ts', { eager: true })).flatMap(
    ([file, module]) =>
      Object.entries(module).flatMap(([method, route]): [string, Endpoint][] =>
        /^[A-Z]+$/.test(method) ? [[`${method} ${pathOf(file)}`, route as Endpoint]] : [],
      ),
  ),
);

export interface Asking {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: string;
  readonly body?: unknown;
  readonly bytes?: Uint8Array;
}

/**
 * Asks an endpoint as somebody, in this process: what the middleware adds (who asks) is given, the rest is as it runs.
 */
export async function asked(
  app: App,
  name: string,
  person: Person | null,
  { params = {}, query = '', body, bytes }: Asking = {},
): Promise<Response> {
  const route = ENDPOINTS.get(name);
  if (!route) throw new Error(`There is no ${name}`);
  const [method = '', template = ''] = name.split(' ');
  const url = new URL(
    `http://127.0.0.1${template.replace(/\{(\w+)\}/g, (_, param: string) => encodeURIComponent(params[param] ?? ''))}${query}`,
  );
  const request = new Request(url, {
    method,
    ...(bytes ? { body: bytes as BodyInit } : body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  // Endpoints ask for this process's one application.
  (globalThis as { vaultDrop?: Promise<App> }).vaultDrop = Promise.resolve(app);
  const context = {
    request,
    url,
    params,
    locals: { person: async () => person },
    cookies: { get: () => undefined, set: () => {} },
    clientAddress: '127.0.0.1',
  };
  return (await route(context as unknown as APIContext)) as Response;
}
