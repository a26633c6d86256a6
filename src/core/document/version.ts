/** What a question document says it is, and the version that this program writes. */
export const FORMAT = 'vault-drop/question';
export const VERSION = 2;
