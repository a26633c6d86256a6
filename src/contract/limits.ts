// Limits, in one place for both sides.

/** Bytes of a body, unless its operation says otherwise. */
export const MAX_BODY_BYTES = 64 * 1024;
/** Bytes of an uploaded file; pictures and sounds have smaller limits in server/media. */
export const MAX_FILE_BYTES = 62 * 1024 * 1024;

/** Bytes of a file of learning outcomes. */
export const MAX_OUTCOMES_BYTES = 20 * 1024 * 1024;

export const MIN_PASSWORD = 8;
export const MAX_PASSWORD = 200;

/** A week. */
export const MAX_MINUTES = 10_080;
export const MAX_SITTINGS = 100;
/** Of a set, and of a release. */
export const MAX_QUESTIONS = 200;
/** Units, categories or groups of a course. */
export const MAX_PARTS = 200;
/** Questions changed, packed or listed in one request. */
export const MAX_AT_ONCE = 500;
export const MAX_MOVES_AT_ONCE = 500;
export const MAX_EDITS_AT_ONCE = 5000;
/** A pasted roster, in characters. */
export const MAX_ROSTER = 2_000_000;
/** A text typed into a zone, in characters. */
export const MAX_TYPED = 400;

/** Rows of a page of the Vault, and of a roster: more are loaded on scrolling. */
export const VAULT_PAGE = 50;
export const ROSTER_PAGE = 100;
