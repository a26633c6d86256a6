// Defaults.
import type { ReleaseSettings } from './releases';

/** The default settings of a release. */
export const DEFAULT_SETTINGS: ReleaseSettings = {
  unitId: null,
  opensAt: null,
  dueAt: null,
  closesAt: null,
  minutes: null,
  sittings: 1,
  counts: 'best',
  practice: false,
  categoryId: null,
  passMark: null,
  feedbackLevel: 'modelAnswer',
  feedbackTime: 'atOnce',
  audience: null,
};

/** Deferred feedback: none before the end of an attempt. */
export const defersFeedback = ({
  feedbackLevel,
  feedbackTime,
}: Pick<ReleaseSettings, 'feedbackLevel' | 'feedbackTime'>): boolean =>
  feedbackLevel === 'nothing' || feedbackTime !== 'atOnce';
