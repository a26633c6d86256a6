import { answerDeepLink, endpoint, endpointOf, ownAddress } from '../../server';

/** The page is `choose.astro`: a file is either a page or an endpoint. */
export const GET = endpointOf('GET /lti/deep-link', ({ rewrite, url }) =>
  rewrite(new URL(`/lti/choose${url.search}`, url)),
);
export const POST = endpoint('POST /lti/deep-link', ({ as, body: { launch, ...chosen }, request }) =>
  answerDeepLink(as, launch, chosen, ownAddress(as.config, request)),
);
