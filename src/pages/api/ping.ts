import { described, json } from '../../server';

export const GET = described(() => json({ ok: true }), 'anyone', { does: 'Neither session nor database: what a request costs by itself.' });
