// Learning platforms (LTI 1.3): who launches us, and where marks are sent.
import { array, boolean, object, string } from 'yup';
import { anyUuid, name, uuid } from './fields';
import { file, json, type Operation } from './operation';
import type { RosterPlan, RosterTaken } from './roster';
import type { OutboxState } from './vocabulary';

/** How a mark's way to a platform stands; null: it has arrived, or none is sent. */
export type Sending = {
  readonly state: Exclude<OutboxState, 'arrived'>;
  /** Why it has not arrived yet, as a sentence; empty: it was not tried. */
  readonly reason: string;
  readonly tries: number;
  /** When the mark came about. */
  readonly at: Date;
} | null;

export interface PlatformView {
  id: string;
  name: string;
  issuer: string;
  clientId: string;
  deployments: string[];
  authUrl: string;
  tokenUrl: string;
  jwksUrl: string;
}

/** What a platform has to be told of us. */
export interface ToolAddresses {
  loginUrl: string;
  launchUrl: string;
  jwksUrl: string;
}

export interface PlatformsPage {
  platforms: PlatformView[];
  tool: ToolAddresses;
}

/** What of a course goes to other systems. */
export interface GoesOutside {
  platforms: {
    name: string;
    issuer: string;
    /** Its roster can be taken. */
    roster: boolean;
    /** The titles of the releases whose marks it takes. */
    releases: string[];
    /** How many learners came by a link to one of them. */
    learners: number;
    /** How many marks have arrived there. */
    arrived: number;
  }[];
  /** The record store of the installation; null: statements are sent nowhere. */
  store: {
    address: string;
    /** Learners' names go along. */
    names: boolean;
    since: Date;
    /** Of how many learners of this course something has arrived there. */
    learners: number;
  } | null;
}

/** What somebody may choose to link in a platform's course: by title. */
export interface Linkable {
  id: string;
  title: string;
}

/** What was chosen, signed, and the address the browser posts it to as `JWT`. */
export interface DeepLinked {
  action: string;
  jwt: string;
}

/** A text of a platform's, which is kept as it is. */
const theirs = () => string().min(1, 'is missing').max(255, 'At most 255 characters').required('is missing');
const address = () =>
  string()
    .max(2000, 'At most 2000 characters')
    .required('is missing')
    .test('address', 'has to be an https address, or http to this machine', (text) => URL.canParse(text ?? ''));

export const newPlatform = object({
  name: name(200),
  issuer: theirs(),
  clientId: theirs(),
  deployments: array(theirs()).min(1, 'Name one deployment or more').max(100).required(),
  authUrl: address(),
  tokenUrl: address(),
  jwksUrl: address(),
});

/** One of the three is chosen; none: back to the platform without a link. */
export const deepLinking = object({
  launch: uuid(),
  questionId: anyUuid().optional(),
  setId: anyUuid().optional(),
  releaseId: anyUuid().optional(),
});

export const sendingAgain = object({ learnerId: string().min(1).max(100).required() });

export const platformRoster = object({ take: boolean().required(), removeOthers: boolean().default(false) });

export const samePerson = object({ launch: uuid(), password: string().max(200).nullable().defined() });

const FORM = 'application/x-www-form-urlencoded';

export const platformOperations = {
  'GET /lti/login': {
    who: 'anyone',
    does: 'A platform begins a launch (third-party initiated login, OpenID Connect): answers by going on to its authorisation address.',
    answer: file('text/html'),
  },
  'POST /lti/login': {
    who: 'anyone',
    does: 'The same, by a form.',
    sends: FORM,
    answer: file('text/html'),
  },
  'POST /lti/launch': {
    who: 'anyone',
    does: 'A launch of LTI 1.3: signs the person in and goes on to what the link names.',
    sends: FORM,
    answer: file('text/html'),
  },
  'POST /lti/continue': {
    who: 'anyone',
    does: 'Goes on with a launch in a window of its own, after a press: signs the person in.',
    sends: FORM,
    answer: file('text/html'),
  },
  'GET /lti/jwks': {
    who: 'anyone',
    does: 'The public keys by which platforms know what we sign (RFC 7517).',
    answer: file('application/json'),
  },
  'GET /lti/deep-link': {
    who: 'teacher',
    does: 'The page on which a teacher chooses what a platform links; `launch`: the launch that asked.',
    query: object({ launch: uuid() }),
    answer: file('text/html'),
  },
  'POST /lti/deep-link': {
    who: 'teacher',
    does: 'Chooses what a platform links (a question or a set is published first) and answers with what the browser posts to it.',
    body: deepLinking,
    answer: json<DeepLinked>(),
  },
  'POST /api/lti/same-person': {
    who: 'signedIn',
    does: 'A teacher whose first launch made an account says that they have one here already, by its password; `password` null: that they have none.',
    body: samePerson,
    answer: json<{ path: string }>(),
  },
  'GET /api/platforms': {
    who: 'teacher',
    does: 'The platforms that may launch us, for an administrator.',
    answer: json<PlatformsPage>(),
  },
  'POST /api/platforms': {
    who: 'teacher',
    does: 'Adds a platform, or deployments to one that is there.',
    body: newPlatform,
    answer: json<PlatformsPage>(),
  },
  'DELETE /api/platforms/{id}': {
    who: 'teacher',
    does: 'Removes a platform: nobody is launched by it any more, and no mark is sent to it.',
    answer: json<PlatformsPage>(),
  },
  'GET /api/courses/{id}/outside': {
    who: 'teacher',
    does: 'What of a course goes to other systems.',
    answer: json<GoesOutside>(),
  },
  'POST /api/courses/{id}/lti-roster': {
    who: 'teacher',
    does: 'Says what taking the roster of the course’s platform would change (`take` false), or takes it.',
    body: platformRoster,
    answer: json<RosterPlan | RosterTaken>(),
  },
  'POST /api/releases/{id}/scores': {
    who: 'teacher',
    does: 'Sends a learner’s mark to the platform again.',
    body: sendingAgain,
    answer: json<{ sending: Sending }>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
