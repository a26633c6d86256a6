import { createHash, randomUUID } from 'node:crypto';
import {
  createLocalJWKSet,
  exportJWK,
  generateKeyPair,
  importJWK,
  type JSONWebKeySet,
  type JWTPayload,
  jwtVerify,
  SignJWT,
} from 'jose';
import { coursePage, framedPage, messagePage, postingPage, SUBMITS } from './page';
import {
  CLIENT_ID,
  COURSE,
  DEPLOYMENT_ID,
  ISSUER,
  type Kept,
  type Line,
  type Link,
  MEMBERS,
  type Score,
} from './school';

export interface Where {
  /** The address of the school's pages: `http://localhost:4321/stand-in/platform`. */
  readonly school: string;
  /** Our address, as the school's administrator has typed it in. */
  readonly tool: string;
}

const LTI = 'https://purl.imsglobal.org/spec/lti/claim';
const AGS = 'https://purl.imsglobal.org/spec/lti-ags';
const NRPS = 'https://purl.imsglobal.org/spec/lti-nrps';
const KID = 'school-1';
const TOKEN_SECONDS = 600;

type Answer = Response | Promise<Response>;

/** What a client holds that has shown its key. */
interface Token {
  readonly scopes: readonly string[];
  readonly until: number;
}

/** The school's platform: pages, the login, and the services of LTI Advantage. */
export class Platform {
  readonly #tokens = new Map<string, Token>();

  constructor(
    private readonly kept: Kept,
    /** Called after each change. */
    private readonly keep: () => void = () => undefined,
  ) {}

  /** Answers a request to one of its addresses. `path`: after the address of the school, without a slash before it. */
  async answer(request: Request, path: string, where: Where): Promise<Response> {
    const url = new URL(request.url);
    const isService = /^(?:token|jwks|members|lineitems)/.test(path);
    if (isService && this.kept.down) return new Response('Down', { status: 503, headers: { 'retry-after': '1' } });
    const [first = '', id = '', what = ''] = path.split('/');
    const routes: Record<string, () => Answer> = {
      'GET ': () => this.#html(coursePage(where.school, this.kept), where),
      'GET open': () => goTo(this.#login(url.searchParams, where), 302),
      'GET framed': () => this.#html(framedPage(where.school, this.#login(url.searchParams, where)), where),
      'GET authorize': () => this.#authorize(url.searchParams, where),
      'POST linked': async () => this.#linked(await request.formData(), where),
      'POST switch': () => this.#switch(where),
      'GET jwks': () => this.#jwks(),
      'POST token': async () => this.#token(new URLSearchParams(await request.text()), where),
      'GET members': () => this.#members(request, url, where),
      'GET lineitems': () => this.#lines(request, url, where, id, what),
      'POST lineitems': () => (what === 'scores' ? this.#score(request, id) : this.#addLine(request, where)),
    };
    const route = routes[`${request.method} ${first}`];
    return route ? route() : new Response('Not here', { status: 404 });
  }

  #html(page: string, { tool }: Where, status = 200): Response {
    const hash = createHash('sha256').update(SUBMITS).digest('base64');
    return new Response(page, {
      status,
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': `default-src 'none'; style-src 'unsafe-inline'; script-src 'sha256-${hash}'; frame-src ${tool} 'self'; form-action 'self' ${tool}; base-uri 'none'; frame-ancestors 'self'`,
        'x-frame-options': 'SAMEORIGIN',
      },
    });
  }

