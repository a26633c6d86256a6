// A small simulated school platform for the demo and the tests: the other side of LTI 1.3. It shares no code with the
// application.

export interface Member {
  readonly id: string;
  readonly name: string;
  readonly role: 'Instructor' | 'Learner';
}

export interface Link {
  readonly id: string;
  readonly title: string;
  readonly custom: Readonly<Record<string, string>>;
  readonly line: string | null;
}

export interface Line {
  readonly id: string;
  readonly label: string;
  readonly scoreMaximum: number;
  readonly resourceId: string | null;
  readonly resourceLinkId: string | null;
}

/** The score that counts of a person at a line: the newest that has come. */
export interface Score {
  readonly line: string;
  readonly userId: string;
  readonly timestamp: string;
  readonly activityProgress: string;
  readonly gradingProgress: string;
  readonly scoreGiven: number | null;
  readonly scoreMaximum: number | null;
  readonly comment: string | null;
}

/** All that the school keeps. */
export interface Kept {
  /** Its services do not answer. */
  down: boolean;
  links: Link[];
  lines: Line[];
  scores: Score[];
  /** How many scores have come, repeated and old ones too. */
  received: number;
  privateKey: Record<string, unknown> | null;
}

export const COURSE = { id: 'seed-keepers-7', title: 'Seed keepers, autumn', label: 'SK7' };

export const MEMBERS: readonly Member[] = [
  { id: 'st-1', name: 'Maren Holt', role: 'Instructor' },
  { id: 'st-2', name: 'Corin Ashby', role: 'Instructor' },
  { id: 'pu-1', name: 'Pippa Lorne', role: 'Learner' },
  { id: 'pu-2', name: 'Jory Whin', role: 'Learner' },
  { id: 'pu-3', name: 'Teasel Brand', role: 'Learner' },
  { id: 'pu-4', name: 'Ilse Quarry', role: 'Learner' },
];

export const ISSUER = 'https://school.tarnhollow.example';
export const CLIENT_ID = 'seed-keepers-tool';
export const DEPLOYMENT_ID = 'autumn-1';

export const nothingKept = (): Kept => ({
  ...{ down: false, links: [], lines: [], scores: [], received: 0, privateKey: null },
});
