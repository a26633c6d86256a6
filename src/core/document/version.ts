/** What a question document says it is, and the version that this program writes. */
export const FORMAT = 'vault-drop/question';
export const VERSION = 2;

/** The title of a question before its author gives it one. */
export const BLANK_TITLE = 'Untitled question';
