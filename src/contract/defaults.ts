// What holds unless somebody says otherwise.
import type { ReleaseSettings } from './releases';

/** How a release runs unless its teacher says otherwise. */
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
  feedbackLevel: 'modelAnswer',
  feedbackTime: 'atOnce',
  audience: null,
};

/** Nothing is told before the end of a sitting. */
export const defersFeedback = ({
  feedbackLevel,
  feedbackTime,
}: Pick<ReleaseSettings, 'feedbackLevel' | 'feedbackTime'>): boolean =>
  feedbackLevel === 'nothing' || feedbackTime !== 'atOnce';
