import type { APIRoute } from 'astro';
import { endpointOf } from '../../server';

const OURS = /^\/api\/sittings\/[\w-]+\/sources\/\d{1,5}\?captions$/;

const escaped = (text: string) => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

const STYLE = `*{box-sizing:border-box}html,body{margin:0;height:100%;background:#14202b;color:#fffef9;font:14px/1.4 system-ui,sans-serif}
body{display:grid;grid-template-rows:minmax(0,1fr) auto}video{width:100%;height:100%;background:#14202b}p{margin:0;padding:6px 10px;overflow-wrap:anywhere}`;

/**
 * The stand-in for a film player that lies elsewhere: whatever address it is given it plays the one film that ships
 * with the application, and contacts nobody. It stands in a frame of the same size and takes captions in the same way
 * as the player that would be there. `captions`: a path of a sitting's own captions; else those of the film.
 */
const film: APIRoute = ({ url }) => {
  const address = (url.searchParams.get('address') ?? '').slice(0, 2000);
  const asked = url.searchParams.get('captions') ?? '';
  const captions = OURS.test(asked) ? asked : '/stand-in/drying.vtt';
  const page = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Film</title><style>${STYLE}</style></head><body>
<video controls preload="metadata" aria-label="Film"><source src="/stand-in/drying.webm" type="video/webm"><track kind="captions" srclang="en" label="English" src="${escaped(captions)}" default></video>
<p>Stand-in player. In its place the film at ${escaped(address)} would be shown.</p></body></html>`;
  return new Response(page, {
    headers: {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy':
        "default-src 'none'; media-src 'self'; style-src 'unsafe-inline'; frame-ancestors 'self'",
      'x-frame-options': 'SAMEORIGIN',
    },
  });
};

export const GET = endpointOf('GET /stand-in/film', film);
