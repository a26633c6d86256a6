import { array, boolean, type InferType, lazy, mixed, object, string, ValidationError } from 'yup';

// What a platform says in a launch: LTI Core 1.3, Deep Linking 2.0, Assignment and Grade Services 2.0, Names and Role
// Provisioning Services 2.0.

const LTI = 'https://purl.imsglobal.org/spec/lti/claim/';
export const CLAIM = {
  messageType: `${LTI}message_type`,
  version: `${LTI}version`,
  deployment: `${LTI}deployment_id`,
  context: `${LTI}context`,
  link: `${LTI}resource_link`,
  roles: `${LTI}roles`,
  custom: `${LTI}custom`,
  deepLinking: 'https://purl.imsglobal.org/spec/lti-dl/claim/deep_linking_settings',
  contentItems: 'https://purl.imsglobal.org/spec/lti-dl/claim/content_items',
  data: 'https://purl.imsglobal.org/spec/lti-dl/claim/data',
  scores: 'https://purl.imsglobal.org/spec/lti-ags/claim/endpoint',
  roster: 'https://purl.imsglobal.org/spec/lti-nrps/claim/namesroleservice',
} as const;

export const SCOPE = {
  score: 'https://purl.imsglobal.org/spec/lti-ags/scope/score',
  lines: 'https://purl.imsglobal.org/spec/lti-ags/scope/lineitem',
  roster: 'https://purl.imsglobal.org/spec/lti-nrps/scope/contextmembership.readonly',
} as const;

export const MESSAGE = {
  link: 'LtiResourceLinkRequest',
  deepLink: 'LtiDeepLinkingRequest',
  deepLinked: 'LtiDeepLinkingResponse',
} as const;

const id = () => string().min(1).max(255).required();
const address = () => string().max(4000);
/** A text of a platform's that is only shown. */
const shown = () => string().max(4000);

const claims = object({
  sub: id(),
  name: shown(),
  given_name: shown(),
  family_name: shown(),
  nonce: string().max(1000).required(),
  [CLAIM.messageType]: string().required(),
  [CLAIM.version]: string().oneOf(['1.3.0']).required(),
  [CLAIM.deployment]: id(),
  [CLAIM.context]: object({ id: id(), title: shown(), label: shown() }).required(),
  [CLAIM.roles]: array(string().max(1000).required()).max(200).defined(),
  [CLAIM.link]: object({ id: id(), title: shown() }).optional().default(undefined),
  // Its values are texts; whatever else stands there is not ours.
  [CLAIM.custom]: object({ release: lazy((value) => (typeof value === 'string' ? string() : mixed().optional())) })
    .optional()
    .default(undefined),
  [CLAIM.deepLinking]: object({
    deep_link_return_url: address().required(),
    accept_types: array(string().required()).required(),
    accept_lineitem: boolean(),
    data: string(),
  })
    .optional()
    .default(undefined),
  [CLAIM.scores]: object({
    scope: array(string().required()).required(),
    lineitem: address(),
    lineitems: address(),
  })
    .optional()
    .default(undefined),
  [CLAIM.roster]: object({ context_memberships_url: address().required() }).optional().default(undefined),
});

export type Claims = InferType<typeof claims>;

/** The claims of a token; else what is wrong with them, as a sentence. */
export function readClaims(payload: unknown): Claims | string {
  try {
    return claims.validateSync(payload, { strict: true, disableStackTrace: true });
  } catch (error) {
    if (error instanceof ValidationError) return `Its claim ${error.path ?? ''} does not fit: ${error.message}.`;
    throw error;
  }
}

const MEMBERSHIP = 'http://purl.imsglobal.org/vocab/lis/v2/membership';
const TEACHES: ReadonlySet<string> = new Set([
  ...['Instructor', 'ContentDeveloper'].map((name) => `${MEMBERSHIP}#${name}`),
  `${MEMBERSHIP}/Instructor#TeachingAssistant`,
  // The short name is deprecated, and still sent.
  'Instructor',
]);
const LEARNS: ReadonlySet<string> = new Set([`${MEMBERSHIP}#Learner`, 'Learner']);

/**
 * What somebody is in the course of the launch: roles in the institution or the system count for nothing. Null:
 * neither teacher nor learner.
 */
export const roleIn = (roles: readonly string[]): 'teacher' | 'learner' | null =>
  roles.some((role) => TEACHES.has(role)) ? 'teacher' : roles.some((role) => LEARNS.has(role)) ? 'learner' : null;

/** Somebody's name as a platform gives it; empty: it gives none. */
export const nameIn = ({
  name,
  given_name: given = '',
  family_name: family = '',
}: {
  readonly name?: string | undefined;
  readonly given_name?: string | undefined;
  readonly family_name?: string | undefined;
}): string =>
  ((name ?? '').trim() || `${given} ${family}`)
    .replace(/\p{Cc}/gu, ' ')
    .trim()
    .slice(0, 100);