  async #privateKey() {
    if (this.kept.privateKey === null) {
      const { privateKey } = await generateKeyPair('RS256', { extractable: true });
      this.kept.privateKey ??= { ...(await exportJWK(privateKey)) };
      this.keep();
    }
    return this.kept.privateKey;
  }

  async #jwks(): Promise<Response> {
    const { kty, n, e } = await this.#privateKey();
    return Response.json({ keys: [{ kty, n, e, kid: KID, alg: 'RS256', use: 'sig' }] });
  }

  /** Begins a login at the tool (third-party initiated). */
  #login(asked: URLSearchParams, { tool }: Where): string {
    const url = new URL(`${tool}/lti/login`);
    const fields = {
      ...{ iss: ISSUER, client_id: CLIENT_ID, lti_deployment_id: DEPLOYMENT_ID },
      ...{ target_link_uri: `${tool}/lti/launch`, login_hint: asked.get('person') ?? '' },
      lti_message_hint: asked.get('choose') ? 'choose' : `link:${asked.get('link') ?? ''}`,
    };
    for (const [name, value] of Object.entries(fields)) url.searchParams.set(name, value);
    return url.href;
  }

  /** The authorisation address: posts an id token back. */
  async #authorize(asked: URLSearchParams, where: Where): Promise<Response> {
    const get = (name: string) => asked.get(name) ?? '';
    const person = MEMBERS.find(({ id }) => id === get('login_hint'));
    const back = `${where.tool}/lti/launch`;
    const isRight =
      get('client_id') === CLIENT_ID &&
      get('redirect_uri') === back &&
      get('response_type') === 'id_token' &&
      get('response_mode') === 'form_post' &&
      get('scope').split(' ').includes('openid') &&
      get('nonce') !== '' &&
      get('state') !== '';
    if (!isRight || !person) return this.#html(messagePage(where.school, 'That login cannot be.'), where, 400);
    const hint = get('lti_message_hint');
    const link = this.kept.links.find(({ id }) => hint === `link:${id}`) ?? null;
    const token = await this.#sign({
      ...{ sub: person.id, name: person.name, aud: CLIENT_ID, nonce: get('nonce') },
      ...this.#claims(person.role, hint === 'choose', link, where),
    });
    return this.#html(postingPage(back, { id_token: token, state: get('state') }), where);
  }

  #claims(role: string, chooses: boolean, link: Link | null, { school, tool }: Where): JWTPayload {
    return {
      [`${LTI}/version`]: '1.3.0',
      [`${LTI}/deployment_id`]: DEPLOYMENT_ID,
      [`${LTI}/target_link_uri`]: `${tool}/lti/launch`,
      [`${LTI}/context`]: { ...COURSE, type: ['http://purl.imsglobal.org/vocab/lis/v2/course#CourseSection'] },
      [`${LTI}/roles`]: [`http://purl.imsglobal.org/vocab/lis/v2/membership#${role}`],
      [`${NRPS}/claim/namesroleservice`]: {
        context_memberships_url: `${school}/members?course=${COURSE.id}`,
        service_versions: ['2.0'],
      },
      ...(chooses
        ? {
            [`${LTI}/message_type`]: 'LtiDeepLinkingRequest',
            'https://purl.imsglobal.org/spec/lti-dl/claim/deep_linking_settings': {
              deep_link_return_url: `${school}/linked`,
              accept_types: ['ltiResourceLink'],
              accept_presentation_document_targets: ['window', 'iframe'],
              accept_multiple: true,
              accept_lineitem: true,
              data: `asked ${randomUUID()}`,
            },
          }
        : {
            [`${LTI}/message_type`]: 'LtiResourceLinkRequest',
            [`${LTI}/resource_link`]: { id: link?.id ?? 'course-home', title: link?.title ?? COURSE.title },
            ...(link ? { [`${LTI}/custom`]: link.custom } : {}),
            [`${AGS}/claim/endpoint`]: {
              scope: [`${AGS}/scope/lineitem`, `${AGS}/scope/score`],
              lineitems: `${school}/lineitems`,
              ...(link?.line ? { lineitem: `${school}/lineitems/${link.line}` } : {}),
            },
          }),
    };
  }

  async #sign(payload: JWTPayload): Promise<string> {
    return new SignJWT({ iss: ISSUER, ...payload })
      .setProtectedHeader({ alg: 'RS256', kid: KID, typ: 'JWT' })
      .setIssuedAt()
      .setExpirationTime('5m')
      .sign(await importJWK(await this.#privateKey(), 'RS256'));
  }

  /** The keys of the tool, as its address for them has them now. */
  async #toolKeys({ tool }: Where) {
    const answer = await fetch(`${tool}/lti/jwks`);
    return createLocalJWKSet((await answer.json()) as JSONWebKeySet);
  }

  /** What a teacher chose at the tool. */
  async #linked(form: FormData, where: Where): Promise<Response> {
    try {
      const { payload } = await jwtVerify(String(form.get('JWT') ?? ''), await this.#toolKeys(where), {
        ...{ issuer: CLIENT_ID, audience: ISSUER, algorithms: ['RS256'] },
      });
      const items = payload['https://purl.imsglobal.org/spec/lti-dl/claim/content_items'];
      for (const item of Array.isArray(items) ? (items as ContentItem[]) : []) this.#addLink(item);
      this.keep();
    } catch {
      return this.#html(messagePage(where.school, 'What was sent is not signed by the tool.'), where, 400);
    }
    return goTo(where.school, 303);
  }

  #addLink({ type, title, custom, lineItem }: ContentItem): void {
    if (type !== 'ltiResourceLink') return;
    const id = randomUUID();
    const line: Line | null = lineItem
      ? {
          ...{ id: randomUUID(), label: lineItem.label ?? title ?? 'A link', scoreMaximum: lineItem.scoreMaximum },
          ...{ resourceId: lineItem.resourceId ?? null, resourceLinkId: id },
        }
      : null;
    if (line) this.kept.lines.push(line);
    this.kept.links.push({ id, title: title ?? 'A link', custom: custom ?? {}, line: line?.id ?? null });
  }

  #switch({ school }: Where): Response {
    this.kept.down = !this.kept.down;
    this.keep();
    return goTo(school, 303);
  }

  /** A token for whoever shows a JWT of the tool's. */
  async #token(form: URLSearchParams, where: Where): Promise<Response> {
    try {
      const { payload } = await jwtVerify(form.get('client_assertion') ?? '', await this.#toolKeys(where), {
        ...{ issuer: CLIENT_ID, subject: CLIENT_ID, audience: `${where.school}/token`, algorithms: ['RS256'] },
        requiredClaims: ['jti', 'iat', 'exp'],
      });
      if (form.get('grant_type') !== 'client_credentials' || !payload.jti) throw new Error('Not a grant');
    } catch {
      return Response.json({ error: 'invalid_client' }, { status: 400 });
    }
    const token = randomUUID();
    const scopes = (form.get('scope') ?? '').split(' ');
    this.#tokens.set(token, { scopes, until: Date.now() + TOKEN_SECONDS * 1000 });
    return Response.json({
      access_token: token,
      token_type: 'bearer',
      expires_in: TOKEN_SECONDS,
      scope: scopes.join(' '),
    });
  }

  /** The answer for whoever has no token for a scope; null: they have one. */
  #shut(request: Request, scope: string): Response | null {
    const token = this.#tokens.get((request.headers.get('authorization') ?? '').replace(/^Bearer /, ''));
    if (!token || token.until < Date.now()) return new Response('No token', { status: 401 });
    return token.scopes.includes(scope) ? null : new Response('Another scope is needed', { status: 403 });
  }

  #members(request: Request, url: URL, { school }: Where): Response {
    const shut = this.#shut(request, `${NRPS}/scope/contextmembership.readonly`);
    if (shut) return shut;
    const from = Number(url.searchParams.get('from') ?? 0);
    const some = MEMBERS.slice(from, from + 3);
    const more = from + 3 < MEMBERS.length;
    return Response.json(
      {
        ...{ id: `${school}/members`, context: COURSE },
        members: some.map(({ id, name, role }) => ({
          ...{ user_id: id, name, status: 'Active' },
          roles: [`http://purl.imsglobal.org/vocab/lis/v2/membership#${role}`],
        })),
      },
      {
        headers: {
          'content-type': 'application/vnd.ims.lti-nrps.v2.membershipcontainer+json',
          ...(more ? { link: `<${school}/members?course=${COURSE.id}&from=${from + 3}>; rel="next"` } : {}),
        },
      },
    );
  }

  #lines(request: Request, url: URL, { school }: Where, id: string, what: string): Response {
    const shut = this.#shut(request, `${AGS}/scope/lineitem`);
    if (shut) return shut;
    if (id !== '') {
      if (what === 'results') return Response.json(this.kept.scores.filter(({ line }) => line === id));
      const line = this.kept.lines.find((each) => each.id === id);
      return line ? Response.json(shown(line, school)) : new Response('Not here', { status: 404 });
    }
    const wanted = (name: 'resourceId' | 'resourceLinkId', query: string) => {
      const value = url.searchParams.get(query);
      return (line: Line) => value === null || line[name] === value;
    };
    const lines = this.kept.lines
      .filter(wanted('resourceId', 'resource_id'))
      .filter(wanted('resourceLinkId', 'resource_link_id'));
    return Response.json(lines.map((line) => shown(line, school)));
  }

  async #addLine(request: Request, { school }: Where): Promise<Response> {
    const shut = this.#shut(request, `${AGS}/scope/lineitem`);
    if (shut) return shut;
    const given = (await request.json()) as Partial<Line>;
    if (typeof given.label !== 'string' || !(Number(given.scoreMaximum) > 0))
      return new Response('A line has a label and a maximum', { status: 400 });
    const line: Line = {
      ...{ id: randomUUID(), label: given.label, scoreMaximum: Number(given.scoreMaximum) },
      ...{ resourceId: given.resourceId ?? null, resourceLinkId: given.resourceLinkId ?? null },
    };
    this.kept.lines.push(line);
    this.keep();
    return Response.json(shown(line, school), { status: 201 });
  }

  /** A score: the newest by its timestamp counts; an older one is refused. */
  async #score(request: Request, line: string): Promise<Response> {
    const shut = this.#shut(request, `${AGS}/scope/score`);
    if (shut) return shut;
    if (!this.kept.lines.some(({ id }) => id === line)) return new Response('No such line', { status: 404 });
    const given = (await request.json()) as Partial<Score>;
    const at = Date.parse(given.timestamp ?? '');
    const isWhole =
      !Number.isNaN(at) &&
      MEMBERS.some(({ id }) => id === given.userId) &&
      typeof given.activityProgress === 'string' &&
      typeof given.gradingProgress === 'string' &&
      (given.scoreGiven === undefined || (Number(given.scoreMaximum) > 0 && Number(given.scoreGiven) >= 0));
    if (!isWhole) return new Response('That is no score', { status: 400 });
    this.kept.received += 1;
    const before = this.kept.scores.findIndex((score) => score.line === line && score.userId === given.userId);
    const old = this.kept.scores[before];
    if (old && Date.parse(old.timestamp) > at) return new Response('There is a newer one', { status: 409 });
    const score: Score = {
      ...{ line, userId: given.userId ?? '', timestamp: given.timestamp ?? '' },
      ...{ activityProgress: given.activityProgress ?? '', gradingProgress: given.gradingProgress ?? '' },
      ...{ scoreGiven: given.scoreGiven ?? null, scoreMaximum: given.scoreMaximum ?? null },
      comment: given.comment ?? null,
    };
    if (old) this.kept.scores[before] = score;
    else this.kept.scores.push(score);
    this.keep();
    return new Response(null, { status: 204 });
  }
}

interface ContentItem {
  readonly type?: string;
  readonly title?: string;
  readonly custom?: Readonly<Record<string, string>>;
  readonly lineItem?: { readonly scoreMaximum: number; readonly label?: string; readonly resourceId?: string };
}

const goTo = (location: string, status: number) => new Response(null, { status, headers: { location } });

const shown = ({ id, ...line }: Line, school: string) => ({ id: `${school}/lineitems/${id}`, ...line });
