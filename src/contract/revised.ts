/** Content that is saved whole, with the revision that a write has to name. */
export interface Revised<Content> {
  readonly revision: number;
  readonly content: Content;
}
