import type { APIRoute } from 'astro';
import { json } from '../../server';

/** Neither session nor database: what a request costs by itself. */
export const GET: APIRoute = () => json({ ok: true });
